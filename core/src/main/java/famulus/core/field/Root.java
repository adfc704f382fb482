package famulus.core.field;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The first word of a path. */
public enum Root {
    PERSON(RecordKind.PERSON),
    CONTACT(RecordKind.CONTACT),
    LEAD(RecordKind.LEAD),
    DEAL(RecordKind.DEAL),
    ORGANISATION(RecordKind.ORGANISATION),
    OWNER(RecordKind.USER),
    SENDER(RecordKind.USER),
    HOUSE(RecordKind.HOUSE),
    HISTORY(RecordKind.HISTORY),
    /** The newest of the deal. */
    DOCUMENT(RecordKind.DOCUMENT);

    private final RecordKind kind;

    Root(RecordKind kind) {
        this.kind = kind;
    }

    /** Whose fields stand behind the word. */
    public RecordKind kind() {
        return kind;
    }

    /** The word itself. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The root a path begins with, if it is one. */
    public static Optional<Root> of(Path path) {
        return Arrays.stream(values())
                .filter(root -> root.word().equals(path.root()))
                .findFirst();
    }
}
