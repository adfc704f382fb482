package famulus.server.outbox;

import famulus.server.messages.Envelope;
import famulus.server.messages.FrozenMessage;
import famulus.server.messages.FrozenMessage.TemplateVersion;
import famulus.server.records.PeopleContext.Person;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A message on its way or gone, without what it says: its bytes are kept as a wire source under its own identifier.
 *
 * @param messageId the identifier in its header
 * @param templateId what it was written from; null for a message from nothing
 * @param writtenBy who pressed send
 * @param senderId who it goes out as
 * @param organisationId the organisation of the deal or person then; null for none
 * @param firstWords what it begins with, on a line
 * @param maybeRepeated whether it was handed over again because the mail server's answer was lost
 * @param test whether it went to a colleague to be looked at
 * @param plannedFor the hour it was planned for; null for a message that was sent at once
 * @param heldWhy why it was held just before it was to leave; null where it was not
 * @param asItIs whether somebody has said since that it is to go as it is
 * @param mailingId the mailing it is one of; null for a message that stands alone
 */
public record OutgoingMessage(
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
        String firstWords,
        MessageState state,
        int attempts,
        Instant nextAttemptAt,
        String lastAnswer,
        boolean maybeRepeated,
        Instant createdAt,
        Instant sentAt,
        boolean test,
        Instant plannedFor,
        String heldWhy,
        boolean asItIs,
        UUID mailingId) {
    /** When it is handed to the mail server next; when it was written, once it has been. */
    Instant leavesAt() {
        return nextAttemptAt == null ? createdAt : nextAttemptAt;
    }

    /**
     * A message that waits to be sent at a moment.
     *
     * @param plannedFor the hour that its sender has chosen; null where they have chosen none
     */
    static OutgoingMessage waiting(FrozenMessage frozen, Instant at, Instant plannedFor) {
        return of(frozen, MessageState.WAITING, 0, at, null, plannedFor, null);
    }

    /** One of a mailing, which leaves at once. */
    static OutgoingMessage ofMailing(UUID mailing, FrozenMessage frozen) {
        return of(frozen, MessageState.WAITING, 0, frozen.at(), null, null, mailing);
    }

    /** A message that went the moment it was frozen. */
    static OutgoingMessage sent(FrozenMessage frozen) {
        return sent(null, frozen);
    }

    /** The same, as one of a mailing; null for none. */
    static OutgoingMessage sent(UUID mailing, FrozenMessage frozen) {
        return of(frozen, MessageState.SENT, 1, null, frozen.at(), null, mailing);
    }

    private static OutgoingMessage of(
            FrozenMessage frozen,
            MessageState state,
            int attempts,
            Instant nextAttemptAt,
            Instant sentAt,
            Instant plannedFor,
            UUID mailing) {
        Envelope envelope = frozen.envelope();
        Optional<TemplateVersion> template = Optional.ofNullable(frozen.template());
        Person person = envelope.person();
        return new OutgoingMessage(
                frozen.id(),
                frozen.messageId(),
                template.map(TemplateVersion::id).orElse(null),
                template.map(TemplateVersion::version).orElse(null),
                envelope.writtenBy(),
                envelope.sender().id(),
                person.kind().word(),
                person.id(),
                person.deal().orElse(null),
                person.organisation().orElse(null),
                envelope.to().address(),
                envelope.sender().email(),
                envelope.subject(),
                frozen.firstWords(),
                state,
                attempts,
                nextAttemptAt,
                "",
                false,
                frozen.at(),
                sentAt,
                envelope.test(),
                plannedFor,
                null,
                false,
                mailing);
    }
}
