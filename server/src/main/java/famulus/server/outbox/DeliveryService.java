package famulus.server.outbox;

import famulus.core.delivery.CountedLinks;
import famulus.core.delivery.Reading;
import famulus.server.contents.WireSources;
import famulus.server.outbox.DeliveryMapper.EventRow;
import famulus.server.outbox.DeliveryMapper.PageRow;
import famulus.server.outbox.DeliveryMapper.ReadRow;
import famulus.server.outbox.MimeWriter.Words;
import famulus.server.platform.Events;
import famulus.server.platform.Ids;
import famulus.server.platform.PublicAddress;
import famulus.server.records.CrmKind;
import famulus.server.records.PersonSummaries;
import famulus.server.records.PersonSummaries.Readings;
import famulus.server.records.RecordService;
import famulus.server.team.TeamService;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gives messages their links to our pages for readers, and keeps what readers do there. */
@Service
public class DeliveryService {
    /** So many things are kept of one message; whoever fetches it oftener is told no different. */
    private static final int MOST_EVENTS = 400;

    private static final int LONGEST_PROGRAM = 300;

    private final DeliveryMapper mapper;
    private final PublicAddress address;
    private final Ids ids;
    private final Events events;
    private final Clock clock;
    private final TeamService team;
    private final RecordService records;
    private final PersonSummaries summaries;
    private final WireSources sources;

    DeliveryService(
            DeliveryMapper mapper,
            PublicAddress address,
            Ids ids,
            Events events,
            Clock clock,
            TeamService team,
            RecordService records,
            PersonSummaries summaries,
            WireSources sources) {
        this.team = team;
        this.records = records;
        this.summaries = summaries;
        this.sources = sources;
        this.mapper = mapper;
        this.address = address;
        this.ids = ids;
        this.events = events;
        this.clock = clock;
    }

    /** What became of a message. */
    public enum DeliveryEvent {
        OPENED,
        CLICKED,
        UNSUBSCRIBED,
        /** They took it back. */
        CAME_BACK
    }

    /**
     * A message with its own links.
     *
     * @param key opens its pages to whoever has it; as long as an identifier, and as hard to guess
     * @param links where the counted ones lead; empty when nothing is counted
     * @param unsubscribe the link with which the reader leaves rounds; empty when the message has none
     */
    record Addressed(String key, Words words, boolean counted, List<String> links, Optional<String> unsubscribe) {
        /** The same with the links of a proof exchanged for this message's. */
        String own(String text, PublicAddress address) {
            return text.replace(address.webCopy(PublicAddress.PROOF), address.webCopy(key));
        }
    }

    /** Gives a message that is about to leave the links of its reader, counted where house and person let it. */
    Addressed address(Words words, CrmKind kind, UUID person) {
        return address(words, kind, person, ids.next());
    }

    /**
     * The same with a key of one's own; for the demo's data, which are always the same.
     *
     * @param secret what the key is made from
     */
    Addressed address(Words words, CrmKind kind, UUID person, UUID secret) {
        String key = key(secret);
        if (!address.known()) {
            return new Addressed(key, words, false, List.of(), Optional.empty());
        }
        boolean asks = (words.text() + words.html()).contains(address.unsubscribe(PublicAddress.PROOF));
        Addressed plain = new Addressed(
                key, words, false, List.of(), asks ? Optional.of(address.unsubscribe(key)) : Optional.empty());
        String text = plain.own(words.text(), address);
        String html = plain.own(words.html(), address);
        boolean counted = !html.isEmpty() && counts() && mayBeCounted(kind, person);
        if (!counted) {
            return with(plain, new Words(text, html, words.pictures(), words.files()), false, List.of());
        }
        CountedLinks links = CountedLinks.of(
                html,
                address.pages(),
                number -> address.webCopy(key) + "/" + number,
                address.webCopy(key) + "/seen.gif");
        return with(plain, new Words(text, links.html(), words.pictures(), words.files()), true, links.addresses());
    }

    private boolean mayBeCounted(CrmKind kind, UUID person) {
        return !records.get(kind, person).text("counting").equals("not_counted");
    }

    private static Addressed with(Addressed plain, Words words, boolean counted, List<String> links) {
        return new Addressed(plain.key(), words, counted, links, plain.unsubscribe());
    }

