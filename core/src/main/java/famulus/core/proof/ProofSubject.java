package famulus.core.proof;

import famulus.core.field.Path;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * What the proofreader reads.
 *
 * @param source the texts as written
 * @param problems what the analyser found, by text
 * @param merged the message merged for one person
 * @param personName how that person is called in a note
 * @param label what a path is called on screen
 * @param sending whether it is about to be sent, rather than written as a template
 * @param around what is known besides its words
 */
public record ProofSubject(
        MessageSource source,
        Map<MessagePart, List<Problem>> problems,
        MergedMessage merged,
        String personName,
        Function<Path, String> label,
        boolean sending,
        Circumstances around) {
    /** A question about a text as a whole, which stands beside those about places in it. */
    Note query(String code, String title, String remedy, MessagePart part) {
        Span whole = new Span(0, source.text(part).length());
        return new Note(code, Note.Level.QUERY, title, remedy, part, whole, List.of());
    }

    /** The same with something else known around it. */
    public ProofSubject around(Circumstances other) {
        return new ProofSubject(source, problems, merged, personName, label, sending, other);
    }
}
