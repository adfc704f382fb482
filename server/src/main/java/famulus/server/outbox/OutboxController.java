package famulus.server.outbox;

import famulus.core.message.MessagePart;
import famulus.server.outbox.DeliveryService.DeliveryEvent;
import famulus.server.outbox.OutboxMapper.OutboxRow;
import famulus.server.outbox.OutboxService.OutboxPage;
import famulus.server.outbox.OutboxService.Run;
import famulus.server.outbox.OutboxService.ToSend;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Sending, and what became of it. */
@RestController
class OutboxController {
    private final OutboxService outbox;
    private final TestService tests;
    private final TestListService testList;
    private final DeliveryService deliveries;
    private final OutboxHands hands;

    OutboxController(
            OutboxService outbox,
            TestService tests,
            TestListService testList,
            DeliveryService deliveries,
            OutboxHands hands) {
        this.hands = hands;
        this.testList = testList;
        this.deliveries = deliveries;
        this.tests = tests;
        this.outbox = outbox;
    }

    record MessageToSend(
            UUID id,
            @Schema(nullable = true) UUID template,
            CrmKind kind,
            UUID person,
            @Schema(nullable = true) UUID deal,
            @Schema(nullable = true) UUID address,
            @Schema(nullable = true) UUID sender,
            @Schema(nullable = true) UUID after,
            Map<String, String> chosen,
            @Schema(nullable = true) Map<String, String> answers,
            List<Run> subject,
            List<Run> body) {}

    record Taken(UUID id) {}

    /**
     * A line of the outbox; {@code nextAttemptAt} and {@code sentAt} are null when there is none.
     *
     * @param mayHandle whether whoever asks may try, send again or cancel it
     */
    record OutboxLine(
            UUID id,
            String subject,
            String toAddress,
            CrmKind personKind,
            UUID personId,
            String senderName,
            MessageState state,
            int attempts,
            @Schema(nullable = true) Instant nextAttemptAt,
            String lastAnswer,
            Instant createdAt,
            @Schema(nullable = true) Instant sentAt,
            boolean test,
            boolean mayHandle) {}

    /**
     * What waits and what went.
     *
     * @param waiting how many wait or are being sent
     * @param notSure of how many nobody can be sure whether they went
     * @param lines those that wait, are in doubt or were refused, then the newest of the others
     * @param more whether there are older ones
     */
    record Outbox(int waiting, int notSure, List<OutboxLine> lines, boolean more) {}

    /**
     * How many messages want to be looked at.
     *
     * @param waiting how many wait or are being sent
     * @param notSure of how many nobody can be sure whether they went
     */
    record OutboxCount(int waiting, int notSure) {}

    /** A message as it was sent. */
    record SentMessage(
            UUID id,
            MessageState state,
            int attempts,
            String lastAnswer,
            boolean maybeRepeated,
            Instant createdAt,
            SourceText read,
            List<KeptPiece> pieces,
            List<Became> became) {}

    /**
     * What became of a message.
     *
     * @param address the link that was followed; empty for anything else
     * @param byMachine whether it says nothing of the reader
     */
    record Became(DeliveryEvent kind, Instant at, String address, boolean byMachine) {}

    @PostMapping("/api/messages")
    Taken send(Colleague asking, @RequestBody MessageToSend message) {
        return new Taken(outbox.send(read(message), asking));
    }

    /**
     * Something that stops a message.
     *
     * @param part which text it is about
     * @param start where it stands: in a text whose words may be changed, among these; else in the template's
     * @param block the block it is about, or that its words stand in; empty in a text whose words may be changed
     */
    record Stop(String code, String title, String remedy, MessagePart part, int start, int end, String block) {}

    /** What stops a message as it is, before anybody tries to send it. */
    @PostMapping("/api/messages/stops")
    List<Stop> stops(Colleague asking, @RequestBody MessageToSend message) {
        return outbox.stops(read(message), asking).stream()
                .map(stop -> new Stop(
                        stop.note().code(),
                        stop.note().title(),
                        stop.note().remedy(),
                        stop.note().part(),
                        stop.note().span().start(),
                        stop.note().span().end(),
                        stop.block()))
                .toList();
    }

    private static ToSend read(MessageToSend message) {
        if (message.subject() == null || message.body() == null || message.kind() == null) {
            throw Refusal.because("unreadable", "This message can't be read.");
        }
        return new ToSend(
                message.id(),
                message.template(),
                message.kind(),
                message.person(),
                message.deal(),
                message.address(),
                message.sender(),
                message.after(),
                message.chosen(),
                message.answers(),
                message.subject(),
                message.body());
    }

