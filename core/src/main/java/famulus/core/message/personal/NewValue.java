package famulus.core.message.personal;

import famulus.core.message.personal.MergedText.FilledValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A value of a message that its record has another one for now.
 *
 * @param key which text it stands in
 * @param value where it stood when the message was merged
 * @param was what it said then
 * @param is what it would say now; empty when it would be missing
 */
public record NewValue(String key, FilledValue value, String was, String is) {
    /**
     * The values that would say something else if the message were merged now. One whose field is in the text no more is left
     * alone.
     *
     * @param then the texts of the message as it was merged
     * @param now those of the same template merged now
     */
    public static List<NewValue> between(Map<String, MergedText> then, Map<String, MergedText> now) {
        List<NewValue> found = new ArrayList<>();
        then.keySet().stream().sorted().forEach(key -> {
            MergedText before = then.get(key);
            MergedText after = now.get(key);
            if (after != null) {
                between(key, before, after, found);
            }
        });
        return found;
    }

    /** Fields are told apart by what is written, and of the same ones the first is the first. */
    private static void between(String key, MergedText before, MergedText after, List<NewValue> found) {
        Map<String, Integer> turns = new HashMap<>();
        for (FilledValue value : before.values()) {
            int turn = turns.merge(value.written(), 1, Integer::sum);
            List<FilledValue> same = after.values().stream()
                    .filter(one -> one.written().equals(value.written()))
                    .toList();
            String was = before.text(value);
            boolean missing = same.isEmpty() && after.source().contains(value.written());
            if (missing) {
                found.add(new NewValue(key, value, was, ""));
            } else if (same.size() >= turn) {
                String is = after.text(same.get(turn - 1));
                if (!is.equals(was)) {
                    found.add(new NewValue(key, value, was, is));
                }
            }
        }
    }
}
