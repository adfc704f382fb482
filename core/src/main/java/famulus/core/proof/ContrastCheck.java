package famulus.core.proof;

import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.Contrast;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Keys;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** {@code contrast}: words that are hard to read on their background (WCAG 2.2, 1.4.3). */
final class ContrastCheck implements Check {
    private static final double LEAST = 4.5;
    private static final double LEAST_LARGE = 3;
    /** From so many pixels on words count as large. */
    private static final int LARGE = 24;
    /** Headings are set from this size on, and bold. */
    private static final int LARGE_BOLD = 19;

    @Override
    public List<Note> read(ProofSubject subject) {
        List<Note> notes = new ArrayList<>();
        subject.source()
                .layout()
                .ifPresent(layout -> layout.design().body().bands().forEach(band -> band.blocks()
                        .forEach(block -> read(band, block, layout, notes))));
        return notes;
    }

    private static void read(Band band, Block block, Layout layout, List<Note> notes) {
        HouseStyle style = layout.design().style();
        boolean designed = layout.design().mode() == Mode.DESIGNED;
        String behind = designed
                ? first(
                        block.look().background(),
                        band.look().background(),
                        style.page().sheet())
                : "#ffffff";
        switch (block.content()) {
            case Content.Text text -> words(block, text.text(), behind, layout, notes);
            case Content.Pairing pairing -> words(block, pairing.text(), behind, layout, notes);
            case Content.Button button -> {
                String background = first(button.background(), style.button().background());
                String colour = first(button.colour(), style.button().colour());
                add(block, colour, background, LEAST, Keys.label(block.id()), "The button’s words", layout, notes);
            }
            case Content.Picture other -> {}
            case Content.Divider other -> {}
            case Content.Spacer other -> {}
            case Content.Items other -> {}
            case Content.Event other -> {}
            case Content.Card other -> {}
            case Content.VideoStill other -> {}
            case Content.SocialLinks other -> {}
            case Content.Signature other -> {}
            case Content.Passage other -> {}
            case Content.Feed other -> {}
            case Content.OwnHtml other -> {}
            case Content.Unknown other -> {}
        }
    }

    private static void words(Block block, RichText text, String behind, Layout layout, List<Note> notes) {
        HouseStyle.Type type = layout.design().style().type();
        for (int p = 0; p < text.paragraphs().size(); p++) {
            Paragraph paragraph = text.paragraphs().get(p);
            boolean heading = paragraph.kind().name().startsWith("HEADING");
            for (int r = 0; r < paragraph.runs().size(); r++) {
                Run run = paragraph.runs().get(r);
                if (run.text().isBlank()) {
                    continue;
                }
                String usual = heading ? type.headingColour() : type.colour();
                String colour = first(run.marks().colour(), run.marks().link().isEmpty() ? usual : type.linkColour());
                int size = run.marks().size();
                boolean large = size >= LARGE
                        || (size >= LARGE_BOLD && run.marks().bold())
                        || (size == 0 && (paragraph.kind() == Kind.HEADING_1 || paragraph.kind() == Kind.HEADING_2));
                String key = Keys.run(block.id(), p, r);
                if (add(block, colour, behind, large ? LEAST_LARGE : LEAST, key, "These words", layout, notes)) {
                    // One note a block is enough; the next run likely has the same fault.
                    return;
                }
            }
        }
    }

    private static boolean add(
            Block block,
            String colour,
            String background,
            double least,
            String key,
            String what,
            Layout layout,
            List<Note> notes) {
        double ratio = Contrast.ratio(colour, background);
        if (ratio >= least) {
            return false;
        }
        notes.add(Note.ofBlock(
                "contrast",
                Note.Level.QUERY,
                String.format(Locale.ROOT, "%s are hard to read (%.1f : 1)", what, ratio),
                String.format(
                        Locale.ROOT,
                        "%s on %s. From %s : 1 on, text is easy to read.",
                        colour,
                        background,
                        least == LEAST ? "4.5" : "3"),
                BlockPlaces.near(layout, block.id(), key),
                block.id()));
        return true;
    }

    private static String first(String... colours) {
        for (String colour : colours) {
            if (!colour.isEmpty()) {
                return colour;
            }
        }
        return "#ffffff";
    }
}
