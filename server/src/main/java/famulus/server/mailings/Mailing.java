package famulus.server.mailings;

import java.time.Instant;
import java.util.UUID;

/**
 * A mailing.
 *
 * @param tested a digest of what was sent as a test last; null for no test
 * @param startedBy who started it; null while nobody has
 * @param started a digest of what it said then; null likewise
 * @param restsUntil until when the mail server is left in peace; null for no time
 * @param said why it rests, was paused or has ended; empty for no reason
 */
public record Mailing(
        UUID id,
        String name,
        MailingState state,
        MailingPlan plan,
        int version,
        UUID madeBy,
        Instant createdAt,
        UUID changedBy,
        Instant changedAt,
        String tested,
        Instant testedAt,
        UUID startedBy,
        String started,
        Instant startedAt,
        Instant endedAt,
        Instant restsUntil,
        String said,
        MailingCounts counts) {
    /** Whether it can be changed: before it is started, and while it waits. */
    boolean open() {
        return state == MailingState.WRITING || state == MailingState.PAUSED;
    }
}
