package famulus.server.outbox;

import famulus.server.contents.WireSources;
import famulus.server.library.TemplateUseService;
import famulus.server.messages.FrozenMessage;
import famulus.server.messages.KeptDraftService;
import famulus.server.messages.KeptPiece;
import famulus.server.messages.LeavingCheck;
import famulus.server.messages.LinkedContent;
import famulus.server.messages.MessageFreezer;
import famulus.server.messages.MessageToSend;
import famulus.server.messages.MimeWriter.Mailbox;
import famulus.server.messages.PageForAnybody;
import famulus.server.messages.ReaderPages;
import famulus.server.messages.Recipient;
import famulus.server.messages.SourceText;
import famulus.server.messages.SourceText.HeaderLine;
import famulus.server.messages.TestMessages;
import famulus.server.outbox.OutboxMapper.OutboxRow;
import famulus.server.platform.Events;
import famulus.server.platform.Refusal;
import famulus.server.platform.RepeatedRequests;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.PersonSummaries;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Takes frozen messages to be sent, keeps them whole and shows what became of them. */
@Service
public class OutboxService {
    private static final int MOST_OPEN = 300;
    private static final int MOST_SHOWN = 100;
    private static final List<MessageState> OPEN = List.of(
            MessageState.WAITING, MessageState.HELD, MessageState.SENDING, MessageState.NOT_SURE, MessageState.REFUSED);
    private static final List<MessageState> SETTLED = List.of(MessageState.SENT, MessageState.CANCELLED);
    private static final int MOST_REFERENCES = 20;

    private final OutboxMapper mapper;
    private final OutboxWorker worker;
    private final MessageFreezer freezer;
    private final TestMessages tests;
    private final ReaderPages pages;
    private final WireSources sources;
    private final PersonSummaries summaries;
    private final TemplateUseService uses;
    private final Events events;
    private final JsonMapper json;
    private final RepeatedRequests once;
    private final KeptDraftService drafts;
    private final TeamService team;
    private final LeavingCheck leaving;
    private final PageForAnybody anybody;

    OutboxService(
            OutboxMapper mapper,
            OutboxWorker worker,
            MessageFreezer freezer,
            TestMessages tests,
            ReaderPages pages,
            WireSources sources,
            PersonSummaries summaries,
            TemplateUseService uses,
            Events events,
            JsonMapper json,
            RepeatedRequests once,
            KeptDraftService drafts,
            TeamService team,
            LeavingCheck leaving,
            PageForAnybody anybody) {
        this.anybody = anybody;
        this.leaving = leaving;
        this.mapper = mapper;
        this.worker = worker;
        this.freezer = freezer;
        this.tests = tests;
        this.pages = pages;
        this.sources = sources;
        this.summaries = summaries;
        this.uses = uses;
        this.events = events;
        this.json = json;
        this.once = once;
        this.drafts = drafts;
        this.team = team;
    }

    /**
     * Keeps a message and puts it in line, in one transaction; refused when it may not leave or can't be addressed. Asked
     * several times under one identifier, at once or later, it answers the same and sends once.
     */
    public UUID send(MessageToSend message, Colleague asking) {
        if (message.id() == null) {
            throw Refusal.field("id", "A message needs an identifier.");
        }
        return once.inOne(() -> take(message, asking));
    }

    private UUID take(MessageToSend message, Colleague asking) {
        Optional<OutgoingMessage> before = mapper.byId(message.id());
        if (before.isPresent()) {
            if (!before.get().writtenBy().equals(asking.id())) {
                throw Refusal.forbidden("This message is somebody else’s.");
            }
            return message.id();
        }
        FrozenMessage frozen = freezer.freeze(message, follows(message), asking);
        Instant soon = frozen.at().plus(team.timeToTakeBack(asking.id()));
        Optional<Instant> planned = message.leaves();
        Instant at = planned.filter(hour -> hour.isAfter(soon)).orElse(soon);
        keep(OutgoingMessage.waiting(frozen, at, planned.orElse(null)), frozen);
        leaving.keep(message, frozen, asking);
        share(frozen, asking);
        drafts.sent(message, asking);
        worker.line(message.id(), at);
        events.tell("record", message.person().toString());
        events.tell("outbox", message.id().toString());
        return message.id();
    }

    /** Makes the page that a message invites its reader to pass on; refused where it would have to say something personal. */
    private void share(FrozenMessage frozen, Colleague asking) {
        frozen.pages().flatMap(LinkedContent::shared).ifPresent(key -> {
            Person person = frozen.envelope().person();
            For to = new For(person.kind(), person.id(), null);
            pages.share(
                    frozen.id(),
                    key,
                    anybody.of(frozen.id(), frozen.envelope().sender(), to, frozen.at(), key),
                    asking.id());
        });
    }

    /** The identifiers of the messages that one follows, the oldest first. */
    private List<String> follows(MessageToSend message) {
        if (message.after() == null) {
            return List.of();
        }
        OutgoingMessage before = mapper.byId(message.after())
                .filter(one -> one.personId().equals(message.person()) && !one.test())
                .orElseThrow(() -> Refusal.field("after", "The message that this one follows is missing."));
        List<String> references = new ArrayList<>(SourceText.of(source(before)).headers().stream()
                .filter(header -> header.name().equalsIgnoreCase("References"))
                .map(HeaderLine::value)
                .flatMap(value -> Stream.of(value.strip().split("\\s+")))
                .toList());
        references.add(before.messageId());
        return references.subList(Math.max(0, references.size() - MOST_REFERENCES), references.size());
    }

