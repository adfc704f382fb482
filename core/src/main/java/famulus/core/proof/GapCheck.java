package famulus.core.proof;

import famulus.core.merge.Gap;
import famulus.core.message.MessagePart;
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
                    String label = subject.label().apply(gap.path()).toLowerCase(Locale.ROOT);
                    notes.add(new Note(
                            "gap",
                            Note.Level.STOP,
                            whose(gap, subject) + " has no " + label,
                            "Give it a fallback, or fill it in.",
                            part,
                            gap.span(),
                            List.of()));
                }
            }
        }
        return notes;
    }

    /** Whoever lacks the value: what is asked of the sender or the house is not the person's to have. */
    private static String whose(Gap gap, ProofSubject subject) {
        return switch (gap.path().root()) {
            case "sender" -> "The sender";
            case "house" -> "The house";
            default -> gap.path().words().contains("owner") ? "The owner" : subject.personName();
        };
    }
}
