package famulus.server.interchange;

import famulus.core.intake.WrittenOut;
import famulus.core.intake.WrittenOut.Text;
import famulus.core.message.MessageSource;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.HouseStyle;
import famulus.server.library.DraftReader;
import famulus.server.library.Template;
import famulus.server.library.TemplateTransfer;
import famulus.server.materials.FileService;
import famulus.server.materials.FileService.FileContent;
import famulus.server.materials.PictureService;
import famulus.server.materials.PictureService.PictureContent;
import famulus.server.team.Colleague;
import jakarta.activation.DataHandler;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.util.ByteArrayDataSource;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;

/** Takes templates out in formats that others read too, and says what those can’t carry. */
@Service
class LibraryFormats {
    private static final int LONGEST_NAME = 80;
    private static final String LEFT_OUT = "left out.txt";
    private static final String ALWAYS =
            """
            Folders, tags, purposes, conditions of use, wishes for the envelope and earlier versions are in none of these
            files, and headers, footers and small print of styles stay with the styles. A file for Famulus has all of them.
            """;

    private final TemplateTransfer transfer;
    private final DraftReader drafts;
    private final PictureService pictures;
    private final FileService files;

    LibraryFormats(TemplateTransfer transfer, DraftReader drafts, PictureService pictures, FileService files) {
        this.transfer = transfer;
        this.drafts = drafts;
        this.pictures = pictures;
        this.files = files;
    }

    /** A format. */
    enum Format {
        HTML(".html"),
        EMAIL(".eml"),
        MARKDOWN(".md"),
        WORDS(".txt");

        private final String ending;

        Format(String ending) {
            this.ending = ending;
        }
    }

    /** The templates that are taken out: some; those of a folder; or, where neither is said, all that somebody sees. */
    List<Template> wanted(List<UUID> some, UUID folder, Colleague asking) {
        List<UUID> ids = some.isEmpty() ? transfer.all(folder, asking) : transfer.withVariants(some, asking);
        return ids.stream().map(id -> transfer.given(id, asking)).toList();
    }

    /** Writes a zip of them, a file each, with their pictures beside them. */
    void write(List<Template> templates, Format format, OutputStream to) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(to);
        Set<String> names = new LinkedHashSet<>();
        Set<String> shown = new LinkedHashSet<>();
        StringBuilder leftOut = new StringBuilder(ALWAYS);
        Map<String, String> places = new HashMap<>();
        Function<String, String> lies = picture ->
                format == Format.EMAIL ? "cid:" + picture + "@famulus" : places.computeIfAbsent(picture, this::lies);
        for (Template template : templates) {
            MessageSource source = drafts.source(template);
            Text text = new Text(
                    template.subject(), template.body(), source.layout().map(Layout::design));
            WrittenOut out = out(source, text, format, lies);
            PackedFile.add(
                    zip,
                    unused(template.name(), format.ending, names),
                    format == Format.EMAIL
                            ? email(template, text, out)
                            : out.text().getBytes(StandardCharsets.UTF_8));
            if (format != Format.EMAIL) {
                shown.addAll(out.pictures());
            }
            lost(template, out, format, leftOut);
        }
        for (String picture : shown) {
            Optional<PictureContent> content = pictures.content(picture);
            if (content.isPresent()) {
                PackedFile.add(zip, lies.apply(picture), content.get().content());
            }
        }
        PackedFile.add(zip, LEFT_OUT, leftOut.toString().getBytes(StandardCharsets.UTF_8));
        zip.finish();
    }

    private static void lost(Template template, WrittenOut out, Format format, StringBuilder leftOut) {
        List<String> all = new ArrayList<>(out.lost());
        if (format != Format.EMAIL && !template.files().isEmpty()) {
            all.add("Its attached files.");
        }
        if (!all.isEmpty()) {
            leftOut.append('\n').append(template.name()).append('\n');
            all.forEach(sentence -> leftOut.append("- ").append(sentence).append('\n'));
        }
    }

    private static WrittenOut out(MessageSource source, Text text, Format format, Function<String, String> lies) {
        return switch (format) {
            case MARKDOWN -> WrittenOut.markdown(text, lies);
            case WORDS -> WrittenOut.words(text);
            case HTML, EMAIL ->
                WrittenOut.page(
                        text,
                        source.around().map(around -> around.design().style()).orElse(HouseStyle.BARE),
                        lies);
        };
    }

    private String lies(String picture) {
        String type = pictures.content(picture).map(PictureContent::mediaType).orElse("image/png");
        return "pictures/" + picture + "."
                + type.substring(type.indexOf('/') + 1).replace("svg+xml", "svg");
    }

    private byte[] email(Template template, Text text, WrittenOut page) throws IOException {
        try {
            MimeMultipart both = new MimeMultipart("alternative");
            both.addBodyPart(part(WrittenOut.words(text).text(), "plain"));
            MimeMultipart related = new MimeMultipart("related");
            related.addBodyPart(part(page.text(), "html"));
            for (String picture : page.pictures()) {
                Optional<PictureContent> content = pictures.content(picture);
                if (content.isPresent()) {
                    MimeBodyPart shown = new MimeBodyPart();
                    shown.setDataHandler(new DataHandler(new ByteArrayDataSource(
                            content.get().content(), content.get().mediaType())));
                    shown.setContentID("<" + picture + "@famulus>");
                    shown.setDisposition(MimeBodyPart.INLINE);
                    related.addBodyPart(shown);
                }
            }
            both.addBodyPart(whole(related));
            MimeMultipart all = new MimeMultipart("mixed");
            all.addBodyPart(whole(both));
            for (UUID id : template.files()) {
                Optional<FileContent> file = files.content(id);
                if (file.isPresent()) {
                    MimeBodyPart attached = new MimeBodyPart();
                    attached.setDataHandler(new DataHandler(new ByteArrayDataSource(
                            file.get().content(), file.get().mediaType())));
                    attached.setFileName(file.get().name());
                    all.addBodyPart(attached);
                }
            }
            MimeMessage message = new MimeMessage(Session.getInstance(new Properties()));
            message.setSubject(template.subject(), "UTF-8");
            message.setContent(all);
            message.saveChanges();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            message.writeTo(bytes);
            return bytes.toByteArray();
        } catch (MessagingException impossible) {
            throw new IllegalStateException("A template can't be written as an e-mail", impossible);
        }
    }

    private static MimeBodyPart part(String text, String kind) throws MessagingException {
        MimeBodyPart part = new MimeBodyPart();
        part.setText(text, "UTF-8", kind);
        return part;
    }

    private static MimeBodyPart whole(MimeMultipart several) throws MessagingException {
        MimeBodyPart part = new MimeBodyPart();
        part.setContent(several);
        return part;
    }

    /** A name for a file that no other one has, and that any system takes. */
    private static String unused(String name, String ending, Set<String> names) {
        String plain = name.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", " ").strip().replaceFirst("^\\.+", "");
        String bare = plain.isEmpty()
                ? "Template"
                : plain.substring(0, Math.min(LONGEST_NAME, plain.length())).strip();
        String whole = bare + ending;
        for (int number = 2; !names.add(whole.toLowerCase(Locale.ROOT)); number++) {
            whole = bare + " " + number + ending;
        }
        return whole;
    }
}
