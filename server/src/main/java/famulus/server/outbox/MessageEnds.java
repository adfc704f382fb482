package famulus.server.outbox;

import famulus.server.outbox.OutboxMapper.AtRow;
import famulus.server.records.CrmKind;
import famulus.server.records.PersonSummaries;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Keeps in sum, of the person a message is to, that it was not written after all. */
@Component
class WrittenCounts {
    private final OutboxMapper mapper;
    private final PersonSummaries summaries;

    WrittenCounts(OutboxMapper mapper, PersonSummaries summaries) {
        this.mapper = mapper;
        this.summaries = summaries;
    }

    /** Takes a message out of the sum that has just been refused, or cancelled while it waited. */
    void takenBack(UUID message) {
        mapper.to(message)
                .filter(to -> !to.test())
                .ifPresent(to -> summaries.unwrote(
                        CrmKind.of(to.personKind()), to.personId(), () -> mapper.lastWritten(to.personId())
                                .map(AtRow::at)));
    }
}