    /**
     * Sends a template to colleagues as a test.
     *
     * @return how many messages are in line
     */
    @Transactional
    public int sendTests(TestMessages.Wanted test, Colleague asking) {
        List<FrozenMessage> frozen = tests.freeze(test, asking);
        frozen.forEach(one -> keep(OutgoingMessage.waiting(one, one.at(), null), one));
        frozen.forEach(one -> worker.line(one.id(), one.at()));
        frozen.forEach(one -> events.tell("outbox", one.id().toString()));
        return frozen.size();
    }

    /** Puts a message in place that went out when it was frozen; for the demo's data. */
    public void keepSent(FrozenMessage frozen) {
        keep(OutgoingMessage.sent(frozen), frozen);
    }

    /** Keeps a message with its bytes and pages, and adds it to what is kept in sum of its person and its template. */
    private void keep(OutgoingMessage message, FrozenMessage frozen) {
        mapper.insert(message);
        List<Recipient> others = frozen.envelope().others();
        for (int i = 0; i < others.size(); i++) {
            mapper.insertRecipient(message.id(), i, others.get(i), message.createdAt());
        }
        sources.keep(frozen.id(), frozen.source());
        frozen.pieces().ifPresent(pieces -> mapper.insertPieces(frozen.id(), pieces));
        frozen.pages().ifPresent(content -> pages.keep(frozen.id(), content));
        if (!message.test()) {
            Person person = frozen.envelope().person();
            if (frozen.template() != null) {
                uses.used(frozen.template().id(), message.writtenBy(), message.createdAt());
            }
            summaries.wrote(person.kind(), person.id(), message.createdAt());
            if (frozen.pages().filter(LinkedContent::several).isPresent()) {
                mapper.toSeveral(message.id());
                summaries.wroteToSeveral(person.id(), message.createdAt());
            }
            frozen.envelope().others().stream()
                    .map(Recipient::contact)
                    .filter(Objects::nonNull)
                    .forEach(contact -> summaries.wrote(CrmKind.CONTACT, contact, message.createdAt()));
        }
    }

    /**
     * A page of the outbox.
     *
     * @param open what waits, is in doubt or was refused; on the first page alone
     * @param settled the newest that went or were cancelled
     * @param more whether there are older ones
     */
    record OutboxPage(List<OutboxRow> open, List<OutboxRow> settled, boolean more) {
        /**
         * A page. A message that has left between the two questions is in both answers; it is shown as it is by now.
         *
         * @param settled one more than is shown, where there are older ones
         */
        static OutboxPage of(List<OutboxRow> open, List<OutboxRow> settled, int most) {
            List<OutboxRow> shown = settled.stream().limit(most).toList();
            Set<UUID> left = settled.stream().map(OutboxRow::id).collect(Collectors.toSet());
            return new OutboxPage(
                    open.stream().filter(one -> !left.contains(one.id())).toList(), shown, settled.size() > most);
        }
    }

    /**
     * What waits and what was refused, then what went, the newest first; of tests those that somebody may see.
     *
     * @param before the last message of the page before; null for the first page
     */
    OutboxPage page(UUID before, Colleague asking) {
        boolean all = seesTests(asking);
        Optional<OutgoingMessage> last = Optional.ofNullable(before).map(id -> get(id, asking));
        List<OutboxRow> open = before == null ? open(asking) : List.of();
        List<OutboxRow> settled = mapper.newest(
                SETTLED, last.map(OutgoingMessage::createdAt).orElse(null), before, MOST_SHOWN + 1, asking, all);
        return OutboxPage.of(open, settled, MOST_SHOWN);
    }

    /** Whether anybody has been written to, tests aside. */
    public boolean anySent() {
        return mapper.any();
    }

    /** What waits, is in doubt or was refused, the newest first. */
    List<OutboxRow> open(Colleague asking) {
        return mapper.newest(OPEN, null, null, MOST_OPEN, asking, seesTests(asking));
    }

    /** How many wait. */
    int countWaiting(Colleague asking) {
        return mapper.countWaiting(asking, seesTests(asking));
    }

    /** How many were held just before they were to leave. */
    int countHeld(Colleague asking) {
        return mapper.countHeld(asking, seesTests(asking));
    }

    /** Of how many nobody can be sure whether they went. */
    int countNotSure(Colleague asking) {
        return mapper.countNotSure(asking, seesTests(asking));
    }

    /** What is tested may not be ready for others: a test is seen by who sent it, and by those who may change all templates. */
    private static boolean seesTests(Colleague asking) {
        return asking.is(Role.KEEPER, Role.ADMINISTRATOR);
    }

    /** One message; refused when it is missing, or a test that is not for whoever asks to see. */
    public OutgoingMessage get(UUID id, Colleague asking) {
        return mapper.byId(id)
                .filter(one -> !one.test() || one.writtenBy().equals(asking.id()) || seesTests(asking))
                .orElseThrow(() -> Refusal.missing("This message"));
    }

    /** Who gets a message besides whom it is written to. */
    public List<Recipient> recipients(OutgoingMessage message) {
        return mapper.recipients(message.id()).stream()
                .map(row -> new Recipient(row.how(), new Mailbox(row.name(), row.address()), row.contactId()))
                .toList();
    }

    /** A message as it is on the wire. */
    public byte[] source(OutgoingMessage message) {
        return sources.read(message.id()).orElseThrow();
    }

    /** Where each stretch of a plain message came from; of a letter nothing is kept. */
    public List<KeptPiece> pieces(OutgoingMessage message) {
        return mapper.pieces(message.id())
                .map(pieces -> List.of(json.readValue(pieces, KeptPiece[].class)))
                .orElse(List.of());
    }
}