    /** The same for a text that goes with the message. */
    String own(String text, Addressed addressed) {
        return address.known() ? addressed.own(text, address) : text;
    }

    /** Keeps a message's pages, once the message itself is kept. */
    void keep(UUID message, Addressed addressed) {
        mapper.page(message, addressed.key(), addressed.counted());
        for (int i = 0; i < addressed.links().size(); i++) {
            mapper.link(message, i, addressed.links().get(i));
        }
    }

    private static String key(UUID id) {
        byte[] bits = ByteBuffer.allocate(16)
                .putLong(id.getMostSignificantBits())
                .putLong(id.getLeastSignificantBits())
                .array();
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bits);
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
        return sources.read(page.messageId()).orElseThrow();
    }

    /** The language a reader is written to in, by ISO 639. */
    String language(PageRow page) {
        String own = records.get(CrmKind.of(page.personKind()), page.personId()).text("language");
        return own.isEmpty() ? team.house().language() : own;
    }

    boolean wantsNoRounds(UUID person) {
        return summaries.wantsNoRounds(person);
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
        read(page, DeliveryEvent.OPENED, null, program, ahead);
    }

    /**
     * Keeps that a link was followed.
     *
     * @return where it leads; empty when the message has no such link
     */
    @Transactional
    public Optional<String> clicked(PageRow page, int number, String program, boolean ahead) {
        Optional<String> leads = mapper.address(page.messageId(), number);
        leads.ifPresent(where -> read(page, DeliveryEvent.CLICKED, where, program, ahead));
        return leads;
    }

    /** Where a link leads, without counting it. */
    Optional<String> leads(PageRow page, int number) {
        return mapper.address(page.messageId(), number);
    }

    private void read(PageRow page, DeliveryEvent kind, String where, String program, boolean ahead) {
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
                .filter(one -> one.kind().equals(DeliveryEvent.OPENED.name())
                        || one.kind().equals(DeliveryEvent.CLICKED.name()))
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
    }

    /** Has what is known of a person's reading summed up. */
    private void summed(UUID person) {
        summaries.read(person, () -> mapper.read(person)
                .map((ReadRow row) -> new Readings(row.lastOpened(), row.lastClicked(), row.clickedLink()))
                .orElse(new Readings(null, null, null)));
    }

    /** Keeps that a reader wants no rounds. */
    @Transactional
    public void unsubscribe(PageRow page, String program) {
        if (!wantsNoRounds(page.personId())) {
            mapper.unsubscribe(page.personId(), page.messageId(), clock.instant());
            summaries.unsubscribed(page.personId(), true);
            changed(page, DeliveryEvent.UNSUBSCRIBED, program);
        }
    }

    /** Keeps that a reader wants rounds again. */
    @Transactional
    public void comeBack(PageRow page, String program) {
        if (mapper.comeBack(page.personId()) > 0) {
            summaries.unsubscribed(page.personId(), false);
            changed(page, DeliveryEvent.CAME_BACK, program);
        }
    }

    private void changed(PageRow page, DeliveryEvent kind, String program) {
        keep(ids.next(), page.messageId(), page.personId(), kind, clock.instant(), null, program, false);
        events.tell("record", page.personId().toString());
    }

    private void keep(
            UUID id,
            UUID message,
            UUID person,
            DeliveryEvent kind,
            Instant at,
            String where,
            String program,
            boolean ahead) {
        String said = program.substring(0, Math.min(program.length(), LONGEST_PROGRAM));
        mapper.event(new EventRow(id, message, person, kind.name(), at, where, said, ahead, false));
    }

    /** Puts in place that a message was read long ago; for the demo's data. */
    public void keepRead(UUID message, UUID person, DeliveryEvent kind, Instant at, String where) {
        UUID id = UUID.nameUUIDFromBytes((message + kind.name() + at).getBytes(StandardCharsets.UTF_8));
        keep(id, message, person, kind, at, where, "a person", false);
        summed(person);
    }

    /** Where the counted links of a message lead. */
    public List<String> links(UUID message) {
        return mapper.links(message);
    }

    /** Puts in place that a message made its reader want no rounds; for the demo's data. */
    public void keepUnsubscribed(UUID message, UUID person, Instant at) {
        mapper.unsubscribe(person, message, at);
        summaries.unsubscribed(person, true);
        keepRead(message, person, DeliveryEvent.UNSUBSCRIBED, at, null);
    }
}
