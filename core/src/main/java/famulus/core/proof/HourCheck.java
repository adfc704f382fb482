package famulus.core.proof;

import famulus.core.message.MessagePart;
import java.util.List;

/** {@code hour}: a message that reaches its reader on a holiday, at the weekend, or outside office hours where they are. */
final class HourCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        return subject.around().arrival().stream()
                .flatMap(arrival -> arrival.hours().against(arrival.at(), subject.personName() + " is").stream())
                .limit(1)
                .map(against ->
                        subject.query("hour", against, "“Send later” has hours that suit them.", MessagePart.SUBJECT))
                .toList();
    }
}
