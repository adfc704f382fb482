package famulus.core.message.personal;

import famulus.core.message.personal.MergedText.FilledValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Newer values that the sender of a message has taken over: these words are values too, not changes by hand. */
public final class TakenOver {
    private TakenOver() {}

    /**
     * The texts that a message is to be compared with: as they were merged, but for the newer values that stand in it.
     *
     * @param own the texts of the message as they are written now ({@link OwnTexts})
     * @param then its texts as they were merged
     * @param now those of the same template merged now
     */
    public static Map<String, MergedText> in(
            Map<String, String> own, Map<String, MergedText> then, Map<String, MergedText> now) {
        Map<FilledValue, String> others = new HashMap<>();
        Map<String, MergedText> texts = new HashMap<>(then);
        Set<String> keys = new HashSet<>();
        for (NewValue newer : NewValue.between(then, now)) {
            if (!newer.is().isEmpty()) {
                others.put(newer.value(), newer.is());
                keys.add(newer.key());
            }
        }
        for (String key : keys) {
            MergedText before = then.get(key);
            MergedText all = with(before, others);
            List<FilledValue> kept = HandChanges.of(all, own.getOrDefault(key, "")).values().stream()
                    .map(HandChanges.Kept::value)
                    .toList();
            Map<FilledValue, String> taken = new HashMap<>();
            for (int i = 0; i < before.values().size(); i++) {
                FilledValue value = before.values().get(i);
                if (others.containsKey(value) && kept.contains(all.values().get(i))) {
                    taken.put(value, others.get(value));
                }
            }
            texts.put(key, with(before, taken));
        }
        return texts;
    }

    /** A text in which some values say something else. */
    private static MergedText with(MergedText text, Map<FilledValue, String> others) {
        StringBuilder source = new StringBuilder();
        List<FilledValue> values = new ArrayList<>();
        int from = 0;
        for (FilledValue value : text.values()) {
            source.append(text.source(), from, value.start());
            int start = source.length();
            source.append(others.getOrDefault(value, text.text(value)));
            values.add(new FilledValue(
                    start,
                    source.length(),
                    value.written(),
                    value.origin(),
                    value.path(),
                    value.stored(),
                    value.fallback()));
            from = value.end();
        }
        source.append(text.source(), from, text.source().length());
        return new MergedText(source.toString(), values);
    }
}
