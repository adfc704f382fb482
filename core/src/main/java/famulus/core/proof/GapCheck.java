package famulus.core.proof;

import famulus.core.field.Path;
import famulus.core.merge.Gap;
import famulus.core.merge.Merged;
import famulus.core.message.MessagePart;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

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
        notes.addAll(beside(
                subject,
                subject.merged().around(),
                "The header, footer or small print of the style says it. Add the value."));
        notes.addAll(beside(
                subject,
                subject.merged().own(),
                "The plain text that is kept by hand says it. Add the value, or give it a fallback there."));
        return notes;
    }

    /** What stands beside the texts of a message has no place in them: it is said at its end. */
    private static List<Note> beside(ProofSubject subject, Optional<Merged> text, String remedy) {
        int end = subject.source().body().length();
        return text.stream()
                .flatMap(merged -> merged.gaps().stream())
                .map(gap -> title(gap.path(), subject))
                .distinct()
                .map(title -> new Note(
                        "gap", Note.Level.STOP, title, remedy, MessagePart.BODY, new Span(end, end), List.of()))
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
