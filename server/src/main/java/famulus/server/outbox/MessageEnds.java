package famulus.server.outbox;

import famulus.server.messages.KeptDraftService;
import famulus.server.messages.LeavingCheck;
import famulus.server.outbox.OutboxMapper.AtRow;
import famulus.server.outbox.OutboxMapper.RecipientRow;
import famulus.server.records.CrmKind;
import famulus.server.records.PersonSummaries;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What follows, in the same transaction, when a message has left, or is not to leave after all. */
@Component
class MessageEnds {
    private final OutboxMapper mapper;
    private final PersonSummaries summaries;
    private final KeptDraftService drafts;
    private final LeavingCheck leaving;

    MessageEnds(OutboxMapper mapper, PersonSummaries summaries, KeptDraftService drafts, LeavingCheck leaving) {
        this.leaving = leaving;
        this.mapper = mapper;
        this.summaries = summaries;
        this.drafts = drafts;
    }

    /** A message has left, or is given up: its draft is of no more use. */
    void left(UUID message) {
        drafts.gone(message);
    }

    /** A message was refused: it counts as written no more. */
    void refused(UUID message) {
        mapper.to(message).filter(to -> !to.test()).ifPresent(to -> {
            unwrote(CrmKind.of(to.personKind()), to.personId());
            mapper.recipients(message).stream()
                    .map(RecipientRow::contactId)
                    .filter(Objects::nonNull)
                    .forEach(contact -> unwrote(CrmKind.CONTACT, contact));
        });
    }

    private void unwrote(CrmKind kind, UUID person) {
        summaries.unwrote(kind, person, () -> mapper.lastWritten(person).map(AtRow::at));
        summaries.keepToSeveral(
                person, mapper.lastToSeveral(person).map(AtRow::at).orElse(null));
    }

    /**
     * A message that waited was taken back: it counts as written no more, and what it said is a draft again.
     *
     * @return the draft; empty for a message that had none
     */
    Optional<UUID> takenBack(UUID message) {
        refused(message);
        leaving.forget(message);
        return drafts.writtenAgain(message);
    }
}
