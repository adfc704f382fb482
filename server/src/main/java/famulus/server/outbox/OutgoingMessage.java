package famulus.server.outbox;

import java.time.Instant;
import java.util.UUID;

/**
 * A message on its way or gone, without what it says: its bytes are kept as a wire source under its own identifier.
 *
 * @param messageId the identifier in its header
 * @param templateId what it was written from; null for a message from nothing
 * @param writtenBy who pressed send
 * @param senderId who it goes out as
 * @param organisationId the organisation of the deal or person then; null for none
 * @param maybeRepeated whether it was handed over again because the mail server's answer was lost
 * @param test whether it went to a colleague to be looked at
 */
record OutgoingMessage(
        UUID id,
        String messageId,
        UUID templateId,
        Integer templateVersion,
        UUID writtenBy,
        UUID senderId,
        String personKind,
        UUID personId,
        UUID dealId,
        UUID organisationId,
        String toAddress,
        String fromAddress,
        String subject,
        MessageState state,
        int attempts,
        Instant nextAttemptAt,
        String lastAnswer,
        boolean maybeRepeated,
        Instant createdAt,
        Instant sentAt,
        boolean test) {}
