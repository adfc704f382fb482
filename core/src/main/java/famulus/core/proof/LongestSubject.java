package famulus.core.proof;

import famulus.core.field.MergeContext;
import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.merge.Program;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;

/**
 * A subject as it reads for somebody else: whoever has the longest value of one of its fields.
 *
 * @param text the subject
 * @param path the field
 * @param value what it says for them
 */
public record LongestSubject(String text, Path path, String value) {
    /**
     * The longest that a subject gets when the value of one of its fields is exchanged, and all others stay as they are for one
     * person. A format, a fallback or a choice does with the value what it does with any other.
     *
     * @param subject the line as it is written
     * @param settings of the person it is merged for
     * @param context what is known of that person
     * @param longest the longest value of each field, of those that have one
     * @return empty where the subject has none of these fields
     */
    public static Optional<LongestSubject> of(
            Program subject, MergeSettings settings, MergeContext context, Map<Path, String> longest) {
        return subject.paths().stream()
                .filter(longest::containsKey)
                .map(path -> new LongestSubject(
                        new Merger(settings.choosing(path, new Value.Text(longest.get(path))))
                                .merge(subject, context, Place.HEADER)
                                .text()
                                .strip(),
                        path,
                        longest.get(path)))
                .max(Comparator.comparingInt(LongestSubject::length));
    }

    /** In characters. */
    int length() {
        return text.codePointCount(0, text.length());
    }
}
