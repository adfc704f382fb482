package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.syntax.Span;
import java.util.List;
import java.util.Locale;

/** {@code heavy}: a message that mail programs cut short, or that takes long on a phone. */
public final class Heavy {
    /** Some mail programs show no more of a message than this. */
    private static final int MOST_HTML = 100_000;

    private static final int MOST_PICTURES = 1_000_000;

    private Heavy() {}

    /**
     * Says what weighs too much.
     *
     * @param html bytes of the HTML part
     * @param pictures bytes of all pictures together
     */
    public static List<Note> notes(int html, long pictures) {
        if (html > MOST_HTML) {
            return List.of(note(
                    "The message is " + html / 1000 + " KB without its pictures",
                    "Some mail programs cut off messages from 100 KB on. Remove something."));
        }
        return pictures > MOST_PICTURES
                ? List.of(note(
                        String.format(Locale.ROOT, "The pictures are %.1f MB together", pictures / 1e6),
                        "Use fewer, or smaller ones; over 1 MB a phone is slow to show them."))
                : List.of();
    }

    private static Note note(String title, String remedy) {
        return new Note(
                QueryCode.HEAVY.code(), Note.Level.QUERY, title, remedy, MessagePart.BODY, new Span(0, 0), List.of());
    }
}
