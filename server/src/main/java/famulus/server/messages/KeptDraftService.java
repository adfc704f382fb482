package famulus.server.messages;

import famulus.core.message.MergedMessage;
import famulus.core.message.personal.MergedText;
import famulus.server.library.Template;
import famulus.server.library.TemplateService;
import famulus.server.library.TemplateVersionService.Reason;
import famulus.server.messages.KeptDraftMapper.DraftLineRow;
import famulus.server.messages.KeptDraftMapper.DraftRow;
import famulus.server.messages.MessageDraftService.Beginning;
import famulus.server.messages.MessageDraftService.BegunWords;
import famulus.server.messages.MessageDraftService.MessageBeside;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.platform.Events;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.platform.RepeatedRequests;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Keeps messages that are being written, so that they are found again on any machine. A draft is seen and changed by whoever
 * writes it. One that is sent stays, unseen, until its message has left, and can be taken back as it was.
 */
@Service
public class KeptDraftService {
    private static final int MOST_SHOWN = 100;
    private static final int MOST_KEPT = 500;
    private static final int LONGEST_LINE = 200;
    private static final TypeReference<Map<String, MergedText>> TEXTS = new TypeReference<>() {};

    private final KeptDraftMapper mapper;
    private final IgnoredMapper ignored;
    private final MessageDraftService drafts;
    private final TemplateService templates;
    private final Events events;
    private final Clock clock;
    private final Ids ids;
    private final JsonMapper json;
    private final RepeatedRequests once;

    KeptDraftService(
            KeptDraftMapper mapper,
            IgnoredMapper ignored,
            MessageDraftService drafts,
            TemplateService templates,
            Events events,
            Clock clock,
            Ids ids,
            JsonMapper json,
            RepeatedRequests once) {
        this.ignored = ignored;
        this.once = once;
        this.mapper = mapper;
        this.drafts = drafts;
        this.templates = templates;
        this.events = events;
        this.clock = clock;
        this.ids = ids;
        this.json = json;
    }

    /** A draft of whoever asks. */
    KeptDraft get(UUID id, Colleague asking) {
        return mapper.byId(id)
                .filter(row -> row.writtenBy().equals(asking.id()))
                .map(this::read)
                .orElseThrow(() -> Refusal.missing("This draft"));
    }

    /** The same, to be written on; refused once it is on its way. */
    KeptDraft open(UUID id, Colleague asking) {
        KeptDraft draft = get(id, asking);
        if (draft.sentAs() != null) {
            throw onItsWay();
        }
        return draft;
    }

    private static Refusal elsewhere() {
        return Refusal.changedMeanwhile("This draft was changed in another window.");
    }

    private static Refusal onItsWay() {
        return Refusal.because("sent", "This message is on its way already.");
    }

    /** The same, where there is one. */
    Optional<KeptDraft> find(UUID id, Colleague asking) {
        return Optional.ofNullable(id)
                .flatMap(mapper::byId)
                .filter(row -> row.writtenBy().equals(asking.id()))
                .map(this::read);
    }

    /**
     * What a message was made of when it was begun.
     *
     * @param templateVersion null for a message from nothing
     * @param texts its texts as they were merged, by key
     */
    record Begun(Integer templateVersion, Map<String, MergedText> texts) {}

    /** What a message was made of, as it was kept with its draft; of one that has none, what it would be made of now. */
    Begun begun(MessageToSend message, MessageBeside now, Colleague asking) {
        return find(message.draft(), asking)
                .map(draft -> new Begun(draft.templateVersion(), draft.texts()))
                .orElseGet(() ->
                        new Begun(now.draft().template().map(Template::version).orElse(null), now.texts()));
    }

    /**
     * Keeps a draft. Asked again because the answer was lost, it answers the same.
     *
     * @param version what was kept before, as far as whoever asks knows; 0 for one that is new
     * @return the version it has now
     */
    public int keep(UUID id, int version, MessageToSend message, Colleague asking) {
        return once.inOne(() -> keepOnce(id, version, message, asking));
    }

