package famulus.core.intake;

import famulus.core.html.HtmlCleaner;
import famulus.core.message.body.Body;
import famulus.core.message.body.Content;
import famulus.core.message.body.Conversion;
import famulus.core.message.body.Conversion.Converted;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Mode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Entities;

/**
 * A template in a format that others read too: an HTML page, Markdown or words. Its fields stand in it as they are written,
 * so that it can be brought in again.
 *
 * @param text the whole file
 * @param pictures those it shows, by their identifiers
 * @param lost what such a file can’t say, a sentence each
 */
public record WrittenOut(String text, Set<String> pictures, List<String> lost) {
    private static final Pattern PICTURE =
            Pattern.compile(Pattern.quote(HtmlCleaner.PICTURE) + "([0-9a-zA-Z-]{1,60})(?:~[\\w.]*)?");

    /** What is written out. */
    public record Text(String subject, String words, Optional<Design> design) {
        private Mode mode() {
            return design.map(Design::mode).orElse(Mode.PLAIN);
        }

        private Body body() {
            return design.map(Design::body).orElse(Body.EMPTY);
        }
    }

    /**
     * As an HTML page, as it looks.
     *
     * @param style the one that a text of words alone is shown in
     * @param lies where a picture lies, by its identifier
     */
    public static WrittenOut page(Text text, HouseStyle style, Function<String, String> lies) {
        Design design =
                text.design().orElseGet(() -> new Design(Mode.PLAIN, Body.EMPTY, style, Design.NONE, Design.NONE));
        List<String> lost = new ArrayList<>();
        String html;
        if (text.mode() == Mode.SOURCE) {
            StringBuilder source = new StringBuilder();
            text.body().blocks().forEach(block -> {
                if (block.content() instanceof Content.OwnHtml own) {
                    source.append(HtmlCleaner.cleanSource(own.source()).html());
                }
            });
            html = source.toString();
        } else {
            Converted converted = ModeConversion.convert(design, text.words(), Mode.SOURCE);
            lost.addAll(converted.lost());
            html = converted
                    .body()
                    .blocks()
                    .map(block -> block.content() instanceof Content.OwnHtml own ? own.source() : "")
                    .findFirst()
                    .orElse("");
        }
        Set<String> pictures = new LinkedHashSet<>();
        String placed = PICTURE.matcher(html).replaceAll(found -> {
            pictures.add(found.group(1));
            return Matcher.quoteReplacement(lies.apply(found.group(1)));
        });
        String page = "<!DOCTYPE html>\n<html>\n<head>\n<meta charset=\"utf-8\">\n<title>"
                + Entities.escape(text.subject()) + "</title>\n</head>\n<body>\n" + placed
                + "\n</body>\n</html>\n";
        return new WrittenOut(page, pictures, lost);
    }

    /** As Markdown, its subject the first heading. */
    public static WrittenOut markdown(Text text, Function<String, String> lies) {
        Converted letter =
                text.mode() == Mode.LETTER ? new Converted(Mode.LETTER, text.body(), "", List.of()) : letter(text);
        Set<String> pictures = new LinkedHashSet<>();
        MarkdownWriter writer = new MarkdownWriter(picture -> {
            pictures.add(picture);
            return lies.apply(picture);
        });
        String written = writer.write(letter.body());
        Set<String> lost = new LinkedHashSet<>(letter.lost());
        lost.addAll(writer.lost());
        return new WrittenOut(written, pictures, List.copyOf(lost));
    }

    private static Converted letter(Text text) {
        return text.design()
                .map(design -> ModeConversion.convert(design, text.words(), Mode.LETTER))
                .orElseGet(() -> Conversion.convert(Mode.PLAIN, Body.EMPTY, text.words(), Mode.LETTER));
    }

    /** As words alone. */
    public static WrittenOut words(Text text) {
        return text.design()
                .map(design -> ModeConversion.convert(design, text.words(), Mode.PLAIN))
                .map(converted -> new WrittenOut(converted.text() + "\n", Set.of(), converted.lost()))
                .orElseGet(() -> new WrittenOut(text.words() + "\n", Set.of(), List.of()));
    }
}
