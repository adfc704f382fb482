package famulus.server.records;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** What stands around many people, read for all of them at once. */
@Mapper
interface PeopleMapper {
    /** A deal of a contact's; {@code open} as long as its stage is. */
    record DealRow(UUID contactId, UUID id, String name, boolean open) {}

    /** Somebody who is written to at the same address as somebody else. */
    record SharerRow(UUID personId, UUID otherId, String title, String firstName, String lastName, String formality) {}

    /** What was written to and heard from somebody; moments are null when there was nothing. */
    record HistoryRow(
            UUID personId,
            int timesWritten,
            Instant lastWritten,
            Instant lastReply,
            Instant lastCalled,
            Instant lastOpened,
            Instant lastClicked,
            String clickedLink,
            boolean unsubscribed) {}

    /** A deal's newest document. */
    record NewestDocument(UUID dealId, UUID id, String name, String link, String state, LocalDate stateOn) {}

    /** Each contact's deals, open ones first, then the newest. */
    List<DealRow> deals(@Param("contacts") Collection<UUID> contacts);

    /** For each person the others whose first address is the same, by name. */
    List<SharerRow> sharers(@Param("people") Collection<UUID> people);

    List<HistoryRow> history(@Param("people") Collection<UUID> people);

    List<NewestDocument> documents(@Param("deals") Collection<UUID> deals);
}
