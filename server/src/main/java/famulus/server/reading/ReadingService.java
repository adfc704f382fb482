package famulus.server.reading;

import famulus.core.delivery.CountedLinks;
import famulus.core.delivery.Reading;
import famulus.server.choices.ReaderChoices;
import famulus.server.contents.WireSources;
import famulus.server.messages.LinkedContent;
import famulus.server.messages.PageForAnybody;
import famulus.server.messages.ReaderPages;
import famulus.server.platform.Events;
import famulus.server.platform.Ids;
import famulus.server.platform.PublicAddress;
import famulus.server.reading.ReadingMapper.EventRow;
import famulus.server.reading.ReadingMapper.PageRow;
import famulus.server.reading.ReadingMapper.ReadRow;
import famulus.server.reading.WebCopyMapper.CopyRow;
import famulus.server.records.CrmKind;
import famulus.server.records.PersonSummaries;
import famulus.server.records.PersonSummaries.Readings;
import famulus.server.records.RecordService;
import famulus.server.team.TeamService;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shows readers the pages of a message, and keeps what they do there. */
@Service
public class ReadingService implements ReaderPages {
    /** So many things are kept of one message; whoever fetches it oftener is told no different. */
    private static final int MOST_EVENTS = 400;

    private static final int LONGEST_PROGRAM = 300;

    private static final int MOST_DONE = 20_000;

    private final ReadingMapper mapper;
    private final Ids ids;
    private final Events events;
    private final Clock clock;
    private final TeamService team;
    private final RecordService records;
    private final PersonSummaries summaries;
    private final WireSources sources;
    private final WebCopyMapper copies;
    private final ReaderChoices choices;
    private final ApplicationEventPublisher told;

    ReadingService(
            ReadingMapper mapper,
            Ids ids,
            Events events,
            Clock clock,
            TeamService team,
            RecordService records,
            PersonSummaries summaries,
            WireSources sources,
            WebCopyMapper copies,
            ReaderChoices choices,
            ApplicationEventPublisher told) {
        this.told = told;
        this.choices = choices;
        this.copies = copies;
        this.team = team;
        this.records = records;
        this.summaries = summaries;
        this.sources = sources;
        this.mapper = mapper;
        this.ids = ids;
        this.events = events;
        this.clock = clock;
    }

    /** What became of a message. */
    public enum ReadingEvent {
        OPENED,
        CLICKED,
        UNSUBSCRIBED,
        /** They took it back. */
        CAME_BACK,
        /** They chose topics, or how often. */
        CHOSE
    }

    @Override
    public void keep(UUID message, LinkedContent content) {
        mapper.page(message, content.key(), content.counted(), content.several(), content.topic());
        for (int i = 0; i < content.links().size(); i++) {
            mapper.link(message, i, content.links().get(i));
        }
    }

    @Override
    public void share(UUID message, String key, PageForAnybody.Page page, UUID by) {
        copies.insert(
                new CopyRow(ids.next(), key, message, by, clock.instant(), null, true, null),
                WebCopyService.packed(page));
    }

    /** Whether opens and clicks are counted at all. */
    public boolean counts() {
        return team.countsReading();
    }

    /** Has opens and clicks counted from the next message on, or not. */
    @Transactional
    public void count(boolean counts) {
        team.countReading(counts);
    }

    /** A message's page by its reader's key. */
    Optional<PageRow> page(String key) {
        return mapper.byKey(key);
    }

    /** The message itself, as it left. */
    byte[] source(PageRow page) {
        return source(page.messageId());
    }

    /** The same by its identifier. */
    byte[] source(UUID message) {
        return sources.read(message).orElseThrow();
    }

    /** A page of a message that leads to its reader's own pages no more, but to those of another key. */
    String withKey(UUID message, String page, String other) {
        return mapper.key(message)
                .map(key -> page.replace(PublicAddress.PAGES + key, PublicAddress.PAGES + other))
                .orElse(page);
    }

    /** The language a reader is written to in, by ISO 639. */
    String language(PageRow page) {
        String own = records.get(CrmKind.of(page.personKind()), page.personId()).text("language");
        return own.isEmpty() ? team.house().language() : own;
    }

    /** A message's HTML with its links as they were written, so that looking at it counts for nothing. */
    String asWritten(UUID message, String html) {
        return mapper.key(message)
                .map(key -> CountedLinks.undone(html, PublicAddress.PAGES + key + "/", mapper.links(message)))
                .orElse(html);
    }

    /** What became of a message, in the order of time. */
    List<EventRow> events(UUID message) {
        return mapper.events(message);
    }

    /** Keeps that a message was shown. */
    @Transactional
    public void opened(PageRow page, String program, boolean ahead) {
        read(page, ReadingEvent.OPENED, null, program, ahead);
    }

    /**
     * Keeps that a link was followed.
     *
     * @return where it leads; empty when the message has no such link
     */
    @Transactional
    public Optional<String> clicked(PageRow page, int number, String program, boolean ahead) {
        Optional<String> leads = mapper.address(page.messageId(), number);
        leads.ifPresent(where -> read(page, ReadingEvent.CLICKED, where, program, ahead));
        return leads;
    }

    /** Where a link leads, without counting it. */
    Optional<String> leads(PageRow page, int number) {
        return mapper.address(page.messageId(), number);
    }

