package famulus.core.proof;

import famulus.core.message.MessagePart;
import java.util.Comparator;
import java.util.List;

/** A set of checks, read in turn. */
public final class Proofreader {
    private final List<Check> checks;

    /** A proofreader with these checks. */
    public Proofreader(List<Check> checks) {
        this.checks = List.copyOf(checks);
    }

    /** The proofreader with every check there is. */
    public static Proofreader standard() {
        return new Proofreader(List.of(
                new FieldCheck(),
                new GapCheck(),
                new AskCheck(),
                new EmptyTextCheck(
                        MessagePart.SUBJECT, "no-subject", "There is no subject", "Say in a line what it is about."),
                new EmptyTextCheck(MessagePart.BODY, "no-body", "There is no text", "Write the message."),
                new LinkCheck(),
                new FillerCheck(),
                new SubjectCheck(),
                new DescriptionCheck(),
                new PassageCheck(),
                new SourceCheck(),
                new ContrastCheck()));
    }

    /** Returns all notes in the order of the message: subject, preview text, body, each from its beginning. */
    public List<Note> read(ProofSubject subject) {
        return checks.stream()
                .flatMap(check -> check.read(subject).stream())
                .sorted(Comparator.comparing(Note::part)
                        .thenComparingInt(note -> note.span().start()))
                .toList();
    }
}
