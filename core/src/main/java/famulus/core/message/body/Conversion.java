package famulus.core.message.body;

import famulus.core.html.HtmlCleaner;
import famulus.core.html.HtmlWords;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Turns a template of one mode into one of another, and says what can't be carried over. The words, fields, choices and
 * conditions always can.
 */
public final class Conversion {
    private final Set<String> lost = new LinkedHashSet<>();

    private Conversion() {}

    /**
     * A template in its new mode.
     *
     * @param body empty for a plain one
     * @param text the words of a plain one
     * @param lost what is left behind, a sentence each
     */
    public record Converted(Mode mode, Body body, String text, List<String> lost) {}

    /**
     * Converts a template.
     *
     * @param body what it is made of; empty when it is plain
     * @param text its words, when it is plain
     */
    public static Converted convert(Mode from, Body body, String text, Mode to) {
        Conversion conversion = new Conversion();
        Body carried = from == Mode.PLAIN ? fromText(text) : body;
        if (to == Mode.PLAIN) {
            String words = from == Mode.PLAIN ? text : conversion.toText(body);
            if (!body.page().equals(PageChoice.NONE)) {
                conversion.lost.add("Page: its own width, colours and fonts.");
            }
            return new Converted(to, Body.EMPTY, words, List.copyOf(conversion.lost));
        }
        Body made = from == Mode.DESIGNED && to == Mode.LETTER ? conversion.toLetter(carried) : carried;
        return new Converted(to, made, "", List.copyOf(conversion.lost));
    }

    /** An empty line parts paragraphs; a hyphen and a space begin an item of a list. */
    private static Body fromText(String text) {
        List<Paragraph> paragraphs = new ArrayList<>();
        for (String part : text.strip().split("\n[ \t]*\n+")) {
            if (part.startsWith("- ")) {
                part.lines().forEach(line -> paragraphs.add(item(line)));
            } else if (!part.isEmpty()) {
                paragraphs.add(Paragraph.of(part));
            }
        }
        return single(List.of(Block.of("b1", new Content.Text(new RichText(paragraphs)))));
    }

    /** Each three spaces before the hyphen stand one level further in. */
    private static Paragraph item(String line) {
        String words = line.stripLeading();
        boolean item = words.startsWith("- ");
        return new Paragraph(
                item ? Kind.BULLET : Kind.PARAGRAPH,
                Align.START,
                (line.length() - words.length() + 1) / 3,
                List.of(new Run(item ? words.substring(2) : line, Marks.NONE)));
    }

    private static Body single(List<Block> blocks) {
        return new Body(
                List.of(new Band("band1", List.of(new Column(1, Column.Upright.TOP, blocks)), Look.USUAL, "", false)));
    }

    private Body toLetter(Body body) {
        List<Block> blocks = new ArrayList<>();
        for (Band band : body.bands()) {
            if (band.columns().size() > 1) {
                lost.add("Columns: they become one below the other.");
            }
            box(band.look(), band.hiddenOnSmall());
            band.blocks().forEach(block -> {
                box(block.look(), block.hiddenOnSmall());
                blocks.add(new Block(
                        block.id(), block.content(), Look.USUAL, both(band.shownWhen(), block.shownWhen()), false));
            });
        }
        lost.add("The header and footer of the style: a letter has none.");
        return body.with(single(blocks).bands());
    }

    private void box(Look look, boolean hiddenOnSmall) {
        if (!look.background().isEmpty() || look.border() > 0) {
            lost.add("Backgrounds and borders.");
        }
        if (hiddenOnSmall) {
            lost.add("Blocks hidden on phones are shown there too.");
        }
    }

    private static String both(String band, String block) {
        if (band.isBlank() || block.isBlank()) {
            return band.isBlank() ? block : band;
        }
        return "(" + band.strip() + ") and (" + block.strip() + ")";
    }

    private String toText(Body body) {
        List<String> parts = new ArrayList<>();
        for (Band band : body.bands()) {
            band.blocks().forEach(block -> {
                String words = words(block.content());
                String when = both(band.shownWhen(), block.shownWhen());
                if (!words.isBlank()) {
                    parts.add(when.isBlank() ? words : "{when " + when.strip() + "}" + words + "{end}");
                }
            });
        }
        return String.join("\n\n", parts);
    }

    private String words(Content content) {
        return switch (content) {
            case Content.Text text -> rich(text.text());
            case Content.Pairing pairing -> {
                lost.add("Pictures.");
                yield rich(pairing.text());
            }
            case Content.Button button -> labelled(button.label(), button.link());
            case Content.Picture picture -> {
                lost.add("Pictures.");
                yield picture.link().isEmpty() ? "" : labelled(picture.description(), picture.link());
            }
            case Content.VideoStill still -> {
                lost.add("Pictures.");
                yield labelled(still.description(), still.address());
            }
            case Content.Items items -> {
                lost.add("The table of the deal’s lines.");
                yield "";
            }
            case Content.Event event -> {
                lost.add("The calendar file of an event; its day and place stay as words.");
                yield event.title() + "\n" + event.day() + (event.time() == null ? "" : ", " + event.time())
                        + (event.place().isEmpty() ? "" : "\n" + event.place());
            }
            case Content.Card card -> {
                List<String> lines = new ArrayList<>(card.facts());
                lines.addFirst(card.title());
                yield String.join("\n", lines);
            }
            case Content.SocialLinks links ->
                String.join(
                        "\n",
                        links.links().stream()
                                .map(link -> labelled(link.label(), link.address()))
                                .toList());
            case Content.Signature signature -> BodyText.SIGNATURE;
            case Content.Feed feed -> {
                lost.add("The newest entries of “" + feed.name() + "”.");
                yield "";
            }
            case Content.OwnHtml html -> {
                lost.add("How own HTML looks; its words stay.");
                yield HtmlWords.of(HtmlCleaner.cleanSource(html.source()).html());
            }
            case Content.Passage passage -> {
                lost.add("The passage “" + passage.name()
                        + "” stays as it reads now, and no longer follows its changes.");
                yield toText(new Body(passage.bands()));
            }
            case Content.Divider divider -> {
                lost.add("Lines and space between blocks.");
                yield "";
            }
            case Content.Spacer spacer -> {
                lost.add("Lines and space between blocks.");
                yield "";
            }
            case Content.Unknown unknown -> {
                lost.add("A block that was made by a newer Famulus: " + unknown.name() + ".");
                yield "";
            }
        };
    }

    private static String labelled(String label, String address) {
        return address.isEmpty() || label.isEmpty() ? label + address : label + ": " + address;
    }

    private String rich(RichText text) {
        StringBuilder words = new StringBuilder();
        ListCount count = new ListCount();
        for (Paragraph paragraph : text.paragraphs()) {
            Kind kind = paragraph.kind();
            count.next(paragraph);
            words.append(words.isEmpty() ? "" : count.goesOn() ? "\n" : "\n\n").append(count.lead());
            paragraph.runs().forEach(run -> words.append(run(run)));
            if (!kind.isItem() && kind != Kind.PARAGRAPH) {
                lost.add("Headings and quotations become ordinary paragraphs.");
            }
        }
        return words.toString();
    }

    private String run(Run run) {
        Marks marks = run.marks();
        if (!new Marks(false, false, false, false, "", 0, marks.link()).equals(marks)) {
            lost.add("Bold, italic, colours and sizes.");
        }
        return marks.link().isEmpty() || marks.link().equals(run.text())
                ? run.text()
                : run.text() + " <" + marks.link() + ">";
    }
}
