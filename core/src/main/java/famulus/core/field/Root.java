package famulus.core.field;

import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The first word of a path. */
public enum Root {
    PERSON(RecordKind.PERSON),
    CONTACT(RecordKind.CONTACT),
    LEAD(RecordKind.LEAD),
    DEAL(RecordKind.DEAL),
    ORGANISATION(RecordKind.ORGANISATION),
    OWNER(RecordKind.USER),
    SENDER(RecordKind.USER),
    /** Our own company: {@code our.name}. */
    OUR(RecordKind.OUR_COMPANY),
    HISTORY(RecordKind.HISTORY),
    /** The newest of the deal. */
    DOCUMENT(RecordKind.DOCUMENT),
    MESSAGE(RecordKind.MESSAGE);

    private static final Map<String, Root> BY_WORD =
            Arrays.stream(values()).collect(Collectors.toUnmodifiableMap(Root::word, Function.identity()));

    private final RecordKind kind;
    private final String word;

    Root(RecordKind kind) {
        this.kind = kind;
        this.word = name().toLowerCase(Locale.ROOT);
    }

    /** Whose fields stand behind the word. */
    public RecordKind kind() {
        return kind;
    }

    /** The word itself. */
    public String word() {
        return word;
    }

    /** The root a path begins with, if it is one. */
    public static Optional<Root> of(Path path) {
        return Optional.ofNullable(BY_WORD.get(path.root()));
    }
}
