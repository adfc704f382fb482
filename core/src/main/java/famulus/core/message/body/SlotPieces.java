package famulus.core.message.body;

import famulus.core.merge.Merged;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import famulus.core.message.body.BodyText.Slot;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The merged pieces of a body, sorted back to the strings they came from. */
public final class SlotPieces {
    private final Map<String, List<Piece>> bySlot = new HashMap<>();

    /**
     * Sorts.
     *
     * @param text the words of the body
     * @param merged the same words, merged
     */
    public SlotPieces(BodyText text, Merged merged) {
        List<Slot> slots = text.slots();
        int at = 0;
        for (Piece piece : merged.pieces()) {
            int start = piece.span().start();
            while (at > 0 && slots.get(at).start() > start) {
                at--;
            }
            while (at + 1 < slots.size() && slots.get(at + 1).start() <= start) {
                at++;
            }
            if (at < slots.size()
                    && start >= slots.get(at).start()
                    && start < slots.get(at).end()) {
                bySlot.computeIfAbsent(slots.get(at).key(), any -> new ArrayList<>())
                        .add(piece);
            }
        }
    }

    /** The pieces of one string, in order; none when the string is empty or not shown to this person. */
    public List<Piece> of(String key) {
        return bySlot.getOrDefault(key, List.of());
    }

    /** Whether nothing is missing or broken in one string. */
    public boolean complete(String key) {
        return of(key).stream()
                .noneMatch(piece -> piece.origin() == Origin.GAP
                        || piece.origin() == Origin.ASKED
                        || piece.origin() == Origin.BROKEN);
    }

    /**
     * Whether a block or band is shown to the person it was merged for.
     *
     * @param shownWhen its condition; empty for always
     */
    public boolean shown(String id, String shownWhen) {
        return shownWhen.isBlank() || of(Keys.when(id)).stream().anyMatch(piece -> piece.origin() == Origin.BRANCH);
    }

    /** Whether a string has a field that is neither filled nor replaced by a fallback. */
    public boolean hasGap(String key) {
        return of(key).stream().anyMatch(piece -> piece.origin() == Origin.GAP);
    }

    /** Whether all that a string would say is blank on purpose: only the words around it are left. */
    public boolean saysNothing(String key) {
        List<Piece> fields = of(key).stream()
                .filter(piece -> piece.origin() != Origin.WRITTEN)
                .toList();
        return !fields.isEmpty() && fields.stream().allMatch(piece -> piece.origin() == Origin.BLANK);
    }

    /** The merged words of one string. */
    public String text(String key) {
        StringBuilder text = new StringBuilder();
        of(key).forEach(piece -> text.append(piece.text()));
        return text.toString();
    }
}
