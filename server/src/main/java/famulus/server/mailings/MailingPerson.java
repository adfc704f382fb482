package famulus.server.mailings;

import famulus.core.audience.Candidate;
import famulus.server.outbox.OutgoingMessage;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import java.time.Instant;
import java.util.UUID;

/**
 * Somebody who gets a mailing.
 *
 * @param chosenId what they were chosen as: the person, or the deal it is about
 * @param heldBy who holds them back; null where nobody does
 * @param draftId the draft of their own words; null for those of the mailing
 * @param dueAt when it leaves; null where that is not known
 * @param moved whether somebody chose that by hand for them
 * @param messageId the message it has become; null while there is none
 * @param turn counts messages after the first one, which was refused
 */
record MailingPerson(
        UUID mailingId,
        UUID chosenId,
        String personKind,
        UUID personId,
        UUID dealId,
        String name,
        String address,
        PersonState state,
        UUID heldBy,
        String why,
        boolean asItIs,
        UUID draftId,
        Instant dueAt,
        boolean moved,
        Instant leftAt,
        UUID messageId,
        int turn,
        Instant openedAt,
        Instant clickedAt,
        Instant repliedAt,
        boolean unsubscribed) {
    /** Somebody of whom nothing else is known yet. */
    static MailingPerson planned(UUID mailing, Candidate one, For to) {
        return new MailingPerson(
                mailing,
                one.key(),
                to.kind().word(),
                to.id(),
                to.deal(),
                one.name(),
                one.address().orElse(""),
                PersonState.PLANNED,
                null,
                "",
                false,
                null,
                null,
                false,
                null,
                null,
                0,
                null,
                null,
                null,
                false);
    }

    /** Somebody who got it, and was chosen by themselves. */
    static MailingPerson sent(UUID mailing, String name, OutgoingMessage message) {
        return new MailingPerson(
                mailing,
                message.personId(),
                message.personKind(),
                message.personId(),
                null,
                name,
                message.toAddress(),
                PersonState.SENT,
                null,
                "",
                false,
                null,
                message.createdAt(),
                false,
                message.sentAt(),
                message.id(),
                0,
                null,
                null,
                null,
                false);
    }

    /**
     * The same as it stands from now on, with what was known of them.
     *
     * @param before null for nothing
     */
    MailingPerson after(MailingPerson before, PersonState other, String reason, Instant due) {
        return before == null
                ? standing(other, null, reason, false, null, due, false, null, 0)
                : standing(
                        other,
                        before.heldBy,
                        reason,
                        before.asItIs,
                        before.draftId,
                        due,
                        before.moved,
                        before.messageId,
                        before.turn);
    }

    /** The same, held back by somebody. */
    MailingPerson held(UUID by, String reason) {
        return standing(PersonState.HELD, by, reason, asItIs, draftId, dueAt, moved, messageId, turn);
    }

    /** The same, held back by nobody; it is due from now on where nothing was planned. */
    MailingPerson released(Instant now) {
        return standing(
                PersonState.PLANNED, null, "", asItIs, draftId, dueAt == null ? now : dueAt, moved, messageId, turn);
    }

    /** The same in words of their own; null for those of the mailing. */
    MailingPerson saying(UUID draft) {
        return standing(state, heldBy, why, asItIs, draft, dueAt, moved, messageId, turn);
    }

    /**
     * The same once more, as it is.
     *
     * @param anew whether the message there was is not to go any more, and another one is made
     */
    MailingPerson again(Instant now, boolean anew) {
        return standing(
                PersonState.PLANNED,
                null,
                "",
                true,
                draftId,
                now,
                moved,
                anew ? null : messageId,
                anew ? turn + 1 : turn);
    }

    /** The same, to leave at a moment that somebody chose for them, whatever is planned for the others. */
    MailingPerson movedTo(Instant at) {
        return standing(state, heldBy, why, asItIs, draftId, at, true, messageId, turn);
    }

    /** The same, to leave at a moment that is planned for them. */
    MailingPerson due(Instant at) {
        return standing(state, heldBy, why, asItIs, draftId, at, false, messageId, turn);
    }

    /** The same, to leave when it is planned. */
    MailingPerson asPlanned() {
        return standing(state, heldBy, why, asItIs, draftId, null, false, messageId, turn);
    }

    /** The same, for whom another message is made than the one that was. */
    MailingPerson anew() {
        return standing(state, heldBy, why, asItIs, draftId, dueAt, moved, null, turn + 1);
    }

    private MailingPerson standing(
            PersonState other,
            UUID by,
            String reason,
            boolean as,
            UUID draft,
            Instant due,
            boolean byHand,
            UUID message,
            int times) {
        return new MailingPerson(
                mailingId,
                chosenId,
                personKind,
                personId,
                dealId,
                name,
                address,
                other,
                by,
                reason,
                as,
                draft,
                due,
                byHand,
                leftAt,
                message,
                times,
                openedAt,
                clickedAt,
                repliedAt,
                unsubscribed);
    }

    /** Whom a message to them is for. */
    For to() {
        return new For(CrmKind.of(personKind), personId, dealId);
    }
}
