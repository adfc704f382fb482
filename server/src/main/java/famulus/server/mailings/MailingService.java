package famulus.server.mailings;

import famulus.core.record.PlainLine;
import famulus.core.record.SearchText;
import famulus.server.lists.ChosenRecords;
import famulus.server.lists.ChosenRecords.ListSelection;
import famulus.server.lists.ChosenRecords.Narrowed;
import famulus.server.mailings.MailingMapper.LineRow;
import famulus.server.mailings.MailingMapper.MailingRow;
import famulus.server.mailings.MailingMapper.PageRow;
import famulus.server.mailings.MailingPlan.Who;
import famulus.server.mailings.MailingWords.Wordings;
import famulus.server.messages.AudienceService;
import famulus.server.messages.KeptDraftService;
import famulus.server.outbox.OutboxService;
import famulus.server.outbox.OutgoingMessage;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * Keeps mailings as they are written. Everybody sees them, as everybody sees what went to whom; whoever made one, whoever it goes
 * out as, editors and administrators change it. What somebody may not use, such as a list or a template, they can't put into it.
 */
@Service
public class MailingService {
    private static final int LONGEST_NAME = 120;

    private final MailingMapper mapper;
    private final MailingPersonMapper people;
    private final KeptDraftService drafts;
    private final ChosenRecords chosen;
    private final OutboxService outbox;
    private final MailingOwnWords words;
    private final RecordService records;
    private final MailingEvents events;
    private final JsonMapper json;
    private final Ids ids;
    private final Clock clock;

    MailingService(
            MailingMapper mapper,
            MailingPersonMapper people,
            KeptDraftService drafts,
            ChosenRecords chosen,
            OutboxService outbox,
            MailingOwnWords words,
            RecordService records,
            MailingEvents events,
            JsonMapper json,
            Ids ids,
            Clock clock) {
        this.mapper = mapper;
        this.people = people;
        this.drafts = drafts;
        this.chosen = chosen;
        this.outbox = outbox;
        this.words = words;
        this.records = records;
        this.events = events;
        this.json = json;
        this.ids = ids;
        this.clock = clock;
    }

    /** A mailing; refused when it is missing. */
    public Mailing get(UUID id) {
        return mapper.byId(id).map(this::read).orElseThrow(MailingService::missing);
    }

    /** The same, which nobody else changes until the transaction ends. */
    Mailing hold(UUID id) {
        return mapper.hold(id).map(this::read).orElseThrow(MailingService::missing);
    }

    /** The same, where it is there. */
    Optional<Mailing> find(UUID id) {
        return mapper.byId(id).map(this::read);
    }

    private static Refusal missing() {
        return Refusal.missing("This mailing");
    }

    private Mailing read(MailingRow row) {
        return new Mailing(
                row.id(),
                row.name(),
                row.state(),
                json.readValue(row.plan(), MailingPlan.class),
                row.version(),
                row.madeBy(),
                row.createdAt(),
                row.changedBy(),
                row.changedAt(),
                row.tested(),
                row.testedAt(),
                row.startedBy(),
                row.started(),
                row.startedAt(),
                row.endedAt(),
                row.restsUntil(),
                row.said(),
                mapper.counts(row.id()).orElseThrow(MailingService::missing));
    }

    /** Whether somebody may change a mailing, start it and stop it. */
    boolean mayChange(Mailing mailing, Colleague who) {
        return mayChange(
                mailing.madeBy(), mailing.startedBy(), mailing.plan().what().sender(), who);
    }

    /** The same for a line of a list. */
    boolean mayChange(LineRow line, Colleague who) {
        return mayChange(line.madeBy(), line.startedBy(), line.senderId(), who);
    }

    private static boolean mayChange(UUID madeBy, UUID startedBy, UUID sender, Colleague who) {
        return Stream.of(madeBy, startedBy, sender).anyMatch(who.id()::equals)
                || who.is(Role.KEEPER, Role.ADMINISTRATOR);
    }

    /** Lets only those through who may change it. */
    Mailing mustBeChangeable(Mailing mailing, Colleague who) {
        if (!mayChange(mailing, who)) {
            throw Refusal.forbidden("This is somebody else’s mailing. Copy it to make it your own.");
        }
        return mailing;
    }

    /**
     * Begins a mailing.
     *
     * @param choice whom it was begun for in a list; null for nobody yet
     */
    @Transactional
    public UUID add(String name, ListSelection choice, Colleague by) {
        CrmKind kind = choice == null ? CrmKind.CONTACT : choice.kind();
        AudienceService.mustBeWrittenTo(kind);
        MailingPlan empty = MailingPlan.empty(kind);
        MailingPlan plan = choice == null ? empty : empty.to(who(choice, by));
        return insert(name, plan.mustBeSound(), by);
    }

    /** Those who were chosen in a list: the list and the condition themselves where these say it, else each by name. */
    private Who who(ListSelection choice, Colleague by) {
        Narrowed narrowed = choice.narrowed();
        boolean list = narrowed.list() != null;
        boolean where = !narrowed.where().isBlank();
        // A mailing takes lists and conditions together; in a list a condition narrows it.
        boolean said = choice.all()
                && choice.ids().isEmpty()
                && list != where
                && narrowed.search().isBlank()
                && narrowed.minus() == null
                && narrowed.deals() == null;
        return said
                ? Who.of(choice.kind(), narrowed.list(), narrowed.where())
                : Who.named(choice.kind(), chosen.ids(choice, MailingPeople.MOST_LOOKED_AT, by));
    }

