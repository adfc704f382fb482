package famulus.server.mailings;

import famulus.core.record.PlainLine;
import famulus.core.record.SearchText;
import famulus.server.library.TemplateKind;
import famulus.server.library.TemplateService;
import famulus.server.library.VariantService;
import famulus.server.lists.ChosenRecords;
import famulus.server.lists.ChosenRecords.Choice;
import famulus.server.mailings.MailingMapper.MailingRow;
import famulus.server.mailings.MailingPlan.Who;
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
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
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
    private final VariantService variants;
    private final TemplateService templates;
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
            VariantService variants,
            TemplateService templates,
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
        this.variants = variants;
        this.templates = templates;
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
        return mailing.madeBy().equals(who.id())
                || who.id().equals(mailing.startedBy())
                || who.id().equals(mailing.plan().what().sender())
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
    public UUID add(String name, Choice choice, Colleague by) {
        CrmKind kind = choice == null ? CrmKind.CONTACT : choice.kind();
        AudienceService.mustBeWrittenTo(kind);
        MailingPlan empty = MailingPlan.empty(kind);
        MailingPlan plan = choice == null ? empty : empty.to(who(choice, by));
        return insert(name, plan.mustBeSound(), by);
    }

    /** Those who were chosen in a list: the list and the condition themselves where these say it, else each by name. */
    private Who who(Choice choice, Colleague by) {
        Who nobody = MailingPlan.empty(choice.kind()).who();
        boolean said = choice.all()
                && choice.ids().isEmpty()
                && choice.narrowed().search().isBlank()
                && choice.narrowed().minus() == null
                && choice.narrowed().deals() == null
                && (choice.narrowed().list() == null
                        || choice.narrowed().where().isBlank())
                && !(choice.narrowed().list() == null
                        && choice.narrowed().where().isBlank());
        return said
                ? new Who(
                        choice.kind(),
                        choice.narrowed().list() == null
                                ? null
                                : List.of(choice.narrowed().list()),
                        choice.narrowed().where(),
                        null,
                        null,
                        "",
                        nobody.restDays(),
                        null)
                : new Who(
                        choice.kind(),
                        null,
                        "",
                        chosen.ids(choice, MailingPeople.MOST_LOOKED_AT, by),
                        null,
                        "",
                        nobody.restDays(),
                        null);
    }

    /** Makes a mailing like another one, to nobody in particular that was named for that alone. */
    @Transactional
    public UUID copy(UUID id, Colleague by) {
        Mailing original = get(id);
        String name = original.name() + " (copy)";
        MailingPlan plan = original.plan();
        MailingPlan.What what = plan.what();
        MailingPlan own = plan.saying(new MailingPlan.What(
                what.original() == null ? what.template() : what.original(),
                null,
                what.from(),
                what.sender() == null || what.sender().equals(original.madeBy()) ? null : what.sender(),
                what.replyTo(),
                what.ownerCopy(),
                what.files(),
                what.topic(),
                what.tags(),
                what.answers()));
        return insert(
                name.substring(0, Math.min(name.length(), LONGEST_NAME)),
                new MailingPlan(
                        own.who(),
                        own.what(),
                        new MailingPlan.When(
                                null, plan.when().overMinutes(), plan.when().theirHours()),
                        own.goal()),
                by);
    }

    private UUID insert(String name, MailingPlan plan, Colleague by) {
        UUID id = ids.next();
        mapper.insert(
                id,
                named(name),
                json.writeValueAsString(plan),
                plan.what().topic(),
                plan.what().template(),
                plan.what().sender(),
                by.id(),
                clock.instant());
        tag(id, plan);
        events.changed(id);
        return id;
    }

    /** Puts a mailing in place under its own identifier; for the demo's data. */
    public void keep(UUID id, String name, MailingPlan plan, Colleague by) {
        mapper.insert(
                id,
                name,
                json.writeValueAsString(plan.mustBeSound()),
                plan.what().topic(),
                plan.what().template(),
                plan.what().sender(),
                by.id(),
                clock.instant());
        tag(id, plan);
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
        Mailing before = mustBeChangeable(hold(id), by);
        if (!before.open()) {
            throw Refusal.because("under-way", "This mailing is under way. Pause it to change it.");
        }
        if (plan == null) {
            throw Refusal.because("unreadable", "This mailing can't be read.");
        }
        MailingPlan sound = plan.mustBeSound();
        settleWords(before.plan().what(), sound.what(), by);
        AudienceService.mustBeWrittenTo(sound.who().kind());
        if (before.state() != MailingState.WRITING
                && sound.who().kind() != before.plan().who().kind()) {
            throw Refusal.field("kind", "Some of it has left. What it is about stays.");
        }
        int kept = mapper.change(
                id,
                version,
                named(name),
                json.writeValueAsString(sound),
                sound.what().topic(),
                sound.what().template(),
                sound.what().sender(),
                by.id(),
                clock.instant());
        if (kept == 0) {
            throw Refusal.changedMeanwhile("Somebody else has changed this mailing in the meantime.");
        }
        tag(id, sound);
        events.changed(id);
        return version + 1;
    }

    /** Its own words are made and put away here alone, and go once it says something else. */
    private void settleWords(MailingPlan.What before, MailingPlan.What now, Colleague by) {
        boolean same = Objects.equals(before.template(), now.template());
        boolean ofAnother = now.original() != null && !(same && now.original().equals(before.original()))
                || !same
                        && now.template() != null
                        && templates.get(now.template(), by).kind() != TemplateKind.TEMPLATE;
        if (ofAnother) {
            throw Refusal.field("template", "These are the words of another mailing. Choose a template.");
        }
        if (before.original() != null && !same) {
            variants.noLongerOfMailing(before.template());
        }
    }

    /**
     * Makes words of its own of what a mailing says, to be changed on the desk; the template stays as it is.
     *
     * @return what is to be opened on the desk
     */
    @Transactional
    public UUID ownWords(UUID id, Colleague by) {
        Mailing mailing = mustBeChangeable(hold(id), by);
        MailingPlan.What what = mailing.plan().what();
        if (!mailing.open()) {
            throw Refusal.because("under-way", "This mailing is under way. Pause it to change it.");
        }
        if (what.template() == null) {
            throw Refusal.because("no-template", "Choose what the mailing says first.");
        }
        if (what.original() != null) {
            return what.template();
        }
        UUID own = variants.forMailing(what.template(), by).id();
        keepPlan(mailing, mailing.plan().saying(what.saying(own, what.template())), by);
        return own;
    }

    /** Has a mailing say what its template says again. */
    @Transactional
    public void asTheTemplateSays(UUID id, Colleague by) {
        Mailing mailing = mustBeChangeable(hold(id), by);
        MailingPlan.What what = mailing.plan().what();
        if (mailing.open() && what.original() != null) {
            keepPlan(mailing, mailing.plan().saying(what.saying(what.original(), null)), by);
            variants.noLongerOfMailing(what.template());
        }
    }

    private void keepPlan(Mailing mailing, MailingPlan plan, Colleague by) {
        mapper.change(
                mailing.id(),
                mailing.version(),
                mailing.name(),
                json.writeValueAsString(plan),
                plan.what().topic(),
                plan.what().template(),
                plan.what().sender(),
                by.id(),
                clock.instant());
        events.changed(mailing.id());
    }

    /** Throws a mailing away of which nothing was sent. */
    @Transactional
    public void delete(UUID id, Colleague by) {
        Mailing mailing = mustBeChangeable(hold(id), by);
        if (mailing.state() != MailingState.WRITING) {
            throw Refusal.because("started", "Some of this mailing may have left. It stays in the list.");
        }
        for (MailingPerson person : people.all(id)) {
            if (person.draftId() != null) {
                drafts.removeOfMailing(person.draftId(), id);
            }
        }
        mapper.delete(id);
        if (mailing.plan().what().original() != null) {
            variants.noLongerOfMailing(mailing.plan().what().template());
        }
        events.changed(id);
    }
}