    private int keepOnce(UUID id, int version, MessageToSend message, Colleague asking) {
        Optional<DraftRow> before = mapper.hold(id);
        if (before.isPresent() && !before.get().writtenBy().equals(asking.id())) {
            throw Refusal.missing("This draft");
        }
        before.filter(row -> row.sentAs() != null).ifPresent(row -> {
            throw onItsWay();
        });
        if (before.isEmpty() && version > 0) {
            throw Refusal.missing("This draft");
        }
        if (before.isPresent()
                && before.get().version() == version + 1
                && before.get().message().equals(json.writeValueAsString(message))) {
            return version + 1;
        }
        if (before.isPresent() && before.get().version() != version) {
            throw elsewhere();
        }
        before.ifPresent(row -> mustStayWhereItIs(read(row).message(), message));
        DraftRow row = before.filter(one -> sameOrigin(one, message))
                .map(one -> written(one, message, asking))
                .orElseGet(() -> begun(id, before, message, asking));
        if (before.isPresent()) {
            mapper.update(row);
        } else {
            if (mapper.count(asking.id()) >= MOST_KEPT) {
                throw Refusal.because(
                        "too-many-drafts",
                        "You have " + MOST_KEPT
                                + " drafts already. Send or discard some before you begin another one.");
            }
            mapper.insert(row);
        }
        told(row);
        return row.version();
    }

    /** A draft of a mailing leaves with that, and so does no other one, whatever a browser says of it. */
    private static void mustStayWhereItIs(MessageToSend kept, MessageToSend message) {
        if (!Objects.equals(kept.wishes().mailing(), message.wishes().mailing())) {
            throw Refusal.because("of-a-mailing", "This message is one of a mailing. It leaves together with it.");
        }
    }

    /** Whether a draft is still made of the same template for the same person. */
    private static boolean sameOrigin(DraftRow row, MessageToSend message) {
        return row.personId().equals(message.person())
                && Objects.equals(row.dealId(), message.deal())
                && Objects.equals(row.templateId(), message.template());
    }

    private DraftRow begun(UUID id, Optional<DraftRow> before, MessageToSend message, Colleague asking) {
        BegunWords begun = drafts.begin(Beginning.of(message), asking);
        MessageDraft merged = begun.read();
        merged.template().ifPresent(one -> templates.keepVersion(one.id(), one.version(), Reason.USED));
        Instant now = clock.instant();
        return written(
                new DraftRow(
                        id,
                        asking.id(),
                        merged.sender().id(),
                        message.kind().word(),
                        message.person(),
                        message.deal(),
                        message.template(),
                        merged.template().map(Template::version).orElse(null),
                        merged.proof().person().name(),
                        "",
                        "",
                        before.map(DraftRow::version).orElse(0),
                        null,
                        before.map(DraftRow::createdAt).orElse(now),
                        now,
                        "",
                        json.writeValueAsString(begun.texts())),
                message,
                asking);
    }

    private DraftRow written(DraftRow row, MessageToSend message, Colleague asking) {
        MergedMessage said = drafts.read(message, asking).proof().merged();
        return row.saying(
                message.sender() == null ? asking.id() : message.sender(),
                line(said.subject().text()),
                line(said.body().text()),
                json.writeValueAsString(message),
                clock.instant());
    }

    private static String line(String text) {
        String line = text.strip().replaceAll("\\s+", " ");
        return line.length() <= LONGEST_LINE ? line : line.substring(0, line.offsetByCodePoints(0, LONGEST_LINE / 2));
    }

    /** Throws a draft away. */
    @Transactional
    public void remove(UUID id, Colleague asking) {
        KeptDraft draft = get(id, asking);
        mapper.delete(id);
        ignored.forget(draft.message().id());
        events.tellThese("drafts", draft.message().person().toString(), Set.of(asking.id()));
    }

    /**
     * A draft in a list.
     *
     * @param subject may be empty, as {@code firstWords}
     */
    record DraftLine(
            UUID id,
            CrmKind personKind,
            UUID person,
            UUID deal,
            String personName,
            String subject,
            String firstWords,
            Instant changedAt) {}

