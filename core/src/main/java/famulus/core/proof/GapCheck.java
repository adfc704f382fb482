package famulus.core.proof;

import famulus.core.field.Path;
import famulus.core.merge.Gap;
import famulus.core.message.MessagePart;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** {@code gap}: a field with neither value nor fallback for the person written to. */
final class GapCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        List<Note> notes = new ArrayList<>();
        for (MessagePart part : MessagePart.values()) {
            for (Gap gap : subject.merged().merged(part).gaps()) {
                boolean broken = subject.problems().getOrDefault(part, List.of()).stream()
                        .anyMatch(
                                problem -> problem.span().start() >= gap.span().start()
                                        && problem.span().end() <= gap.span().end());
                if (!broken) {
                    notes.add(new Note(
                            "gap",
                            Note.Level.STOP,
                            title(gap.path(), subject),
                            "Give it a fallback, or add the value.",
                            part,
                            gap.span(),
                            List.of()));
                }
            }
        }
        notes.addAll(around(subject));
        return notes;
    }

    /** What the header, footer or small print of its style lacks stands in no text of a plain message: it is said at its end. */
    private static List<Note> around(ProofSubject subject) {
        int end = subject.source().body().length();
        return subject.merged().around().stream()
                .flatMap(around -> around.gaps().stream())
                .map(gap -> title(gap.path(), subject))
                .distinct()
                .map(title -> new Note(
                        "gap",
                        Note.Level.STOP,
                        title,
                        "The header, footer or small print of the style says it. Add the value.",
                        MessagePart.BODY,
                        new Span(end, end),
                        List.of()))
                .toList();
    }

    /** Who lacks what. */
    static String title(Path path, ProofSubject subject) {
        return whose(path, subject) + " has no " + subject.label().apply(path).toLowerCase(Locale.ROOT);
    }

    /** A detail of our company or of the sender is never counted as missing for the person. */
    private static String whose(Path path, ProofSubject subject) {
        return switch (path.root()) {
            case "sender" -> "The sender";
            case "our" -> "Our company";
            default -> path.words().contains("owner") ? "The owner" : subject.personName();
        };
    }
}
