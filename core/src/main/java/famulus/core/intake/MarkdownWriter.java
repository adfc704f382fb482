package famulus.core.intake;

import famulus.core.html.HtmlCleaner;
import famulus.core.html.HtmlWords;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Content;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Writes a letter as Markdown (CommonMark), which {@link MarkdownReader} reads again. Fields stand as they are written, and
 * conditions of blocks around their words.
 */
final class MarkdownWriter {
    /** Fields, which nothing in is changed; else signs that would mean something. */
    private static final Pattern SIGNS = Pattern.compile("(\\{[^{}\\n]*})|([\\\\`*_\\[\\]<>&])");

    private static final Pattern BEGINS =
            Pattern.compile("^([ \\t]*)(#{1,6}(?=[ \\t]|$)|[-+](?=[ \\t]|$)|=+[ \\t]*$|-{2,}|\\d{1,9}(?=[.)]))");
    /** An item stands in so far below its list: within bullets and numbers alike. */
    private static final int INDENT = 3;

    private final Function<String, String> pictures;
    private final Set<String> lost = new LinkedHashSet<>();

    /**
     * A writer.
     *
     * @param pictures where a picture lies, by its identifier
     */
    MarkdownWriter(Function<String, String> pictures) {
        this.pictures = pictures;
    }

    /** What could not be written, a sentence each. */
    List<String> lost() {
        return List.copyOf(lost);
    }

    /** The text of a body, its blocks parted by empty lines. */
    String write(Body body) {
        List<String> parts = new ArrayList<>();
        body.bands().forEach(band -> band.blocks().forEach(block -> add(block, band.shownWhen(), parts)));
        return String.join("\n\n", parts) + "\n";
    }

    private void add(Block block, String bandWhen, List<String> parts) {
        String words = words(block.content());
        if (words.isBlank()) {
            return;
        }
        boolean always = bandWhen.isBlank() && block.shownWhen().isBlank();
        if (always) {
            parts.add(words);
            return;
        }
        String when = bandWhen.isBlank() || block.shownWhen().isBlank()
                ? bandWhen + block.shownWhen()
                : "(" + bandWhen.strip() + ") and (" + block.shownWhen().strip() + ")";
        parts.add("{when " + when.strip() + "}" + words + "{end}");
    }

    private String words(Content content) {
        return switch (content) {
            case Content.Text text -> rich(text.text());
            case Content.Pairing pairing -> picture(pairing.picture()) + "\n\n" + rich(pairing.text());
            case Content.Picture picture -> picture(picture);
            case Content.Button button -> link(escaped(button.label()), button.link());
            case Content.VideoStill still -> link(escaped(still.description()), still.address());
            case Content.SocialLinks links ->
                String.join(
                        " · ",
                        links.links().stream()
                                .map(one -> link(escaped(one.label()), one.address()))
                                .toList());
            case Content.Divider divider -> "* * *";
            case Content.Spacer spacer -> "";
            case Content.Card card -> {
                List<String> lines = new ArrayList<>();
                lines.add("**" + escaped(card.title()) + "**");
                card.facts().forEach(fact -> lines.add(escaped(fact)));
                yield String.join("\\\n", lines);
            }
            case Content.Event event -> {
                lost.add("The calendar file of an event; its day and place stay as words.");
                yield escaped(event.title()) + "\\\n" + escaped(event.day())
                        + (event.time() == null ? "" : ", " + event.time())
                        + (event.place().isEmpty() ? "" : "\\\n" + escaped(event.place()));
            }
            case Content.OwnHtml html -> {
                lost.add("How own HTML looks; its words stay.");
                yield escaped(
                        HtmlWords.of(HtmlCleaner.cleanSource(html.source()).html()));
            }
            case Content.Passage passage -> {
                lost.add("The passage “" + passage.name() + "” stays as it reads now.");
                yield write(new Body(passage.bands())).strip();
            }
            case Content.Signature signature -> without("The sender’s signature.");
            case Content.Items items -> without("The table of the deal’s lines.");
            case Content.Feed feed -> without("The newest entries of “" + feed.name() + "”.");
            case Content.Unknown unknown ->
                without("A block that was made by a newer Famulus: " + unknown.name() + ".");
        };
    }

