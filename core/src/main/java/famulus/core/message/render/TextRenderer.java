package famulus.core.message.render;

import famulus.core.html.HtmlCleaner;
import famulus.core.html.HtmlWords;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.Content.ItemColumn;
import famulus.core.message.body.Keys;
import famulus.core.message.body.ListCount;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Kind;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Writes the plain twin of a message: paragraphs parted by empty lines, addresses once each, tables in columns. */
final class TextRenderer {
    private static final String RULE = "----------";

    private final ToRender message;
    private final MergedBody words;
    private final CalendarFiles calendars;
    /** Whether a picture that leads nowhere is passed over. */
    private final boolean wordsAlone;

    private final List<String> parts = new ArrayList<>();
    private final Set<String> addresses = new HashSet<>();

    TextRenderer(ToRender message, MergedBody words, CalendarFiles calendars) {
        this(message, words, calendars, false);
    }

    /** One for a message that never had pictures: what they show is not said of them. */
    static TextRenderer ofWordsAlone(ToRender message, MergedBody words, CalendarFiles calendars) {
        return new TextRenderer(message, words, calendars, true);
    }

    private TextRenderer(ToRender message, MergedBody words, CalendarFiles calendars, boolean wordsAlone) {
        this.wordsAlone = wordsAlone;
        this.message = message;
        this.words = words;
        this.calendars = calendars;
    }

    String render() {
        message.design().above().forEach(this::band);
        message.design().body().bands().forEach(this::band);
        return below();
    }

    /** What stands above a body. */
    String above() {
        message.design().above().forEach(this::band);
        return String.join("\n\n", parts);
    }

    /** What stands below a body, after all that was written before. */
    String below() {
        message.design().below().forEach(this::band);
        RichText smallPrint = message.design().style().smallPrint();
        if (!smallPrint.paragraphs().isEmpty()) {
            add(RULE);
            add(rich(Keys.SMALL_PRINT, smallPrint));
        }
        return String.join("\n\n", parts);
    }

    private void add(String part) {
        if (!part.isBlank()) {
            parts.add(part.stripTrailing());
        }
    }

    private void band(Band band) {
        if (words.shown(band.id(), band.shownWhen())) {
            band.blocks()
                    .filter(block -> words.shown(block.id(), block.shownWhen()))
                    .forEach(this::block);
        }
    }

    private void block(Block block) {
        String id = block.id();
        switch (block.content()) {
            case Content.Text text -> add(rich(id, text.text()));
            case Content.Picture picture -> picture(id);
            case Content.Pairing pairing -> {
                picture(id);
                add(rich(id, pairing.text()));
            }
            case Content.Button button -> add(labelled(words.text(Keys.label(id)), words.address(Keys.link(id))));
            case Content.Divider divider -> add(RULE);
            case Content.Items items -> items(id, items);
            case Content.Event event ->
                calendars
                        .event(block)
                        .ifPresent(one -> add(
                                one.title() + "\n" + one.when() + (one.place().isEmpty() ? "" : "\n" + one.place())));
            case Content.Card card -> card(id, card);
            case Content.VideoStill still ->
                add(labelled(words.text(Keys.description(id)), words.address(Keys.link(id))));
            case Content.SocialLinks links -> {
                List<String> lines = new ArrayList<>();
                for (int i = 0; i < links.links().size(); i++) {
                    lines.add(labelled(words.text(Keys.fact(id, i)), words.address(Keys.factLink(id, i))));
                }
                add(String.join("\n", lines));
            }
            case Content.Signature signature -> {
                add(words.text(Keys.label(id)));
                signature.bands().forEach(this::band);
            }
            case Content.Feed feed ->
                feed.shown()
                        .forEach(entry -> add(String.join(
                                "\n",
                                java.util.stream.Stream.of(
                                                entry.title(),
                                                feed.summaries() ? entry.summary() : "",
                                                Address.safe(entry.link()))
                                        .filter(line -> !line.isBlank())
                                        .toList())));
            case Content.OwnHtml html ->
                add(HtmlWords.of(HtmlCleaner.clean(words.html(Keys.source(id))).html()));
            case Content.Passage passage -> passage.bands().forEach(this::band);
            case Content.Spacer spacer -> {}
            case Content.Unknown unknown -> {}
        }
    }

