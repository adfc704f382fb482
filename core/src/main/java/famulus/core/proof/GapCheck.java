package famulus.core.proof;

import famulus.core.field.Path;
import famulus.core.field.Root;
import famulus.core.merge.Gap;
import famulus.core.message.MessagePart;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * {@code gap}: a field with neither value nor fallback for the person written to; {@code sender} where it is the sender who
 * lacks it, and can add it for good.
 */
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
                    boolean ours = gap.path().root().equals(Root.SENDER.word());
                    notes.add(new Note(
                            (ours ? StopCode.SENDER : StopCode.GAP).code(),
                            Note.Level.STOP,
                            title(gap.path(), subject),
                            ours ? "Add it to the sender’s profile, or give it a fallback." : remedy(part),
                            part,
                            gap.span(),
                            List.of()));
                }
            }
        }
        return notes;
    }

    private static String remedy(MessagePart part) {
        return switch (part) {
            case SUBJECT, PREVIEW_TEXT, BODY -> "Give it a fallback, or add the value.";
            case AROUND -> "The header, footer or small print of the style says it. Add the value.";
            case PLAIN_TEXT ->
                "The plain text that is kept by hand says it. Give it a fallback there, or add the value.";
        };
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
