package famulus.server.messages;

import famulus.core.departure.Leaving;
import famulus.core.departure.TypedWords;
import famulus.core.merge.Merged;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.BodyText.Slot;
import famulus.core.message.render.Rendering;
import famulus.core.proof.Note;
import famulus.core.record.EmailAddress;
import famulus.core.record.PlainLine;
import famulus.server.desk.RenderingService;
import famulus.server.library.TemplateService;
import famulus.server.library.TemplateVersionService.Reason;
import famulus.server.messages.FrozenMessage.TemplateVersion;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.messages.MimeWriter.Headers;
import famulus.server.messages.MimeWriter.Mailbox;
import famulus.server.platform.Refusal;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.PersonAddress;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Turns a message as its sender has written it into what leaves, or says what stops it. */
@Service
public class MessageFreezer {
    private static final int LONGEST_SUBJECT = 900;
    private static final int LONGEST_BODY = 300_000;

    private final MessageDraftService drafts;
    private final DepartureService departures;
    private final RenderingService renderings;
    private final MessageContents contents;
    private final ReaderLinks links;
    private final TemplateService templates;
    private final TeamService team;
    private final MailDomain domain;
    private final Clock clock;
    private final JsonMapper json;

    MessageFreezer(
            MessageDraftService drafts,
            DepartureService departures,
            RenderingService renderings,
            MessageContents contents,
            ReaderLinks links,
            TemplateService templates,
            TeamService team,
            MailDomain domain,
            Clock clock,
            JsonMapper json) {
        this.drafts = drafts;
        this.departures = departures;
        this.renderings = renderings;
        this.contents = contents;
        this.links = links;
        this.templates = templates;
        this.team = team;
        this.domain = domain;
        this.clock = clock;
        this.json = json;
    }

    /**
     * Something that stops a message.
     *
     * @param block the block it is about, or that its words are in; empty in a text whose words may be changed
     */
    record Stopped(Note note, String block) {}

    /** What stops a message as it is, with where; nothing when it may leave. */
    List<Stopped> stops(MessageToSend message, Colleague asking) {
        MessageDraft draft = begin(message, asking);
        Optional<BodyText> body = draft.proof().source().layout().map(Layout::text);
        return departures.stops(Leaving.SEND, draft, typed(message, draft)).stream()
                .map(note -> new Stopped(
                        note,
                        note.block().isEmpty() && note.part() == MessagePart.BODY
                                ? body.flatMap(text -> text.slotAt(note.span().start()))
                                        .map(Slot::owner)
                                        .orElse("")
                                : note.block()))
                .toList();
    }

    /**
     * Freezes a message; refused when something stops it or it can't be addressed. The version of its template is kept.
     *
     * @param follows the identifiers of the messages it follows, with angle brackets, the oldest first
     */
    public FrozenMessage freeze(MessageToSend message, List<String> follows, Colleague asking) {
        MessageDraft draft = begin(message, asking);
        String subject = TypedRun.text(message.subject()).strip();
        Optional<Rendering> rendering = renderings.mail(draft.proof(), subject);
        // A letter or designed message leaves as it is merged here; only of a plain one the words may be changed.
        String body = rendering
                .map(Rendering::text)
                .orElseGet(() -> TypedRun.text(message.body()))
                .strip();
        check(message, draft, subject, body);
        PersonAddress address = address(draft.proof().person(), message.address());
        draft.template().ifPresent(one -> templates.keepVersion(one.id(), one.version(), Reason.USED));
        Person person = draft.proof().person();
        LinkedContent content = links.put(contents.of(draft, rendering, body), person.kind(), person.id());
        return frozen(
                message.id(),
                draft.template()
                        .map(one -> new TemplateVersion(one.id(), one.version()))
                        .orElse(null),
                new Envelope(
                        asking.id(),
                        draft.sender(),
                        person,
                        mailbox(person, address),
                        links.own(subject, content),
                        false),
                content,
                new Headers(team.answersGoTo(draft.sender().id()), content.unsubscribe(), follows),
                KeptPieces.of(message.body(), draft.proof().merged().body()),
                clock.instant());
    }

    /** Freezes a message that went out long ago just as it was merged; for the demo's data. */
    public FrozenMessage asMerged(
            UUID id,
            TemplateVersion template,
            Colleague sender,
            Person person,
            PersonAddress address,
            String subject,
            Merged body,
            Optional<Rendering> rendering,
            Instant at) {
        LinkedContent content = links.put(contents.of(rendering, body.text()), person.kind(), person.id(), id);
        Headers headers = new Headers(Optional.empty(), content.unsubscribe(), List.of());
        Envelope envelope = new Envelope(sender.id(), sender, person, mailbox(person, address), subject, false);
        return frozen(id, template, envelope, content, headers, KeptPieces.of(body), at);
    }

    private static Mailbox mailbox(Person person, PersonAddress address) {
        return new Mailbox(person.name(), address.address());
    }

    private FrozenMessage frozen(
            UUID id,
            TemplateVersion template,
            Envelope envelope,
            LinkedContent content,
            Headers headers,
            List<KeptPiece> pieces,
            Instant at) {
        String messageId = domain.messageId(id);
        boolean plain = content.content().html().isEmpty();
        return new FrozenMessage(
                id,
                messageId,
                template,
                envelope,
                at,
                MimeWriter.write(
                        messageId, envelope.from(), envelope.to(), envelope.subject(), content.content(), headers, at),
                plain ? Optional.of(links.own(json.writeValueAsString(pieces), content)) : Optional.empty(),
                Optional.of(content));
    }

    private void check(MessageToSend message, MessageDraft draft, String subject, String body) {
        departures.mustBeFreeToLeave(Leaving.SEND, draft, typed(message, draft));
        PlainLine.refusal(subject, LONGEST_SUBJECT, true).ifPresent(sentence -> {
            throw Refusal.field("subject", sentence);
        });
        PlainLine.refusalOfLines(body, LONGEST_BODY, true).ifPresent(sentence -> {
            throw Refusal.field("body", sentence);
        });
    }

    private MessageDraft begin(MessageToSend message, Colleague asking) {
        return drafts.begin(message.template(), message.to(), message.sender(), message.given(), asking);
    }

    /** The texts whose words may be changed: of a letter or designed message its subject, of a plain one both. */
    private static List<TypedWords> typed(MessageToSend message, MessageDraft draft) {
        TypedWords subject = new TypedWords(MessagePart.SUBJECT, TypedRun.stretches(message.subject()));
        return draft.proof().source().layout().isPresent()
                ? List.of(subject)
                : List.of(subject, new TypedWords(MessagePart.BODY, TypedRun.stretches(message.body())));
    }

    private static PersonAddress address(Person person, UUID wanted) {
        PersonAddress address = person.addresses().stream()
                .filter(one -> wanted == null || one.id().equals(wanted))
                .findFirst()
                .orElseThrow(() -> Refusal.field("address", person.name() + " has no e-mail address. Add one first."));
        EmailAddress.refusal(address.address()).ifPresent(sentence -> {
            throw Refusal.field("address", sentence);
        });
        return address;
    }
}
