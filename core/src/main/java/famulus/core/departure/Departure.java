package famulus.core.departure;

import famulus.core.proof.Note;
import famulus.core.proof.QueryCode;
import famulus.core.proof.StopCode;
import java.util.List;

/** The one rule for what may leave. */
public final class Departure {
    private Departure() {}

    /**
     * What stops something from leaving, in the order of the notes; nothing when it may leave. E.g. a gap stops a message to
     * the person who lacks the value, and does not stop its template from being marked ready.
     *
     * @param notes all that the proofreader has to say about the words as they leave
     */
    public static List<Note> stops(Leaving how, List<Note> notes) {
        return notes.stream().filter(note -> stops(how, note)).toList();
    }

    /**
     * What stops a whole mailing, in the order in which it is dealt with; nothing when it may be started. What stops one of its
     * messages holds that one back, and the others go.
     */
    public static List<MailingStop> stops(WholeMailing mailing) {
        return List.copyOf(mailing.stops());
    }

    private static boolean stops(Leaving how, Note note) {
        return note.stops() && (how != Leaving.READY || !ofOnePerson(note.code()));
    }

    private static boolean ofOnePerson(String code) {
        return StopCode.of(code).map(StopCode::ofOnePerson).orElse(false)
                || QueryCode.of(code).map(QueryCode::ofOnePerson).orElse(false);
    }
}
