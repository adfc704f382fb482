package famulus.core.proof;

import famulus.core.field.Path;
import famulus.core.merge.Origin;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessagePart;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/**
 * What a field of a message says, though it may have become words since.
 *
 * @param label what the field is called on screen
 * @param text as it is printed
 */
public record SaidValue(Kind kind, String label, String text) {
    private static final Set<String> OF_PEOPLE = Set.of("first_name", "last_name", "full_name");
    private static final Set<String> OF_OTHERS = Set.of("name", "town", "company", "job_title");

    /** What may be expected of a value. */
    public enum Kind {
        /** The name of a person, or a part of it. */
        PERSON,
        /** Another name. */
        NAME,
        /** Anything. */
        OTHER
    }

    /** Those of a message, each once, in its order; fallbacks and what was answered are none. */
    public static List<SaidValue> of(MergedMessage merged, Function<Path, String> label) {
        return Arrays.stream(MessagePart.values())
                .flatMap(part -> merged.merged(part).pieces().stream())
                .filter(piece ->
                        piece.origin() == Origin.RECORD && !piece.text().isBlank())
                .map(piece -> new SaidValue(
                        piece.path().map(SaidValue::kind).orElse(Kind.OTHER),
                        piece.path().map(label).orElse(""),
                        piece.text()))
                .distinct()
                .toList();
    }

    private static Kind kind(Path path) {
        String last = path.words().getLast();
        return OF_PEOPLE.contains(last) ? Kind.PERSON : OF_OTHERS.contains(last) ? Kind.NAME : Kind.OTHER;
    }
}
