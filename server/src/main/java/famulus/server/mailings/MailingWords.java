package famulus.server.mailings;

import famulus.core.field.About;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageProgram;
import famulus.core.message.MessageSource;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyleJson;
import famulus.server.library.Draft;
import famulus.server.library.DraftReader;
import famulus.server.library.Template;
import famulus.server.library.TemplateService;
import famulus.server.library.VariantService;
import famulus.server.mailings.MailingPlan.From;
import famulus.server.mailings.MailingPlan.What;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Says what a mailing says: the words of its template, and of its variants, with what is attached to it. */
@Component
class MailingWords {
    private final TemplateService templates;
    private final VariantService variants;
    private final DraftReader drafts;

    MailingWords(TemplateService templates, VariantService variants, DraftReader drafts) {
        this.templates = templates;
        this.variants = variants;
        this.drafts = drafts;
    }

    /**
     * What it says in a language.
     *
     * @param template what it was taken from, with its version then
     */
    record Wording(UUID template, int version, Draft words) {}

    /**
     * What it says.
     *
     * @param usual for whoever no other is in the language of
     * @param others by language of ISO 639
     */
    record Wordings(Wording usual, Map<String, Wording> others) {
        Stream<Wording> all() {
            return Stream.concat(Stream.of(usual), others.values().stream()).distinct();
        }

        Wording in(String language) {
            return others.getOrDefault(language, usual);
        }
    }

    /**
     * What it says now; refused where whoever asks may not use it.
     *
     * @param sender who it goes out as, where that is one colleague; else whoever asks
     */
    Optional<Wordings> now(What what, Colleague asking, Colleague sender) {
        return Optional.ofNullable(what.template()).map(id -> {
            Wording usual = wording(id, what, asking, sender);
            Map<String, Wording> others = new TreeMap<>();
            variants.usable(id, asking, sender).forEach((language, one) -> {
                others.put(language, one.equals(id) ? usual : wording(one, what, asking, sender));
            });
            return new Wordings(usual, others);
        });
    }

    private Wording wording(UUID id, What what, Colleague asking, Colleague sender) {
        Template template = templates.forUse(id, asking, sender);
        Draft draft = Draft.of(template);
        List<UUID> files = Stream.concat(draft.files().stream(), what.files().stream())
                .distinct()
                .toList();
        return new Wording(id, template.version(), draft.carrying(files));
    }

    /** What messages of it can take their fields from. */
    static About about(Wordings words, CrmKind kind) {
        About about = words.usual().words().about();
        return about == About.PERSON ? kind == CrmKind.LEAD ? About.LEAD : About.CONTACT : about;
    }

    /** A text of it as the core reads it. */
    MessageSource source(Wording wording) {
        return drafts.source(wording.words());
    }

    /** What it asks of whoever sends it, by hint. */
    List<String> blanks(Wording wording) {
        MessageProgram program = source(wording).parse();
        return Arrays.stream(MessagePart.values())
                .flatMap(part -> program.program(part).blanks().stream())
                .distinct()
                .toList();
    }

    /**
     * A digest of all that a test of it covers: its words in each language, the style they are in, what passages say in them, who
     * they are from, and what is attached. The same for as long as nothing of that changes.
     */
    String digest(Wordings words, What what) {
        List<String> parts = new ArrayList<>();
        words.all().forEach(one -> {
            MessageSource source = source(one);
            Draft draft = one.words();
            parts.add(one.template().toString());
            parts.add(source.subject());
            parts.add(source.previewText());
            parts.add(source.body());
            source.layout().map(Layout::design).ifPresent(design -> add(design, parts));
            source.around().map(Layout::design).ifPresent(design -> add(design, parts));
            parts.add(draft.plainText() == null ? "" : draft.plainText().words());
            parts.add(draft.files().toString());
        });
        parts.add(what.from() == From.OWNER ? "owner" : String.valueOf(what.sender()));
        parts.add(String.valueOf(what.replyTo()));
        parts.add(new TreeMap<>(what.answers()).toString());
        return sha256(String.join("\u0000", parts));
    }

    private static void add(Design design, List<String> parts) {
        parts.add(design.mode().name());
        parts.add(BodyJson.write(design.body()));
        parts.add(HouseStyleJson.write(design.style()));
        parts.add(design.header() + " " + design.footer());
    }

    private static String sha256(String text) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