    /** Makes a mailing like another one, to nobody in particular that was named for that alone. */
    @Transactional
    public UUID copy(UUID id, Colleague by) {
        Mailing original = get(id);
        String name = original.name() + " (copy)";
        return insert(
                name.substring(0, Math.min(name.length(), LONGEST_NAME)),
                original.plan().copied(original.madeBy()),
                by);
    }

    private UUID insert(String name, MailingPlan plan, Colleague by) {
        UUID id = ids.next();
        keep(id, named(name), plan, by);
        events.changed(id);
        return id;
    }

    /** Puts a mailing in place under its own identifier. */
    public void keep(UUID id, String name, MailingPlan plan, Colleague by) {
        mapper.insert(page(id, 0, name, plan.mustBeSound(), by));
        tag(id, plan);
    }

    private PageRow page(UUID id, int version, String name, MailingPlan plan, Colleague by) {
        MailingPlan.What what = plan.what();
        return new PageRow(
                id,
                version,
                name,
                json.writeValueAsString(plan),
                what.topic(),
                what.template(),
                what.sender(),
                by.id(),
                clock.instant());
    }

    /**
     * Puts a mailing in place that went out long ago; for the demo’s data.
     *
     * @param messages those that went out with it
     */
    public void keepSent(UUID id, String name, MailingPlan plan, Colleague by, Instant at, List<UUID> messages) {
        keep(id, name, plan, by);
        for (UUID message : messages) {
            OutgoingMessage sent = outbox.get(message, by);
            CrmKind kind = CrmKind.of(sent.personKind());
            people.keep(
                    MailingPerson.sent(id, records.get(kind, sent.personId()).name(), sent));
        }
        mapper.keepSent(id, by.id(), at);
        mapper.recount(id);
    }

    private static String named(String name) {
        PlainLine.refusal(name, LONGEST_NAME, true).ifPresent(sentence -> {
            throw Refusal.field("name", sentence);
        });
        return name.strip();
    }

    private void tag(UUID id, MailingPlan plan) {
        mapper.untag(id);
        plan.what().tags().stream()
                .collect(Collectors.toMap(MailingService::key, tag -> tag, (first, other) -> first))
                .forEach((key, tag) -> mapper.tag(id, tag, key));
    }

    /** What a tag is found by. */
    static String key(String tag) {
        return SearchText.folded(tag);
    }

    /**
     * Keeps a change of what stands on the page.
     *
     * @param version what it was when it was read; refused when somebody has kept another change since
     * @return the version it has now
     */
    @Transactional
    public int change(UUID id, int version, String name, MailingPlan plan, Colleague by) {
        Mailing before = mustBeOpen(hold(id), by);
        if (plan == null) {
            throw Refusal.because("unreadable", "This mailing can't be read.");
        }
        MailingPlan sound = plan.mustBeSound();
        AudienceService.mustBeWrittenTo(sound.who().kind());
        if (before.state() != MailingState.WRITING
                && sound.who().kind() != before.plan().who().kind()) {
            throw Refusal.field("kind", "Some of it has left. What it is about stays.");
        }
        words.settle(before.plan().what(), sound.what(), by);
        if (mapper.change(page(id, version, named(name), sound, by)) == 0) {
            throw Refusal.changedMeanwhile("Somebody else has changed this mailing in the meantime.");
        }
        tag(id, sound);
        events.changed(id);
        return version + 1;
    }

    /** Lets only those through who may change it, while it can be changed. */
    Mailing mustBeOpen(Mailing mailing, Colleague who) {
        mustBeChangeable(mailing, who);
        if (!mailing.open()) {
            throw Refusal.because("under-way", "This mailing is under way. Pause it to change it.");
        }
        return mailing;
    }

    /**
     * Makes words of its own of what a mailing says, to be changed on the desk; the template stays as it is.
     *
     * @return what is to be opened on the desk
     */
    @Transactional
    public UUID ownWords(UUID id, Colleague by) {
        Mailing mailing = mustBeOpen(hold(id), by);
        MailingPlan.What own = words.begin(mailing.plan().what(), by);
        say(mailing, own, by);
        return own.template();
    }

    /** Has a mailing say what its template says again. */
    @Transactional
    public void asTheTemplateSays(UUID id, Colleague by) {
        Mailing mailing = mustBeOpen(hold(id), by);
        say(mailing, words.end(mailing.plan().what()), by);
    }

    private void say(Mailing mailing, MailingPlan.What what, Colleague by) {
        if (!what.equals(mailing.plan().what())) {
            mapper.change(page(
                    mailing.id(),
                    mailing.version(),
                    mailing.name(),
                    mailing.plan().saying(what),
                    by));
            events.changed(mailing.id());
        }
    }

    /** What a mailing says since it was started. */
    Wordings started(UUID id) {
        return json.readValue(mapper.words(id).orElseThrow(MailingService::missing), Wordings.class);
    }

    /** Throws a mailing away of which nothing was sent. */
    @Transactional
    public void delete(UUID id, Colleague by) {
        List<MailingPerson> all = people.holdAll(id);
        Mailing mailing = mustBeChangeable(hold(id), by);
        if (mailing.state() != MailingState.WRITING) {
            throw Refusal.because("started", "Some of this mailing may have left. It stays in the list.");
        }
        for (MailingPerson person : all) {
            if (person.draftId() != null) {
                drafts.removeOfMailing(person.draftId(), id);
            }
        }
        mapper.delete(id);
        words.end(mailing.plan().what());
        events.changed(id);
    }
}