    /**
     * A template to be sent to colleagues as a test.
     *
     * @param version what it was when it was looked at
     * @param deal null for none
     * @param to whose inboxes
     * @param list whether it goes to the test list as well
     */
    record TestToSend(
            int version, CrmKind kind, UUID person, @Schema(nullable = true) UUID deal, List<UUID> to, boolean list) {}

    record SentTests(int sent) {}

    /** Sends a template to colleagues, merged for one person, as it would leave. */
    @PostMapping("/api/templates/{id}/tests")
    SentTests test(Colleague asking, @PathVariable UUID id, @RequestBody TestToSend test) {
        if (test.kind() == null || test.person() == null) {
            throw Refusal.because("no-person", "Choose the person to merge it for.");
        }
        For to = new For(test.kind(), test.person(), test.deal());
        return new SentTests(
                tests.send(id, test.version(), to, test.to() == null ? List.of() : test.to(), test.list(), asking));
    }

    /** The inboxes of the test list. */
    record TestList(List<String> addresses) {}

    @GetMapping("/api/test-list")
    TestList testList(Colleague asking) {
        return new TestList(testList.inboxes());
    }

    @PutMapping("/api/test-list")
    TestList keepTestList(Colleague asking, @RequestBody TestList wanted) {
        return new TestList(testList.keep(wanted.addresses(), asking));
    }

    @GetMapping("/api/messages/{id}")
    SentMessage message(Colleague asking, @PathVariable UUID id) {
        OutgoingMessage message = outbox.get(id, asking);
        SourceText read = SourceText.of(outbox.source(message));
        return new SentMessage(
                id,
                message.state(),
                message.attempts(),
                message.lastAnswer() == null ? "" : message.lastAnswer(),
                message.maybeRepeated(),
                message.createdAt(),
                read.with(deliveries.asWritten(id, read.html())),
                outbox.pieces(message),
                deliveries.events(id).stream()
                        .map(one -> new Became(
                                DeliveryEvent.valueOf(one.kind()),
                                one.at(),
                                one.address() == null ? "" : one.address(),
                                one.byMachine()))
                        .toList());
    }

    /** The first page, or the one that follows on a message. */
    @GetMapping("/api/outbox")
    Outbox outbox(Colleague asking, @RequestParam(required = false) UUID before) {
        OutboxPage page = outbox.page(before, asking);
        return new Outbox(
                outbox.countWaiting(asking),
                outbox.countNotSure(asking),
                Stream.concat(page.open().stream(), page.settled().stream())
                        .map(row -> line(row, asking))
                        .toList(),
                page.more());
    }

    @GetMapping("/api/outbox/count")
    OutboxCount count(Colleague asking) {
        return new OutboxCount(outbox.countWaiting(asking), outbox.countNotSure(asking));
    }

    record Counting(boolean counts) {}

    /** Whether opens and clicks are counted. */
    @GetMapping("/api/house/counting")
    Counting counting(Colleague asking) {
        return new Counting(deliveries.counts());
    }

    /** Has them counted from the next message on, or not; administrators settle it. */
    @PutMapping("/api/house/counting")
    Counting count(Colleague asking, @RequestBody Counting wanted) {
        asking.mustBe("Only an administrator settles what is counted.", Role.ADMINISTRATOR);
        deliveries.count(wanted.counts());
        return counting(asking);
    }

    @PostMapping("/api/outbox/{id}/try-now")
    void tryNow(Colleague asking, @PathVariable UUID id) {
        hands.tryNow(id, asking);
    }

    /** Sends a message once more of which nobody can be sure. */
    @PostMapping("/api/outbox/{id}/send-again")
    void sendAgain(Colleague asking, @PathVariable UUID id) {
        hands.sendAgain(id, asking);
    }

    /** Settles that a message of which nobody could be sure has arrived. */
    @PostMapping("/api/outbox/{id}/arrived")
    void arrived(Colleague asking, @PathVariable UUID id) {
        hands.arrived(id, asking);
    }

    @DeleteMapping("/api/outbox/{id}")
    void cancel(Colleague asking, @PathVariable UUID id) {
        hands.cancel(id, asking);
    }

    private static OutboxLine line(OutboxRow row, Colleague asking) {
        return new OutboxLine(
                row.id(),
                row.subject(),
                row.toAddress(),
                CrmKind.of(row.personKind()),
                row.personId(),
                row.senderName(),
                row.state(),
                row.attempts(),
                row.nextAttemptAt(),
                row.lastAnswer() == null ? "" : row.lastAnswer(),
                row.createdAt(),
                row.sentAt(),
                row.test(),
                OutboxHands.mayHandle(row.writtenBy(), row.senderId(), asking));
    }
}
