package famulus.core.proof;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * How a company wants its checks: which of those that are questions stop a message, and which are never asked.
 *
 * <pre>
 *     new CheckLevels(Map.of(QueryCode.LEFT_OVER_NAME, CheckLevels.Wanted.STOP)).of(notes)
 * </pre>
 *
 * @param wanted those that are not as they come
 */
public record CheckLevels(Map<QueryCode, Wanted> wanted) {
    /** All as they come. */
    public static final CheckLevels USUAL = new CheckLevels(Map.of());

    /** What a check is to do. */
    public enum Wanted {
        /** Ask. */
        QUERY,
        /** Stop the message. */
        STOP,
        /** Nothing. */
        OFF
    }

    public CheckLevels {
        wanted = Map.copyOf(wanted);
    }

    /** Whether a question stops a message here. */
    public boolean stops(QueryCode code) {
        return wanted.get(code) == Wanted.STOP;
    }

    /** The notes as the company wants them, in their order. What stops by its nature stops. */
    public List<Note> of(List<Note> notes) {
        return notes.stream().flatMap(this::of).toList();
    }

    private Stream<Note> of(Note note) {
        if (note.stops()) {
            return Stream.of(note);
        }
        Wanted level = QueryCode.of(note.code())
                .map(code -> wanted.getOrDefault(code, Wanted.QUERY))
                .orElse(Wanted.QUERY);
        return switch (level) {
            case QUERY -> Stream.of(note);
            case STOP -> Stream.of(note.stopping());
            case OFF -> Stream.empty();
        };
    }
}
