package famulus.server.messages;

import famulus.core.departure.Leaving;
import famulus.server.desk.RenderingService;
import famulus.server.library.Template;
import famulus.server.library.TemplateEvents;
import famulus.server.library.TemplateRights;
import famulus.server.library.TemplateService;
import famulus.server.library.TemplateUseService;
import famulus.server.library.TemplateVersionService.Reason;
import famulus.server.messages.FrozenMessage.TemplateVersion;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.messages.MimeWriter.Headers;
import famulus.server.messages.MimeWriter.Mailbox;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/**
 * Freezes a template as it would leave, merged for one person, for colleagues to look at: the same bytes but for whom it
 * goes to. A test is in the outbox, and in nobody's history.
 */
@Service
public class TestMessages {
    private static final int MOST = 20;

    private final MessageDraftService drafts;
    private final DepartureService departures;
    private final RenderingService renderings;
    private final MessageContents contents;
    private final TemplateService templates;
    private final TemplateRights rights;
    private final TemplateUseService uses;
    private final TemplateEvents changes;
    private final CheckInboxService checkInboxes;
    private final TeamService team;
    private final MailDomain domain;
    private final Clock clock;
    private final Ids ids;

    TestMessages(
            MessageDraftService drafts,
            DepartureService departures,
            RenderingService renderings,
            MessageContents contents,
            TemplateService templates,
            TemplateRights rights,
            TemplateUseService uses,
            TemplateEvents changes,
            CheckInboxService checkInboxes,
            TeamService team,
            MailDomain domain,
            Clock clock,
            Ids ids) {
        this.drafts = drafts;
        this.departures = departures;
        this.renderings = renderings;
        this.contents = contents;
        this.templates = templates;
        this.rights = rights;
        this.uses = uses;
        this.changes = changes;
        this.checkInboxes = checkInboxes;
        this.team = team;
        this.domain = domain;
        this.clock = clock;
        this.ids = ids;
    }

    /**
     * A template to be sent to colleagues as a test.
     *
     * @param template which one
     * @param version what it was when it was looked at; refused when it has changed since
     * @param merged whom it is merged for
     * @param to colleagues; at least one, unless it goes to the check inboxes
     * @param list whether it goes to the check inboxes as well
     */
    public record Wanted(UUID template, int version, For merged, List<UUID> to, boolean list) {}

    /** Freezes a test for each inbox, and keeps that the template was tested. */
    public List<FrozenMessage> freeze(Wanted test, Colleague asking) {
        Template template = templates.get(test.template(), asking);
        if (template.version() != test.version()) {
            throw Refusal.changedMeanwhile(template.changedBy() + " has changed this template in the meantime.");
        }
        List<Mailbox> inboxes = inboxes(test.to(), test.list());
        MessageDraft draft = drafts.test(template.id(), test.merged(), asking);
        departures.mustBeFreeToLeave(Leaving.TEST, draft);
        if (rights.mayChange(template, asking)) {
            templates.keepVersion(template.id(), template.version(), Reason.TESTED);
        } else if (!Integer.valueOf(template.version()).equals(template.readyVersion())) {
            throw Refusal.because(
                    "not-ready",
                    template.ownerName() + " is changing this template. Test it once it is marked ready again.");
        }
        MessageContent content = content(draft);
        TemplateVersion version = new TemplateVersion(template.id(), template.version());
        List<FrozenMessage> frozen = inboxes.stream()
                .map(inbox -> frozen(version, draft, inbox, content, asking))
                .toList();
        uses.tested(template.id(), template.version(), asking.id(), clock.instant());
        changes.changed(template.id());
        return frozen;
    }

    /**
     * Freezes messages of a mailing for each inbox, as they would leave.
     *
     * @param messages for whom it is merged; a few
     */
    public List<FrozenMessage> freeze(List<MessageToSend> messages, List<UUID> to, boolean list, Colleague asking) {
        List<Mailbox> inboxes = inboxes(to, list);
        List<FrozenMessage> frozen = new ArrayList<>();
        for (MessageToSend message : messages) {
            MessageDraft draft = drafts.read(message, asking);
            departures.mustBeFreeToLeave(Leaving.TEST, draft);
            MessageContent content = content(draft);
            inboxes.forEach(inbox -> frozen.add(frozen(
                    message.template() == null || draft.template().isEmpty()
                            ? null
                            : new TemplateVersion(
                                    draft.template().get().id(),
                                    draft.template().get().version()),
                    draft,
                    inbox,
                    content,
                    asking)));
            draft.template().ifPresent(one -> templates.keepVersion(one.id(), one.version(), Reason.TESTED));
        }
        return frozen;
    }

    private MessageContent content(MessageDraft draft) {
        return contents.of(
                draft,
                renderings.mail(draft.proof(), draft.proof().merged().subject().text()),
                renderings
                        .around(draft.proof())
                        .whole(draft.proof().merged().body().text()));
    }

    /** Everybody once, whether they are on the list or a colleague or both. */
    private List<Mailbox> inboxes(List<UUID> to, boolean list) {
        Map<String, Mailbox> inboxes = new LinkedHashMap<>();
        colleagues(to).forEach(one -> inboxes.put(one.email(), new Mailbox(one.name(), one.email())));
        if (list) {
            checkInboxes.inboxes().forEach(one -> inboxes.putIfAbsent(one, new Mailbox("", one)));
        }
        if (inboxes.isEmpty()) {
            throw Refusal.field("to", list ? "There are no check inboxes yet." : "Choose who gets it.");
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
                        .orElseThrow(() -> Refusal.field("to", "One of these colleagues has left the team.")))
                .toList();
    }

    private FrozenMessage frozen(
            TemplateVersion template, MessageDraft draft, Mailbox to, MessageContent content, Colleague asking) {
        UUID id = ids.next();
        Instant now = clock.instant();
        String messageId = domain.messageId(id);
        String subject = draft.proof().merged().subject().text().strip();
        Envelope envelope =
                new Envelope(asking.id(), draft.sender(), draft.proof().person(), to, subject, true);
        return new FrozenMessage(
                id,
                messageId,
                template,
                envelope,
                now,
                FirstWords.of(
                        content.html().isEmpty() ? draft.proof().merged().body().text() : content.text()),
                MimeWriter.write(messageId, envelope.parties(), subject, content, Headers.NONE, now),
                Optional.empty(),
                Optional.empty());
    }
}
