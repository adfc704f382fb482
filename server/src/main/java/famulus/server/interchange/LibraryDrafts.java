package famulus.server.interchange;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.Path;
import famulus.core.merge.MergeParser;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.UnreadableBody;
import famulus.server.interchange.LibraryFile.FileStyle;
import famulus.server.interchange.LibraryFile.FileText;
import famulus.server.interchange.LibraryReport.MissingField;
import famulus.server.library.Draft;
import famulus.server.library.Mentioned;
import famulus.server.library.Template;
import famulus.server.materials.HouseStyleService;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What the texts of a file say here. */
@Component
class LibraryDrafts {
    private final HouseStyleService styles;
    private final CatalogueService catalogues;

    LibraryDrafts(HouseStyleService styles, CatalogueService catalogues) {
        this.styles = styles;
        this.catalogues = catalogues;
    }

    /**
     * What a text of a file says here.
     *
     * @param instead what stands here for what the file names
     * @param gone what could not be taken: files of them are left out
     * @param ours the template that is here already, whose style is kept where the file names one that isn’t here; null for none
     */
    Draft draft(FileText text, Map<UUID, UUID> instead, List<UUID> gone, Template ours) {
        String design =
                text.design() == null ? "" : design(Mentioned.with(text.design().toString(), instead));
        UUID style = text.style() == null ? null : instead.getOrDefault(text.style(), text.style());
        boolean known =
                style != null && styles.all().stream().anyMatch(one -> one.id().equals(style));
        return new Draft(
                said(text.name()).strip(),
                said(text.purpose()).strip(),
                text.about() == null ? About.PERSON : text.about(),
                text.subject(),
                text.previewText(),
                ours != null && text.design() != null ? ours.body() : text.body(),
                text.mode(),
                design,
                known ? style : null,
                text.header(),
                text.footer(),
                text.files().stream()
                        .filter(file -> !gone.contains(file))
                        .map(file -> instead.getOrDefault(file, file))
                        .toList(),
                text.kind(),
                text.wishes(),
                text.plainText());
    }

    private static String design(String json) {
        try {
            return BodyJson.write(BodyJson.read(json));
        } catch (UnreadableBody wrong) {
            throw Refusal.field("design", wrong.getMessage());
        }
    }

    static String said(String given) {
        return given == null ? "" : given;
    }

    static String look(FileStyle style) {
        return style.look() == null ? "" : style.look().toString();
    }

    /** The look of a style under another name. */
    static String look(FileStyle style, String name) {
        return style.look().deepCopy().asObject().put("name", name).toString();
    }

    static String name(FileStyle style) {
        return style.look() == null ? "" : style.look().path("name").asString("");
    }

    /** The fields that templates of a file ask for and that are not here. */
    List<MissingField> missing(LibraryZip zip) {
        FieldCatalogue catalogue = catalogues.catalogue();
        Map<String, Integer> missing = new TreeMap<>();
        for (FileText text : zip.library().texts()) {
            About about = text.about() == null ? About.PERSON : text.about();
            paths(text)
                    .filter(path -> catalogue.resolve(path, about).isEmpty())
                    .map(Path::toString)
                    .distinct()
                    .forEach(path -> missing.merge(path, 1, Integer::sum));
        }
        return missing.entrySet().stream()
                .map(one -> new MissingField(one.getKey(), one.getValue()))
                .toList();
    }

    private static Stream<Path> paths(FileText text) {
        Stream<Path> lines = Stream.of(said(text.subject()), said(text.previewText()), said(text.body()))
                .flatMap(line -> MergeParser.parse(line).paths().stream());
        if (text.design() == null) {
            return lines;
        }
        try {
            Design design = new Design(text.mode(), BodyJson.read(text.design().toString()), HouseStyle.BARE, "", "");
            return Stream.concat(lines, BodyText.of(design).program().paths().stream());
        } catch (UnreadableBody unreadable) {
            return lines;
        }
    }
}
