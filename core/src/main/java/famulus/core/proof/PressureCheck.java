package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.proof.Correspondence.Written;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * {@code pressure}: a reader who was written to a few days ago, or who had a message from the same template; and {@code subject-again}:
 * the subject of the last message once more. What goes on with a conversation is expected, and nothing is said of it.
 */
final class PressureCheck implements Check {
    private static final int DAYS = 3;
    /** Words are forgotten by then. */
    private static final int DAYS_OF_TEMPLATE = 120;
    /** What an answer puts before a subject. */
    private static final Pattern ANSWER = Pattern.compile("(?i)^\\s*(?:(?:re|aw|antw|sv)\\s*:\\s*)+");

    @Override
    public List<Note> read(ProofSubject subject) {
        Optional<Correspondence> before = subject.around().before().filter(one -> !one.answering());
        if (!subject.sending() || before.isEmpty()) {
            return List.of();
        }
        LocalDate day = subject.around().day();
        List<Note> notes = new ArrayList<>();
        Optional<Written> lately = before.get().last().filter(last -> ChronoUnit.DAYS.between(last.day(), day) < DAYS);
        Optional<Written> same =
                before.get().template().filter(one -> ChronoUnit.DAYS.between(one.day(), day) < DAYS_OF_TEMPLATE);
        // Of one message both is said at once.
        boolean both = lately.isPresent() && lately.map(Written::id).equals(same.map(Written::id));
        lately.ifPresent(last -> notes.add(note(
                subject,
                "pressure",
                who(last) + " wrote to " + subject.personName() + " " + when(last.day(), day)
                        + (both ? ", from this template" : ""),
                "“" + last.subject() + "”. See whether this can wait, or belongs to that conversation.",
                last)));
        same.filter(one -> !both)
                .ifPresent(one -> notes.add(note(
                        subject,
                        "pressure",
                        subject.personName() + " had a message from this template " + when(one.day(), day),
                        "“" + one.subject() + "”. See whether the same words fit again.",
                        one)));
        String said = subject.merged().subject().text();
        before.get()
                .last()
                .filter(last -> !bare(said).isEmpty() && bare(said).equals(bare(last.subject())))
                .ifPresent(last -> notes.add(note(
                        subject,
                        "subject-again",
                        "The last message to " + subject.personName() + " had the same subject",
                        "Readers take it for the same message. Write another one, or continue that conversation.",
                        last)));
        return notes;
    }

    private static String bare(String subject) {
        return ANSWER.matcher(subject).replaceFirst("").strip().toLowerCase(Locale.ROOT);
    }

    private static String who(Written message) {
        return message.by().isEmpty() ? "You" : message.by();
    }

    private static String when(LocalDate then, LocalDate day) {
        return switch ((int) ChronoUnit.DAYS.between(then, day)) {
            case 0 -> "today";
            case 1 -> "yesterday";
            default ->
                "on "
                        + then.format(DateTimeFormatter.ofPattern(
                                then.getYear() == day.getYear() ? "d MMMM" : "d MMMM uuuu", Locale.ENGLISH));
        };
    }

    private static Note note(ProofSubject subject, String code, String title, String remedy, Written about) {
        return subject.query(code, title, remedy, MessagePart.SUBJECT).about(about.id());
    }
}
