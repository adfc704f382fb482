package famulus.server.messages;

import famulus.core.departure.Leaving;
import famulus.core.merge.Merged;
import famulus.core.message.personal.MergedText;
import famulus.core.message.render.PlainAround;
import famulus.core.message.render.Rendering;
import famulus.core.record.PlainLine;
import famulus.server.desk.RenderingService;
import famulus.server.library.TemplateService;
import famulus.server.library.TemplateVersionService.Reason;
import famulus.server.messages.EnvelopeService.ReadEnvelope;
import famulus.server.messages.FrozenMessage.TemplateVersion;
import famulus.server.messages.KeptDraftService.Begun;
import famulus.server.messages.MessageDraftService.MessageBeside;
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
    private final KeptDraftService kept;
    private final DepartureService departures;
    private final EnvelopeService envelopes;
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
            KeptDraftService kept,
            DepartureService departures,
            EnvelopeService envelopes,
            RenderingService renderings,
            MessageContents contents,
            ReaderLinks links,
            TemplateService templates,
            TeamService team,
            MailDomain domain,
            Clock clock,
            JsonMapper json) {
        this.drafts = drafts;
        this.kept = kept;
        this.departures = departures;
        this.envelopes = envelopes;
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
     * Freezes a message; refused when something stops it or it can't be addressed. The version of its template is kept.
     *
     * @param follows the identifiers of the messages it follows, with angle brackets, the oldest first
     */
    public FrozenMessage freeze(MessageToSend message, List<String> follows, Colleague asking) {
        return freeze(message, drafts.beside(message, asking), follows, asking);
    }

    /**
     * The same of a message that has just been read.
     *
     * @param now as it was read for whoever asks
     */
    public FrozenMessage freeze(MessageToSend message, MessageBeside now, List<String> follows, Colleague asking) {
        MessageDraft draft = now.draft();
        String subject = draft.proof().merged().subject().text().strip();
        Optional<Rendering> rendering = renderings.mail(draft.proof(), subject);
        PlainAround around = renderings.around(draft.proof());
        String body = rendering
                .map(Rendering::text)
                .orElseGet(() -> around.whole(draft.proof().merged().body().text()))
                .strip();
        check(message, draft, subject, body);
        ReadEnvelope read = envelopes.read(message, draft);
        if (!read.wrong().isEmpty()) {
            throw Refusal.fields(read.wrong());
        }
        draft.template().ifPresent(one -> templates.keepVersion(one.id(), one.version(), Reason.USED));
        Optional<Begun> begun = begun(message, now, asking);
        Person person = draft.proof().person();
        LinkedContent linked = links.put(contents.of(draft, rendering, body), person.kind(), person.id());
        LinkedContent content = Optional.ofNullable(message.wishes().several())
                .map(several -> linked.toSeveral(several.topic()))
                .orElse(linked);
        return frozen(
                message.id(),
                draft.template()
                        .map(one -> new TemplateVersion(
                                one.id(), begun.map(Begun::templateVersion).orElse(one.version())))
                        .orElse(null),
                new Envelope(
                        asking.id(),
                        draft.sender(),
                        person,
                        read.to().orElseThrow(),
                        read.others(),
                        links.own(subject, content),
                        false),
                content,
                FirstWords.of(
                        rendering.isPresent()
                                ? body
                                : draft.proof().merged().body().text()),
                new Headers(
                        Optional.ofNullable(message.wishes().replyTo())
                                .or(() -> team.answersGoTo(draft.sender().id())),
                        content.unsubscribe(),
                        follows),
                rendering.isPresent() ? List.of() : KeptPieces.within(around, pieces(begun, draft)),
                clock.instant());
    }

    /** What a message was made of; nothing for one that leaves as it is merged now, or was begun from nothing. */
    private Optional<Begun> begun(MessageToSend message, MessageBeside now, Colleague asking) {
        return message.words() == null || message.template() == null
                ? Optional.empty()
                : Optional.of(kept.begun(message, now, asking));
    }

    private static List<KeptPiece> pieces(Optional<Begun> begun, MessageDraft draft) {
        Merged leaves = draft.proof().merged().body();
        return begun.map(one -> one.texts().getOrDefault(MergedText.BODY, new MergedText("", List.of())))
                .map(text -> KeptPieces.of(text, draft.proof().source().body(), leaves))
                .orElseGet(() -> KeptPieces.of(leaves));
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
            PlainAround around,
            Optional<Rendering> rendering,
            Instant at) {
        LinkedContent content =
                links.put(contents.of(rendering, around.whole(body.text())), person.kind(), person.id(), id);
        Headers headers = new Headers(Optional.empty(), content.unsubscribe(), List.of());
        Envelope envelope = new Envelope(sender.id(), sender, person, mailbox(person, address), subject, false);
        return frozen(
                id,
                template,
                envelope,
                content,
                FirstWords.of(rendering.isPresent() ? content.content().text() : body.text()),
                headers,
                KeptPieces.within(around, KeptPieces.of(body)),
                at);
    }

    private static Mailbox mailbox(Person person, PersonAddress address) {
        return new Mailbox(person.name(), address.address());
    }

    private FrozenMessage frozen(
            UUID id,
            TemplateVersion template,
            Envelope envelope,
            LinkedContent content,
            String firstWords,
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
                firstWords,
                MimeWriter.write(messageId, envelope.parties(), envelope.subject(), content.content(), headers, at),
                plain ? Optional.of(links.own(json.writeValueAsString(pieces), content)) : Optional.empty(),
                Optional.of(content));
    }

    private void check(MessageToSend message, MessageDraft draft, String subject, String body) {
        departures.mustBeFreeToLeave(Leaving.SEND, draft);
        String written = message.words() == null ? subject : message.words().subject();
        PlainLine.refusal(subject, LONGEST_SUBJECT, true)
                .or(() -> PlainLine.refusal(written, Integer.MAX_VALUE, false))
                .ifPresent(sentence -> {
                    throw Refusal.field("subject", sentence);
                });
        PlainLine.refusalOfLines(body, LONGEST_BODY, true).ifPresent(sentence -> {
            throw Refusal.field("body", sentence);
        });
    }
}
