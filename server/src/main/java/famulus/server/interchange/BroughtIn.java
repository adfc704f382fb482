package famulus.server.interchange;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.Path;
import famulus.core.html.Cleaned;
import famulus.core.html.HtmlCleaner;
import famulus.core.intake.BroughtCodes;
import famulus.core.intake.BroughtCodes.BroughtCode;
import famulus.core.intake.CodeFields;
import famulus.core.intake.MarkdownReader;
import famulus.core.intake.ModeConversion;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Conversion;
import famulus.core.message.body.Mode;
import famulus.server.interchange.BringInController.FileRead;
import famulus.server.interchange.PicturesBrought.Placed;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What is brought in from elsewhere, cleaned, with fields in the place of other systems’ codes. Nothing of it is in the
 * library until a template is made of it; what a code means is remembered for the next time.
 */
@Service
class BroughtIn {
    /** A template has no more. */
    private static final int LONGEST_KEPT = 200_000;

    private static final int LONGEST_CODE = 200;

    private final CatalogueService catalogues;
    private final OtherCodeMapper remembered;
    private final PicturesBrought pictures;

    BroughtIn(CatalogueService catalogues, OtherCodeMapper remembered, PicturesBrought pictures) {
        this.catalogues = catalogues;
        this.remembered = remembered;
        this.pictures = pictures;
    }

    /**
     * What is brought in as it can be kept.
     *
     * @param source the clean HTML; empty for a letter
     * @param design the body of a template, as JSON
     * @param title what it calls itself; may be empty
     * @param removed a sentence for everything that was taken out
     * @param mode what a template is written as that begins with it
     * @param codes codes of another system that are in it
     * @param fields what can take the place of a code; none where there is no code
     * @param pictures how many pictures within it are kept
     */
    record Brought(
            String source,
            String design,
            String title,
            List<String> removed,
            Mode mode,
            List<CodeToMatch> codes,
            List<FieldForCode> fields,
            int pictures) {
        /** The same with another title, unless that is empty. */
        private Brought called(String other) {
            return other.isBlank() ? this : new Brought(source, design, other, removed, mode, codes, fields, pictures);
        }

        private Brought with(List<FieldForCode> others) {
            return new Brought(source, design, title, removed, mode, codes, others, pictures);
        }
    }

    /**
     * A code of another system.
     *
     * @param written as the text has it, which is how it is named when a field takes its place
     * @param shown as it is read
     * @param meant the path of the field that is likely meant; null where none is known
     */
    record CodeToMatch(String written, String shown, int times, @Schema(nullable = true) String meant) {}

    /**
     * A field that can take the place of a code.
     *
     * @param whose whose it is, in words, such as “deal’s owner”
     */
    record FieldForCode(String path, String label, String whose) {}

    /** Reads a file, and keeps its pictures aside. */
    @Transactional
    FileRead read(String name, byte[] bytes, String page, Colleague by) {
        DesignFile file = DesignFile.read(name, bytes, page);
        Placed placed = file.written() == TextWritten.HTML
                ? pictures.place(file.text(), file.page(), file.beside(), by)
                : new Placed(file.text(), 0);
        mustNotBeTooLong("file", placed.html());
        return new FileRead(file.pages(), file.page(), file.title(), placed.html(), file.written(), placed.pictures());
    }

    /**
     * Cleans a text.
     *
     * @param title what it is called; empty for what it calls itself
     * @param fields what takes the place of its codes, as {@link CodeToMatch#written} names them; remembered
     */
    @Transactional
    Brought clean(
            String text, String title, TextWritten written, About about, Map<String, String> fields, Colleague by) {
        if (text.isBlank()) {
            throw Refusal.field("html", "It is empty.");
        }
        Placed placed = written == TextWritten.HTML
                ? pictures.place(text, "Picture of a page", address -> Optional.empty(), by)
                : new Placed(text, 0);
        mustNotBeTooLong("html", placed.html());
        FieldCatalogue catalogue = catalogues.catalogue();
        Map<String, Path> paths = paths(fields, catalogue, about);
        remember(paths);
        String filled = BroughtCodes.with(placed.html(), paths);
        mustNotBeTooLong("html", filled);
        String named = BroughtCodes.with(title, paths);
        List<CodeToMatch> codes = BroughtCodes.in(named + "\n" + filled, catalogue, known(catalogue, about)).stream()
                .map(BroughtIn::toMatch)
                .toList();
        Brought brought = body(filled, written, codes, placed.pictures()).called(named);
        return codes.isEmpty() ? brought : brought.with(forCodes(catalogue, about));
    }

