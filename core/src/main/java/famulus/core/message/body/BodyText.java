package famulus.core.message.body;

import famulus.core.html.HtmlCleaner;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Program;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * All the words of a message as one text in the merge language, so that blocks are merged, analysed and proofread by what
 * reads subjects too. Every string of a block has a slot in it; slots are parted by line breaks, but for runs of one
 * paragraph, through which a field or choice may reach. What is <i>shown when</i> stands within a choice.
 */
public final class BodyText {
    /** What a signature block says. */
    static final String SIGNATURE = "{sender.signature else sender.full_name}";

    private final StringBuilder source = new StringBuilder();
    /** Stretches in which braces are no fields: begin and end by turns. */
    private final List<Integer> quiet = new ArrayList<>();

    private final List<Slot> slots = new ArrayList<>();
    private final Map<String, Slot> byKey = new HashMap<>();
    private final int bodyEnd;
    /** The block whose inside is being written; empty for none. */
    private String outer = "";

    private final Program program;

    /**
     * Where one string of the message stands.
     *
     * @param key such as {@code b3/label}, see the methods of {@link Keys}
     * @param owner the block or band it belongs to
     * @param start its first character in the whole text
     */
    public record Slot(String key, String owner, int start, int end) {}

    private BodyText(Design design) {
        design.body().bands().forEach(this::band);
        bodyEnd = source.length();
        design.above().forEach(this::band);
        design.below().forEach(this::band);
        rich(Keys.SMALL_PRINT, Keys.SMALL_PRINT, design.style().smallPrint());
        program = MergeParser.parse(
                source.toString(),
                slots.stream()
                        .flatMapToInt(slot -> IntStream.of(slot.start(), slot.end()))
                        .toArray(),
                quiet.stream().mapToInt(Integer::intValue).toArray());
    }

    /** The words of a message, its wrappings and small print last. */
    public static BodyText of(Design design) {
        return new BodyText(design);
    }

    /** The text. */
    public String source() {
        return source.toString();
    }

    /** The text, parsed. */
    public Program program() {
        return program;
    }

    /** The slots in their order. */
    public List<Slot> slots() {
        return List.copyOf(slots);
    }

    /** The slot of a key; absent when its string is empty. */
    public Optional<Slot> slot(String key) {
        return Optional.ofNullable(byKey.get(key));
    }

    /** The slot in which a place of the text lies. */
    public Optional<Slot> slotAt(int at) {
        int low = 0;
        int high = slots.size() - 1;
        while (low <= high) {
            int middle = (low + high) >>> 1;
            Slot slot = slots.get(middle);
            boolean last = middle == slots.size() - 1 || slots.get(middle + 1).start() > at;
            if (slot.start() <= at && last) {
                return Optional.of(slot);
            }
            if (slot.start() > at) {
                high = middle - 1;
            } else {
                low = middle + 1;
            }
        }
        return Optional.empty();
    }

    /** Whether a place of the text belongs to the house style, not to the body. */
    public boolean ofHouseStyle(int at) {
        return at >= bodyEnd;
    }

    private void band(Band band) {
        within(band.id(), band.shownWhen(), () -> band.blocks().forEach(this::block));
    }

    private void block(Block block) {
        within(block.id(), block.shownWhen(), () -> content(block.id(), block.content()));
    }

    private void within(String id, String shownWhen, Runnable inside) {
        if (shownWhen.isBlank()) {
            inside.run();
            return;
        }
        put(Keys.when(id), id, "{when " + shownWhen.strip() + "}");
        inside.run();
        put(Keys.end(id), id, "{end}");
    }

    private void content(String id, Content content) {
        switch (content) {
            case Content.Text text -> rich(id, id, text.text());
            case Content.Picture picture -> picture(id, picture);
            case Content.Button button -> {
                put(Keys.label(id), id, button.label());
                put(Keys.link(id), id, button.link());
            }
            case Content.Pairing pairing -> {
                picture(id, pairing.picture());
                rich(id, id, pairing.text());
            }
            case Content.Items items -> put(Keys.label(id), id, items.empty());
            case Content.Event event -> {
                put(Keys.label(id), id, event.title());
                put(Keys.day(id), id, event.day());
                put(Keys.place(id), id, event.place());
            }
            case Content.Card card -> {
                put(Keys.label(id), id, card.title());
                for (int i = 0; i < card.facts().size(); i++) {
                    put(Keys.fact(id, i), id, card.facts().get(i));
                }
            }
            case Content.VideoStill still -> {
                put(Keys.link(id), id, still.address());
                put(Keys.description(id), id, still.description());
            }
            case Content.SocialLinks links -> {
                for (int i = 0; i < links.links().size(); i++) {
                    put(Keys.fact(id, i), id, links.links().get(i).label());
                    put(Keys.factLink(id, i), id, links.links().get(i).address());
                }
            }
            case Content.Signature signature -> {
                if (signature.bands().isEmpty()) {
                    put(Keys.label(id), id, SIGNATURE);
                } else {
                    inside(id, signature);
                }
            }
            case Content.Passage passage -> inside(id, passage);
            case Content.OwnHtml html -> {
                for (int end : HtmlCleaner.quiet(html.source())) {
                    quiet.add(source.length() + end);
                }
                put(Keys.source(id), id, html.source());
            }
            case Content.Feed feed -> {}
            case Content.Divider divider -> {}
            case Content.Spacer spacer -> {}
            case Content.Unknown unknown -> {}
        }
    }

    /** What a block stands for: its words belong to the block, which is what can be pointed at. */
    private void inside(String id, Content content) {
        outer = id;
        content.inside().forEach(this::band);
        outer = "";
    }

    private void picture(String id, Content.Picture picture) {
        put(Keys.description(id), id, picture.description());
        put(Keys.link(id), id, picture.link());
    }

    private void rich(String id, String owner, RichText text) {
        for (int p = 0; p < text.paragraphs().size(); p++) {
            Paragraph paragraph = text.paragraphs().get(p);
            for (int r = 0; r < paragraph.runs().size(); r++) {
                Run run = paragraph.runs().get(r);
                add(Keys.run(id, p, r), owner, run.text());
            }
            source.append('\n');
            for (int r = 0; r < paragraph.runs().size(); r++) {
                put(
                        Keys.runLink(id, p, r),
                        owner,
                        paragraph.runs().get(r).marks().link());
            }
        }
    }

    private void put(String key, String owner, String text) {
        if (!text.isEmpty()) {
            add(key, owner, text);
            source.append('\n');
        }
    }

    private void add(String key, String owner, String text) {
        Slot slot = new Slot(key, outer.isEmpty() ? owner : outer, source.length(), source.length() + text.length());
        source.append(text);
        slots.add(slot);
        byKey.put(key, slot);
    }
}
