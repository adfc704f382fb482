package famulus.core.proof;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What went to a reader before.
 *
 * @param newest the last messages to them, the newest first
 * @param template the last one made of the same template; empty for none
 * @param answering whether the message goes on with a conversation
 */
public record Correspondence(List<Written> newest, Optional<Written> template, boolean answering) {
    public Correspondence {
        newest = List.copyOf(newest);
    }

    /**
     * A message that went to them.
     *
     * @param id which message it is
     * @param day by the reader's calendar
     * @param by who wrote it; empty for whoever writes now
     * @param opening the first words of its body; empty where they are not known
     */
    public record Written(UUID id, LocalDate day, String by, String subject, String opening) {}

    /** The last message to them. */
    public Optional<Written> last() {
        return newest.stream().findFirst();
    }
}
