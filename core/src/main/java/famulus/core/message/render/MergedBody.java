package famulus.core.message.render;

import famulus.core.field.Value;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import famulus.core.message.body.Keys;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import famulus.core.message.body.SlotPieces;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Merged pieces, sorted back to the strings they came from. */
final class MergedBody {
    private final ToRender message;
    private final SlotPieces slots;

    MergedBody(ToRender message) {
        this.message = message;
        this.slots = new SlotPieces(message.text(), message.merged());
    }

    /** Whether a block or band with such a condition is shown to this person. */
    boolean shown(String id, String shownWhen) {
        return slots.shown(id, shownWhen);
    }

    /** The merged words of one string. */
    String text(String key) {
        StringBuilder text = new StringBuilder();
        inlines(key, Marks.NONE, "").forEach(inline -> text.append(inline.text()));
        return text.toString().strip();
    }

    /** Whether a string has a field that is neither filled nor replaced by a fallback. */
    boolean hasGap(String key) {
        return slots.hasGap(key);
    }

    /** Whether all that a string would say is blank on purpose: only the words around it are left. */
    boolean saysNothing(String key) {
        return slots.saysNothing(key);
    }

    /** The words of one string, each stretch with where it came from. */
    List<Inline> inlines(String key, Marks marks, String address) {
        List<Inline> inlines = new ArrayList<>();
        for (Piece piece : pieces(key)) {
            boolean open = piece.origin() == Origin.GAP || piece.origin() == Origin.ASKED;
            if (open && message.proof() != null) {
                String shown = piece.origin() == Origin.ASKED
                        ? piece.stored().orElse("?")
                        : piece.path().map(message.proof().gap()).orElse("?");
                inlines.add(new Inline(shown, marks, "", Inline.From.GAP));
            } else if (!piece.text().isEmpty()) {
                inlines.add(new Inline(piece.text(), marks, address, from(piece)));
            }
        }
        return inlines;
    }

    private static Inline.From from(Piece piece) {
        return switch (piece.origin()) {
            case RECORD, CHOSEN, ANSWERED -> Inline.From.RECORD;
            case FALLBACK -> Inline.From.FALLBACK;
            case BROKEN -> Inline.From.GAP;
            default -> Inline.From.WRITTEN;
        };
    }

    /** HTML of a writer's own, with its values put in. */
    String html(String key) {
        return message.proof() == null ? MergedHtml.of(pieces(key)) : MergedHtml.of(pieces(key), this::marked);
    }

    private String marked(Piece piece) {
        boolean open = piece.origin() == Origin.GAP || piece.origin() == Origin.ASKED;
        String shown = !open
                ? piece.text()
                : piece.origin() == Origin.ASKED
                        ? piece.stored().orElse("?")
                        : piece.path().map(message.proof().gap()).orElse("?");
        String from = open ? "gap" : from(piece).name().toLowerCase(Locale.ROOT);
        return "<span class=\"from-" + from + "\">" + Html.escaped(shown) + "</span>";
    }

    /** An address that may be linked to; empty when it is none. */
    String address(String key) {
        return Address.safe(Address.merged(pieces(key)));
    }

    /** The value that the one field of a string gave. */
    Optional<Value> value(String key) {
        return pieces(key).stream().flatMap(piece -> piece.value().stream()).findFirst();
    }

    /** A paragraph with its merged words. */
    record TextParagraph(Paragraph paragraph, List<Inline> inlines) {}

    /** The paragraphs that have something in them for this person, or were left empty by the writer. */
    List<TextParagraph> paragraphs(String id, RichText text) {
        List<TextParagraph> all = new ArrayList<>();
        for (int p = 0; p < text.paragraphs().size(); p++) {
            Paragraph paragraph = text.paragraphs().get(p);
            List<Inline> inlines = new ArrayList<>();
            boolean written = false;
            for (int r = 0; r < paragraph.runs().size(); r++) {
                Run run = paragraph.runs().get(r);
                written |= !run.text().isEmpty();
                String address = run.marks().link().isEmpty() ? "" : address(Keys.runLink(id, p, r));
                inlines.addAll(inlines(Keys.run(id, p, r), run.marks(), address));
            }
            boolean empty = inlines.stream().allMatch(inline -> inline.text().isBlank());
            if (!written || !empty) {
                all.add(new TextParagraph(paragraph, inlines));
            }
        }
        return all;
    }

    private List<Piece> pieces(String key) {
        return slots.of(key);
    }
}
