package famulus.server.outbox;

import famulus.server.contents.WireSources;
import famulus.server.library.TemplateUseService;
import famulus.server.messages.FrozenMessage;
import famulus.server.messages.KeptDraftService;
import famulus.server.messages.KeptPiece;
import famulus.server.messages.LeavingCheck;
import famulus.server.messages.LinkedContent;
import famulus.server.messages.MessageDraftService.MessageBeside;
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
import java.time.Clock;
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
    private final MessageEnds ends;
    private final Clock clock;

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
            PageForAnybody anybody,
            MessageEnds ends,
            Clock clock) {
        this.clock = clock;
        this.ends = ends;
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
        if (message.wishes().ofMailing()) {
            throw Refusal.because("of-a-mailing", "This message is one of a mailing. It leaves together with it.");
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

    /**
     * Makes one of the messages of a mailing, in the running transaction; refused when it may not leave. Nobody sends it but
     * {@link #sendOfMailing}.
     */
    public void makeOfMailing(UUID mailing, MessageToSend message, Colleague by) {
        FrozenMessage frozen = freezer.freeze(message, List.of(), by);
        keep(OutgoingMessage.ofMailing(mailing, frozen), frozen);
        leaving.keep(message, frozen, by);
        madeOfMailing(message, frozen, by);
    }

    /**
     * The same of a message that has just been read, with others of its mailing.
     *
     * @param read as it was read for whoever started the mailing
     */
    public void makeOfMailing(UUID mailing, MessageToSend message, MessageBeside read, Colleague by) {
        FrozenMessage frozen = freezer.freeze(message, read, List.of(), by);
        keep(OutgoingMessage.ofMailing(mailing, frozen), frozen);
        leaving.keep(message, frozen, read, by);
        madeOfMailing(message, frozen, by);
    }

    private void madeOfMailing(MessageToSend message, FrozenMessage frozen, Colleague by) {
        share(frozen, by);
        if (message.draft() != null) {
            drafts.leftWithMailing(message.draft(), message.id());
        }
    }

    /** Has one of a mailing wait again that was held, to go as it is; nothing where it is not held. */
    public void releaseOfMailing(UUID message) {
        mapper.asItIs(message, clock.instant());
    }

    /** Takes one of a mailing out of the line that waits to be tried again; nothing where it does not wait any more. */
    public void dropOfMailing(UUID message) {
        boolean dropped =
                mapper.cancel(message, MessageState.WAITING) == 1 || mapper.cancel(message, MessageState.HELD) == 1;
        if (dropped) {
            ends.takenBack(message);
            worker.drop(message);
        }
    }

    /** Whether one of a mailing has been made, whatever has become of it. */
    public boolean made(UUID message) {
        return mapper.byId(message).isPresent();
    }

    /**
     * Sends one of a mailing that waits; whatever becomes of it is told to {@link MessageGroups}. One that has to be tried again
     * is put in line with all other messages.
     *
     * @param looked whether it was made just now; one made earlier is looked at again before it leaves
     */
    public void sendOfMailing(UUID message, boolean looked) {
        worker.sendOfMailing(message, looked).ifPresent(next -> worker.due(message, next));
    }

    /** Whether a message that stands alone is due; those of mailings wait for it. */
    public boolean anyAloneDue(Instant now) {
        return mapper.anyAloneDue(now);
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
        return sendTests(tests.freeze(test, asking));
    }

    private int sendTests(List<FrozenMessage> frozen) {
        frozen.forEach(one -> keep(OutgoingMessage.waiting(one, one.at(), null), one));
        frozen.forEach(one -> worker.line(one.id(), one.at()));
        frozen.forEach(one -> events.tell("outbox", one.id().toString()));
        return frozen.size();
    }

    /**
     * Sends messages of a mailing to colleagues as a test.
     *
     * @return how many messages are in line
     */
    @Transactional
    public int sendTestsOfMailing(List<MessageToSend> messages, List<UUID> to, boolean list, Colleague asking) {
        return sendTests(tests.freeze(messages, to, list, asking));
    }

    /** Puts a message in place that went out when it was frozen; for the demo's data. */
    public void keepSent(FrozenMessage frozen) {
        keep(OutgoingMessage.sent(frozen), frozen);
    }

    /** The same of one of a mailing. */
    public void keepSentOfMailing(UUID mailing, FrozenMessage frozen) {
        keep(OutgoingMessage.sent(mailing, frozen), frozen);
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
