package famulus.server.records;

import famulus.server.records.PersonSummaryMapper.LastRow;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;

/**
 * The history of each person in sum, in a row of their own: read by lists, fields and conditions in place of
 * counting messages. Each method is called in the transaction that changes what is summed up.
 */
@Service
public class PersonSummaries {
    private final PersonSummaryMapper mapper;
    private final RecordIndex index;
    private final ApplicationEventPublisher told;

    PersonSummaries(PersonSummaryMapper mapper, RecordIndex index, ApplicationEventPublisher told) {
        this.told = told;
        this.mapper = mapper;
        this.index = index;
    }

    /** Makes the row of somebody who has just been added. */
    void begin(UUID person) {
        mapper.begin(person);
    }

    /** Makes the rows of people who have just been added. */
    void begin(Collection<UUID> people) {
        mapper.beginAll(people);
    }

    /** Keeps that somebody was written to. */
    public void wrote(CrmKind kind, UUID person, Instant at) {
        mapper.wrote(person, at);
        mapper.lastWritten(person).ifPresent(last -> index.written(kind, person, last.at()));
    }

    /** Keeps that somebody was written to with several others. */
    public void wroteToSeveral(UUID person, Instant at) {
        mapper.wroteToSeveral(person, at);
    }

    /** Keeps when that was last; null for never. */
    public void keepToSeveral(UUID person, Instant at) {
        mapper.keepToSeveral(person, at);
    }

    /**
     * Keeps that one message to somebody counts no more.
     *
     * @param last when they were written to last without it; empty for never. Asked once nobody else can change their row.
     */
    public void unwrote(CrmKind kind, UUID person, Supplier<Optional<Instant>> last) {
        mapper.hold(person);
        Instant at = last.get().orElse(null);
        mapper.unwrote(person, at);
        index.written(kind, person, at);
    }

    /**
     * What is known of how somebody read their messages; moments are null for never.
     *
     * @param clickedLink null for none
     */
    public record Readings(Instant lastOpened, Instant lastClicked, String clickedLink) {}

    /**
     * Keeps how somebody read their messages.
     *
     * @param readings asked once nobody else can change their row: of two who read at once each knows the other then
     */
    public void read(UUID person, Supplier<Readings> readings) {
        mapper.hold(person);
        Readings now = readings.get();
        mapper.read(person, now.lastOpened(), now.lastClicked(), now.clickedLink());
    }

    /** Until the transaction ends nobody else changes what is known of a person in sum. */
    public void hold(UUID person) {
        mapper.hold(person);
    }

    /** Keeps whether somebody wants no messages that go to several at once. */
    public void unsubscribed(UUID person, boolean unsubscribed) {
        mapper.unsubscribed(person, unsubscribed);
    }

    /**
     * What matters of somebody before a message goes to several.
     *
     * @param lastWritten null for never
     * @param lastToSeveral when they got the last message that went to several at once; null for never
     */
    public record Reached(UUID personId, Instant lastWritten, Instant lastToSeveral) {}

    /** The same of many, by person. */
    public Map<UUID, Reached> reached(Collection<UUID> people) {
        return people.isEmpty()
                ? Map.of()
                : mapper.reached(people).stream().collect(Collectors.toMap(Reached::personId, Function.identity()));
    }

    /** When somebody answered last, as far as it is known. */
    public Optional<Instant> lastReply(UUID person) {
        return mapper.lastReply(person).map(LastRow::at);
    }

    /** Keeps what was heard from somebody, after an entry of their history was added or taken back. */
    void heard(UUID person) {
        mapper.hold(person);
        mapper.heard(person);
        told.publishEvent(new PersonHeard(person));
    }

    /** Keeps which of their open deals is the newest, after deals of some contacts have changed. */
    void deals(Collection<UUID> contacts) {
        if (!contacts.isEmpty()) {
            contacts.stream().sorted().forEach(mapper::hold);
            mapper.deals(List.copyOf(contacts));
        }
    }

    /** The same for the contacts of one deal. */
    void dealsOfContactsOf(UUID deal) {
        deals(mapper.contactsOf(deal));
    }
}