    private void picture(String id) {
        String description = words.text(Keys.description(id));
        String address = words.address(Keys.link(id));
        if (wordsAlone) {
            add(address.isEmpty() ? "" : labelled(description, address));
            return;
        }
        if (!description.isEmpty()) {
            add("[" + description + "]" + (address.isEmpty() ? "" : "\n" + address));
        } else if (!address.isEmpty()) {
            add(address);
        }
    }

    private String labelled(String label, String address) {
        if (address.isEmpty()) {
            return label;
        }
        addresses.add(address);
        return label.isEmpty() || label.equals(address) ? address : label + ": " + address;
    }

    private void card(String id, Content.Card card) {
        List<String> lines = new ArrayList<>();
        lines.add(words.text(Keys.label(id)));
        for (int i = 0; i < card.facts().size(); i++) {
            if (!words.hasGap(Keys.fact(id, i)) && !words.saysNothing(Keys.fact(id, i))) {
                lines.add(words.text(Keys.fact(id, i)));
            }
        }
        lines.removeIf(String::isBlank);
        add(String.join("\n", lines));
    }

    private String rich(String id, RichText rich) {
        StringBuilder text = new StringBuilder();
        ListCount count = new ListCount();
        boolean first = true;
        for (MergedBody.TextParagraph one : words.paragraphs(id, rich)) {
            count.next(one.paragraph());
            text.append(first ? "" : count.goesOn() ? "\n" : "\n\n");
            String lead = one.paragraph().kind() == Kind.QUOTE ? "  " : count.lead();
            String indent = " ".repeat(lead.length());
            text.append(lead).append(inline(one.inlines()).replace("\n", "\n" + indent));
            first = false;
        }
        return text.toString();
    }

    /** Runs of one link count as one; its address follows the words, the first time it is there. */
    private String inline(List<Inline> inlines) {
        StringBuilder text = new StringBuilder();
        StringBuilder linked = new StringBuilder();
        for (int i = 0; i < inlines.size(); i++) {
            Inline inline = inlines.get(i);
            text.append(inline.text());
            if (inline.address().isEmpty()) {
                continue;
            }
            linked.append(inline.text());
            boolean ends =
                    i + 1 == inlines.size() || !inlines.get(i + 1).address().equals(inline.address());
            if (ends) {
                String address = inline.address().replaceFirst("^(mailto|tel):", "");
                if (!linked.toString().strip().equals(address) && addresses.add(inline.address())) {
                    text.append(" <").append(address).append('>');
                }
                linked.setLength(0);
            }
        }
        return text.toString();
    }

    private void items(String id, Content.Items items) {
        if (message.deal().lines().isEmpty()) {
            add(words.text(Keys.label(id)));
            return;
        }
        ItemTable table = ItemTable.of(items, message);
        List<List<String>> rows = new ArrayList<>();
        rows.add(items.columns().stream().map(table::heading).toList());
        rows.addAll(table.rows());
        int[] widths = new int[items.columns().size()];
        rows.forEach(row -> {
            for (int i = 0; i < row.size(); i++) {
                widths[i] = Math.max(widths[i], width(row.get(i)));
            }
        });
        List<String> lines = new ArrayList<>();
        for (List<String> row : rows) {
            StringBuilder line = new StringBuilder();
            for (int i = 0; i < row.size(); i++) {
                ItemColumn column = items.columns().get(i);
                String room = " ".repeat(widths[i] - width(row.get(i)));
                line.append(i == 0 ? "" : "  ")
                        .append(ItemTable.isFigure(column) ? room + row.get(i) : row.get(i) + room);
            }
            lines.add(line.toString().stripTrailing());
        }
        if (items.totals()) {
            int across = java.util.Arrays.stream(widths).sum() + 2 * (widths.length - 1);
            for (ItemTable.Sum sum : table.sums()) {
                int room = Math.max(2, across - width(sum.label()) - width(sum.amount()));
                lines.add(sum.label() + " ".repeat(room) + sum.amount());
            }
        }
        add(String.join("\n", lines));
    }

    private static int width(String text) {
        return text.codePointCount(0, text.length());
    }
}
