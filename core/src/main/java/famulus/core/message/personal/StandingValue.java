package famulus.core.message.personal;

import famulus.core.message.personal.HandChanges.Kept;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * A value that still stands in a message as it was merged, although it would say something else by now.
 *
 * @param newer what it was and would be
 * @param kept where it stands
 */
public record StandingValue(NewValue newer, Kept kept) {
    /**
     * Finds them, by key and place. A value that was changed by hand, or taken out, is its sender's to answer for.
     *
     * @param own the texts of the message as they are written now ({@link OwnTexts})
     * @param then its texts as they were merged
     * @param now those of the same template merged now
     */
    public static List<StandingValue> of(
            Map<String, String> own, Map<String, MergedText> then, Map<String, MergedText> now) {
        List<StandingValue> standing = new ArrayList<>();
        for (NewValue newer : NewValue.between(then, now)) {
            String text = own.getOrDefault(newer.key(), "");
            HandChanges.of(then.get(newer.key()), text).values().stream()
                    .filter(kept -> kept.value().equals(newer.value()))
                    .forEach(kept -> standing.add(new StandingValue(newer, kept)));
        }
        standing.sort(Comparator.comparing((StandingValue one) -> one.newer().key())
                .thenComparingInt(one -> one.kept().start()));
        return standing;
    }
}
