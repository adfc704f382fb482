package famulus.core.proof;

import famulus.core.field.Path;
import famulus.core.field.Root;
import famulus.core.merge.Piece;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessagePart;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What a field of a message says, though it may have become words since.
 *
 * @param label what the field is called on screen
 * @param text as it is printed
 * @param lastTrue the day it was last true, of a detail of our company that should have been looked at since
 */
public record SaidValue(Kind kind, String label, String text, Optional<LocalDate> lastTrue) {
    private static final Set<String> OF_PEOPLE = Set.of("first_name", "last_name", "full_name");
    private static final Set<String> OF_OTHERS = Set.of("name", "town", "company", "job_title");

    /** What may be expected of a value. */
    public enum Kind {
        /** The name of a person, or a part of it. */
        PERSON,
        /** Another name. */
        NAME,
        /** What stands for the name of a person that is not known. */
        INSTEAD_OF_NAME,
        /** Anything. */
        OTHER
    }

    /** One that nothing else is known of. */
    public SaidValue(Kind kind, String label, String text) {
        this(kind, label, text, Optional.empty());
    }

    /**
     * Those of a message, each once, in its order; what was answered, and what stands for anything but a name, is none.
     *
     * @param lastTrue the details of our company that should have been looked at, each with the day it was last true
     */
    public static List<SaidValue> of(
            MergedMessage merged, Function<Path, String> label, Map<Path, LocalDate> lastTrue) {
        return Arrays.stream(MessagePart.values())
                .flatMap(part -> merged.merged(part).pieces().stream())
                .filter(piece -> !piece.text().isBlank())
                .flatMap(piece -> of(piece, label, lastTrue).stream())
                .distinct()
                .toList();
    }

    private static Optional<SaidValue> of(Piece piece, Function<Path, String> label, Map<Path, LocalDate> lastTrue) {
        String called = piece.path().map(label).orElse("");
        Kind kind = piece.path().map(SaidValue::kind).orElse(Kind.OTHER);
        Optional<LocalDate> day = piece.path().map(lastTrue::get);
        return switch (piece.origin()) {
            case RECORD -> Optional.of(new SaidValue(kind, called, piece.text(), day));
            case FALLBACK ->
                piece.path()
                        .filter(path -> piece.value().isEmpty())
                        .filter(path -> path.root().equals(Root.PERSON.word()) && kind == Kind.PERSON)
                        .map(path -> new SaidValue(Kind.INSTEAD_OF_NAME, called, piece.text()));
            default -> Optional.empty();
        };
    }

    private static Kind kind(Path path) {
        String last = path.words().getLast();
        return OF_PEOPLE.contains(last) ? Kind.PERSON : OF_OTHERS.contains(last) ? Kind.NAME : Kind.OTHER;
    }
}