    /** The drafts of whoever asks to a person, or about a deal, the newest first. */
    List<DraftLine> of(CrmKind kind, UUID record, Colleague asking) {
        return kind == CrmKind.DEAL ? lines(null, record, asking) : lines(record, null, asking);
    }

    /** All drafts of whoever asks, the newest first. */
    List<DraftLine> all(Colleague asking) {
        return lines(null, null, asking);
    }

    private List<DraftLine> lines(UUID person, UUID deal, Colleague asking) {
        return mapper.lines(asking.id(), person, deal, MOST_SHOWN).stream()
                .map(KeptDraftService::line)
                .toList();
    }

    private static DraftLine line(DraftLineRow row) {
        return new DraftLine(
                row.id(),
                CrmKind.of(row.personKind()),
                row.personId(),
                row.dealId(),
                row.personName(),
                row.subject(),
                row.firstWords(),
                row.changedAt());
    }

    /**
     * Has a draft be the message it has become; nothing where there is none. Refused when it is another one already, or says
     * something else: then two windows have written on it.
     *
     * @param message on its way
     */
    @Transactional
    public void sent(MessageToSend message, Colleague asking) {
        find(message.draft(), asking).ifPresent(one -> {
            if (one.sentAs() != null) {
                throw onItsWay();
            }
            mustStayWhereItIs(one.message(), message);
            if (!Objects.equals(one.message().words(), message.words())) {
                throw elsewhere();
            }
            mapper.send(one.id(), message.id());
            events.tellThese("drafts", one.message().person().toString(), Set.of(asking.id()));
        });
    }

    /**
     * Has a draft be written again whose message was taken back, under a new identifier for the message it will be.
     *
     * @return the draft; empty when the message was none
     */
    @Transactional
    public Optional<UUID> writtenAgain(UUID message) {
        Optional<DraftRow> row = mapper.sentAs(message).flatMap(mapper::hold);
        row.ifPresent(one -> {
            MessageToSend again = read(one).message().under(ids.next());
            ignored.move(message, again.id());
            mapper.update(one.saying(
                    one.senderId(), one.subject(), one.firstWords(), json.writeValueAsString(again), clock.instant()));
            told(one);
        });
        return row.map(DraftRow::id);
    }

    /**
     * What the draft of one of the messages of a mailing says, whoever writes it.
     *
     * @param draft null for none
     */
    public Optional<MessageToSend> ofMailing(UUID draft, UUID mailing) {
        return Optional.ofNullable(draft)
                .flatMap(mapper::byId)
                .map(row -> read(row).message())
                .filter(message -> mailing.equals(message.wishes().mailing()));
    }

    /** Begins the draft of one of the messages of a mailing, to be changed by whoever asks. */
    public void beginOfMailing(UUID draft, MessageToSend message, Colleague asking) {
        keep(draft, 0, message, asking);
    }

    /** Has the draft of one of a mailing be the message it has become, whoever wrote it. */
    public void leftWithMailing(UUID draft, UUID message) {
        mapper.send(draft, message);
    }

    /** Throws the draft of one of a mailing away, whoever wrote it. */
    public void removeOfMailing(UUID draft, UUID mailing) {
        ofMailing(draft, mailing).ifPresent(message -> {
            mapper.delete(draft);
            ignored.forget(message.id());
            events.tell("drafts", message.person().toString());
        });
    }

    /** Forgets the draft of a message that has left. */
    public void gone(UUID message) {
        mapper.gone(message);
    }

    private void told(DraftRow row) {
        events.tellThese("drafts", row.personId().toString(), Set.of(row.writtenBy()));
    }

    private KeptDraft read(DraftRow row) {
        return new KeptDraft(
                row.id(),
                row.writtenBy(),
                json.readValue(row.message(), MessageToSend.class),
                json.readValue(row.texts(), TEXTS),
                row.templateVersion(),
                row.version(),
                row.sentAs(),
                row.createdAt(),
                row.changedAt());
    }
}