    private String without(String sentence) {
        lost.add(sentence);
        return "";
    }

    private String picture(Content.Picture picture) {
        if (picture.picture().isEmpty()) {
            return "";
        }
        lost.add("How wide pictures are, and how they were cut.");
        String shown = "![" + escaped(picture.description()) + "](" + pictures.apply(picture.picture()) + ")";
        return picture.link().isEmpty() ? shown : "[" + shown + "](<" + picture.link() + ">)";
    }

    private static String link(String words, String address) {
        return address.isBlank() ? words : "[" + words + "](<" + address + ">)";
    }

    private String rich(RichText text) {
        StringBuilder written = new StringBuilder();
        Kind before = null;
        int number = 0;
        for (Paragraph paragraph : text.paragraphs()) {
            Kind kind = paragraph.kind();
            boolean goesOn = before != null && kind == before && (kind.isItem() || kind == Kind.QUOTE);
            number = kind == Kind.NUMBERED && paragraph.level() == 0
                    ? (goesOn || before == Kind.NUMBERED ? number + 1 : 1)
                    : number;
            if (!written.isEmpty()) {
                written.append(goesOn && kind.isItem() ? "\n" : kind == Kind.QUOTE && goesOn ? "\n>\n" : "\n\n");
            }
            written.append(paragraph(paragraph, Math.max(1, number)));
            before = kind;
        }
        return written.toString();
    }

    private String paragraph(Paragraph paragraph, int number) {
        StringBuilder words = new StringBuilder();
        paragraph.runs().forEach(run -> words.append(run(run)));
        String in = " ".repeat(INDENT * paragraph.level());
        return switch (paragraph.kind()) {
            case PARAGRAPH -> beginning(words.toString());
            case HEADING_1 -> "# " + oneLine(words);
            case HEADING_2 -> "## " + oneLine(words);
            case HEADING_3 -> "### " + oneLine(words);
            case BULLET -> in + "- " + continued(words, in + "  ");
            case NUMBERED -> in + (paragraph.level() == 0 ? number : 1) + ". " + continued(words, in + "   ");
            case QUOTE -> "> " + continued(words, "> ");
        };
    }

    private static String oneLine(StringBuilder words) {
        return words.toString().replace("\\\n", " ").replace('\n', ' ').strip();
    }

    private static String continued(StringBuilder words, String before) {
        return beginning(words.toString()).replace("\n", "\n" + before);
    }

    /** Words that don’t begin as something else than words. */
    private static String beginning(String words) {
        return BEGINS.matcher(words).replaceFirst(found -> {
            String sign = found.group(2);
            return Matcher.quoteReplacement(
                    Character.isDigit(sign.charAt(0)) ? found.group(1) + sign + "\\" : found.group(1) + "\\" + sign);
        });
    }

    private String run(Run run) {
        Marks marks = run.marks();
        if (marks.underline() || marks.strike() || !marks.colour().isEmpty() || marks.size() > 0) {
            lost.add("Underlines, strokes, colours and sizes of words.");
        }
        String words = run.text().strip();
        if (words.isEmpty()) {
            return lines(run.text());
        }
        int begin = run.text().indexOf(words);
        String sign = marks.bold() && marks.italic() ? "***" : marks.bold() ? "**" : marks.italic() ? "*" : "";
        return lines(run.text().substring(0, begin))
                + link(sign + lines(escaped(words)) + sign, marks.link())
                + lines(run.text().substring(begin + words.length()));
    }

    private static String lines(String text) {
        return text.replace("\n", "\\\n");
    }

    private static String escaped(String text) {
        return SIGNS.matcher(text)
                .replaceAll(found ->
                        Matcher.quoteReplacement(found.group(1) != null ? found.group(1) : "\\" + found.group(2)));
    }
}
