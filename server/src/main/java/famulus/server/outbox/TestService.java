package famulus.server.outbox;

import famulus.core.departure.Leaving;
import famulus.server.contents.WireSources;
import famulus.server.desk.DepartureService;
import famulus.server.desk.MessageDraftService;
import famulus.server.desk.MessageDraftService.MessageDraft;
import famulus.server.desk.RenderingService;
import famulus.server.library.Template;
import famulus.server.library.TemplateEvents;
import famulus.server.library.TemplateRights;
import famulus.server.library.TemplateService;
import famulus.server.library.TemplateUseService;
import famulus.server.library.TemplateVersionService.Reason;
import famulus.server.outbox.MimeWriter.Mailbox;
import famulus.server.outbox.MimeWriter.Words;
import famulus.server.platform.Events;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Sends a template to colleagues as it would leave, merged for one person: the same bytes but for whom it goes to. It is
 * in the outbox, and in nobody's history.
 */
@Service
class TestService {
    private static final int MOST = 20;

    private final OutboxMapper mapper;
    private final OutboxWorker worker;
    private final OutboxService outbox;
    private final MessageDraftService drafts;
    private final DepartureService departures;
    private final RenderingService renderings;
    private final TemplateService templates;
    private final TeamService team;
    private final TestListService testList;
    private final Events events;
    private final TemplateEvents changes;
    private final TemplateRights rights;
    private final Clock clock;
    private final Ids ids;
    private final WireSources sources;
    private final TemplateUseService uses;

    TestService(
            OutboxMapper mapper,
            OutboxWorker worker,
            OutboxService outbox,
            MessageDraftService drafts,
            DepartureService departures,
            RenderingService renderings,
            TemplateService templates,
            TeamService team,
            TestListService testList,
            Events events,
            TemplateEvents changes,
            TemplateRights rights,
            Clock clock,
            Ids ids,
            WireSources sources,
            TemplateUseService uses) {
        this.sources = sources;
        this.uses = uses;
        this.mapper = mapper;
        this.worker = worker;
        this.outbox = outbox;
        this.drafts = drafts;
        this.departures = departures;
        this.renderings = renderings;
        this.templates = templates;
        this.team = team;
        this.testList = testList;
        this.events = events;
        this.changes = changes;
        this.rights = rights;
        this.clock = clock;
        this.ids = ids;
    }

    /**
     * Sends.
     *
     * @param version what the template was when it was looked at; refused when it has changed since
     * @param merged whom it is merged for
     * @param to colleagues; at least one, where it does not go to the test list
     * @param list whether it goes to the inboxes of the test list as well
     * @return how many messages are in line
     */
    @Transactional
    public int send(UUID id, int version, For merged, List<UUID> to, boolean list, Colleague asking) {
        Template template = templates.get(id, asking);
        if (template.version() != version) {
            throw Refusal.changedMeanwhile(template.changedBy() + " changed this template meanwhile.");
        }
        List<Mailbox> inboxes = inboxes(to, list);
        MessageDraft draft = drafts.test(id, merged, asking);
        departures.mustBeFreeToLeave(Leaving.TEST, draft, List.of());
        if (rights.mayChange(template, asking)) {
            templates.keepVersion(id, version, Reason.TESTED);
        } else if (!Integer.valueOf(version).equals(template.readyVersion())) {
            throw Refusal.because(
                    "not-ready",
                    template.ownerName() + " is changing this template. Test it once it is marked ready again.");
        }
        Words words = outbox.words(
                draft,
                renderings.mail(draft.proof(), draft.proof().merged().subject().text()),
                draft.proof().merged().body().text().strip());
        List<UUID> made = new ArrayList<>();
        for (Mailbox inbox : inboxes) {
            made.add(keep(template, draft, inbox, words, asking));
        }
        made.forEach(worker::line);
        uses.tested(id, version, asking.id(), clock.instant());
        changes.changed(id);
        made.forEach(one -> events.tell("outbox", one.toString()));
        return made.size();
    }

    /** Everybody once, whether they are on the list or a colleague or both. */
    private List<Mailbox> inboxes(List<UUID> to, boolean list) {
        Map<String, Mailbox> inboxes = new LinkedHashMap<>();
        colleagues(to).forEach(one -> inboxes.put(one.email(), new Mailbox(one.name(), one.email())));
        if (list) {
            testList.inboxes().forEach(one -> inboxes.putIfAbsent(one, new Mailbox("", one)));
        }
        if (inboxes.isEmpty()) {
            throw Refusal.field("to", list ? "The test list is empty." : "Choose who is to get it.");
        }
        return List.copyOf(inboxes.values());
    }

    private List<Colleague> colleagues(List<UUID> to) {
        if (to.size() > MOST) {
            throw Refusal.field("to", "A test goes to " + MOST + " colleagues at most.");
        }
        return to.stream()
                .distinct()
                .map(one -> team.find(one)
                        .filter(Colleague::active)
                        .orElseThrow(() -> Refusal.field("to", "One of them is no colleague any more.")))
                .toList();
    }

    private UUID keep(Template template, MessageDraft draft, Mailbox to, Words words, Colleague asking) {
        UUID id = ids.next();
        Instant now = clock.instant();
        Person person = draft.proof().person();
        String messageId = "<" + id + "@" + outbox.domain() + ">";
        String subject = draft.proof().merged().subject().text().strip();
        mapper.insert(new OutgoingMessage(
                id,
                messageId,
                template.id(),
                template.version(),
                asking.id(),
                asking.id(),
                person.kind().word(),
                person.id(),
                person.deal().orElse(null),
                person.organisation().orElse(null),
                to.address(),
                asking.email(),
                subject,
                MessageState.WAITING,
                0,
                now,
                "",
                false,
                now,
                null,
                true));
        Mailbox from = new Mailbox(asking.name(), asking.email());
        sources.keep(id, MimeWriter.write(messageId, from, to, subject, words, MimeWriter.About.NOTHING, now));
        return id;
    }
}