    private static List<FieldForCode> forCodes(FieldCatalogue catalogue, About about) {
        return catalogue.reachable(about).entrySet().stream()
                .filter(one -> CodeFields.mayBeMeant(one.getKey()))
                .map(one ->
                        new FieldForCode(one.getKey().toString(), one.getValue().label(), whose(one.getKey())))
                .toList();
    }

    private static String whose(Path path) {
        List<String> words = path.words().subList(0, path.words().size() - 1);
        return words.isEmpty()
                ? "the day it is sent"
                : String.join("’s ", words)
                        .replaceFirst("^our\\b", "our company")
                        .replace('_', ' ');
    }

    private static Brought body(String filled, TextWritten written, List<CodeToMatch> codes, int pictures) {
        return switch (written) {
            case MARKDOWN -> {
                MarkdownReader.Read read = MarkdownReader.read(filled);
                yield letter(read.body(), read.title(), read.lost(), codes);
            }
            case WORDS ->
                letter(
                        Conversion.convert(
                                        Mode.PLAIN,
                                        Body.EMPTY,
                                        filled.replace("\r\n", "\n").replace('\r', '\n'),
                                        Mode.LETTER)
                                .body(),
                        "",
                        List.of(),
                        codes);
            case HTML -> page(filled, codes, pictures);
        };
    }

    private static Brought page(String html, List<CodeToMatch> codes, int pictures) {
        Cleaned cleaned = HtmlCleaner.cleanSource(html);
        if (cleaned.html().length() > LONGEST_KEPT) {
            throw Refusal.field(
                    "html",
                    "With its style sheets written into its elements this is longer than the 200,000 characters that a"
                            + " template can have. Remove what is not needed.");
        }
        return new Brought(
                cleaned.html(),
                BodyJson.write(ModeConversion.ofSource(cleaned.html())),
                cleaned.title(),
                cleaned.removed(),
                Mode.SOURCE,
                codes,
                List.of(),
                pictures);
    }

    private static Brought letter(Body body, String title, List<String> lost, List<CodeToMatch> codes) {
        String design = BodyJson.write(body);
        if (design.length() > 4 * LONGEST_KEPT) {
            throw Refusal.field("html", "This is longer than the 200,000 characters that a template can have.");
        }
        return new Brought("", design, title, lost, Mode.LETTER, codes, List.of(), 0);
    }

    private static void mustNotBeTooLong(String field, String text) {
        if (text.length() > HtmlCleaner.LONGEST) {
            throw Refusal.field(field, "This is longer than 1,000,000 characters; no message is.");
        }
    }

    private CodeFields known(FieldCatalogue catalogue, About about) {
        Map<String, Path> said = new HashMap<>();
        remembered.all().forEach(row -> {
            Path path = Path.of(row.path());
            // Said for one kind of record it may lead nowhere from another, or be retired.
            if (catalogue.resolve(path, about).isPresent()) {
                said.put(row.code(), path);
            }
        });
        return CodeFields.of(catalogue, about, said);
    }

    private static CodeToMatch toMatch(BroughtCode code) {
        return new CodeToMatch(
                code.written(),
                code.shown(),
                code.times(),
                code.path().map(Path::toString).orElse(null));
    }

    private static Map<String, Path> paths(Map<String, String> fields, FieldCatalogue catalogue, About about) {
        if (fields.size() > BroughtCodes.MOST) {
            throw Refusal.field("codes", "Put fields in the place of " + BroughtCodes.MOST + " codes at a time.");
        }
        Map<String, Path> paths = new HashMap<>();
        fields.forEach((code, field) -> {
            if (code.isBlank() || code.length() > LONGEST_CODE || field == null || field.isBlank()) {
                return;
            }
            paths.put(
                    code,
                    Path.read(field)
                            .filter(path -> catalogue.resolve(path, about).isPresent())
                            .orElseThrow(() -> Refusal.field(
                                    "codes", "There is no field “" + field + "” for this kind of record.")));
        });
        return paths;
    }

    private void remember(Map<String, Path> paths) {
        paths.forEach((code, path) -> {
            String key = CodeFields.key(BroughtCodes.shown(code));
            if (!key.isEmpty() && key.length() <= LONGEST_CODE) {
                remembered.remember(key, path.toString());
            }
        });
    }
}