    private void read(PageRow page, ReadingEvent kind, String where, String program, boolean ahead) {
        if (!page.counted() || mapper.events(page.messageId()).size() >= MOST_EVENTS) {
            return;
        }
        keep(ids.next(), page.messageId(), page.personId(), kind, clock.instant(), where, program, ahead);
        judge(page);
        events.tell("record", page.personId().toString());
    }

    /** Judges all readings of a message anew: a second one can tell what the first was. */
    private void judge(PageRow page) {
        List<EventRow> readings = mapper.events(page.messageId()).stream()
                .filter(one -> one.kind().equals(ReadingEvent.OPENED.name())
                        || one.kind().equals(ReadingEvent.CLICKED.name()))
                .toList();
        List<Boolean> byMachine = Reading.byMachine(
                page.sentAt() == null ? page.createdAt() : page.sentAt(),
                readings.stream()
                        .map(one -> new Reading(
                                one.at(), one.address() == null ? "" : one.address(), one.program(), one.ahead()))
                        .toList());
        for (int i = 0; i < readings.size(); i++) {
            if (readings.get(i).byMachine() != byMachine.get(i)) {
                mapper.judge(readings.get(i).id(), byMachine.get(i));
            }
        }
        summed(page.personId());
        told.publishEvent(new MessageRead(page.messageId()));
    }

    /** Has what is known of a person's reading summed up. */
    private void summed(UUID person) {
        summaries.read(person, () -> mapper.read(person)
                .map((ReadRow row) -> new Readings(row.lastOpened(), row.lastClicked(), row.clickedLink()))
                .orElse(new Readings(null, null, null)));
    }

    /**
     * Keeps that readers have chosen what they get.
     *
     * @param people whose choices have changed
     */
    void chose(PageRow page, ReadingEvent kind, Set<UUID> people, String program) {
        keep(ids.next(), page.messageId(), page.personId(), kind, clock.instant(), null, program, false);
        people.forEach(person -> events.tell("record", person.toString()));
        told.publishEvent(new MessageRead(page.messageId()));
    }

    private void keep(
            UUID id,
            UUID message,
            UUID person,
            ReadingEvent kind,
            Instant at,
            String where,
            String program,
            boolean ahead) {
        String said = program.substring(0, Math.min(program.length(), LONGEST_PROGRAM));
        mapper.event(new EventRow(id, message, person, kind.name(), at, where, said, ahead, false));
    }

    /** Puts in place that a message was read long ago; for the demo's data. */
    public void keepRead(UUID message, UUID person, ReadingEvent kind, Instant at, String where, String program) {
        UUID id = UUID.nameUUIDFromBytes((message + kind.name() + at).getBytes(StandardCharsets.UTF_8));
        keep(id, message, person, kind, at, where, program, false);
        summed(person);
        told.publishEvent(new MessageRead(message));
    }

    /**
     * What a reader has done with a message, machines aside.
     *
     * @param openedAt when they opened it first; null where they have not, as far as is known
     * @param clickedAt when they followed a link of it first; null likewise
     * @param unsubscribed whether they left mailings by it, and have not come back since
     */
    public record Became(Instant openedAt, Instant clickedAt, boolean unsubscribed) {}

    /** The same. */
    public Became became(UUID message) {
        List<EventRow> all = mapper.events(message);
        Optional<EventRow> left = all.stream()
                .filter(one -> one.kind().equals(ReadingEvent.UNSUBSCRIBED.name())
                        || one.kind().equals(ReadingEvent.CAME_BACK.name()))
                .reduce((first, second) -> second);
        return new Became(
                first(all, ReadingEvent.OPENED),
                first(all, ReadingEvent.CLICKED),
                left.filter(one -> one.kind().equals(ReadingEvent.UNSUBSCRIBED.name()))
                        .isPresent());
    }

    /**
     * Something that was done with one of several messages.
     *
     * @param address where a link leads that was followed; null for anything else
     * @param program what the program it was done with says of itself
     */
    public record Done(
            UUID message, ReadingEvent what, Instant at, String address, String program, boolean byMachine) {}

    /** What was done with several messages, in the order of time; the first of very many. */
    public List<Done> done(Collection<UUID> messages) {
        return messages.isEmpty()
                ? List.of()
                : mapper.ofSeveral(messages, MOST_DONE).stream()
                        .map(row -> new Done(
                                row.messageId(),
                                ReadingEvent.valueOf(row.kind()),
                                row.at(),
                                row.address(),
                                row.program(),
                                row.byMachine()))
                        .toList();
    }

    private static Instant first(List<EventRow> all, ReadingEvent kind) {
        return all.stream()
                .filter(one -> one.kind().equals(kind.name()) && !one.byMachine())
                .map(EventRow::at)
                .findFirst()
                .orElse(null);
    }

    /** Where the counted links of a message lead. */
    public List<String> links(UUID message) {
        return mapper.links(message);
    }

    /** Puts in place that a message made its reader want no rounds; for the demo's data. */
    public void keepUnsubscribed(UUID message, UUID person, Instant at) {
        choices.keepNothing(person);
        keepRead(message, person, ReadingEvent.UNSUBSCRIBED, at, null, "");
    }
}
