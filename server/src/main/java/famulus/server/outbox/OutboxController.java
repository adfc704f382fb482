package famulus.server.outbox;

import famulus.server.messages.MessageToSend;
import famulus.server.messages.SendingWishes;
import famulus.server.messages.TestMessages;
import famulus.server.outbox.OutboxMapper.OutboxRow;
import famulus.server.outbox.OutboxService.OutboxPage;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
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
    private final OutboxHands hands;

    OutboxController(OutboxService outbox, OutboxHands hands) {
        this.outbox = outbox;
        this.hands = hands;
    }

    /**
     * A message that was taken.
     *
     * @param takenAt when that was
     * @param leavesAt when it is handed to the mail server; it can be taken back until then
     */
    record Taken(UUID id, Instant takenAt, Instant leavesAt) {}

    /**
     * A line of the outbox; {@code nextAttemptAt} and {@code sentAt} are null when there is none.
     *
     * @param plannedFor the hour it was planned for; null for a message that was sent at once
     * @param heldWhy why it is held; empty where it is not
     * @param others how many get it besides whom it is written to
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
            @Schema(nullable = true) Instant plannedFor,
            String heldWhy,
            int others,
            boolean mayHandle) {}

    /**
     * What waits and what went.
     *
     * @param waiting how many wait or are being sent
     * @param held how many were held just before they were to leave
     * @param notSure of how many nobody can be sure whether they went
     * @param lines those that wait, are in doubt or were refused, then the newest of the others
     * @param more whether there are older ones
     */
    record Outbox(int waiting, int held, int notSure, List<OutboxLine> lines, boolean more) {}

    /**
     * How many messages want to be looked at.
     *
     * @param waiting how many wait or are being sent
     * @param held how many were held just before they were to leave
     * @param notSure of how many nobody can be sure whether they went
     */
    record OutboxCount(int waiting, int held, int notSure) {}

    @PostMapping("/api/messages")
    Taken send(Colleague asking, @RequestBody MessageToSend message) {
        OutgoingMessage taken = outbox.get(outbox.send(message.complete(), asking), asking);
        return new Taken(taken.id(), taken.createdAt(), taken.leavesAt());
    }

    /**
     * A template to be sent to colleagues as a test.
     *
     * @param version what it was when it was looked at
     * @param deal null for none
     * @param to whose inboxes
     * @param list whether it goes to the check inboxes as well
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
        List<UUID> colleagues = test.to() == null ? List.of() : test.to();
        return new SentTests(
                outbox.sendTests(new TestMessages.Wanted(id, test.version(), to, colleagues, test.list()), asking));
    }

    /** The first page, or the one that follows on a message. */
    @GetMapping("/api/outbox")
    Outbox outbox(Colleague asking, @RequestParam(required = false) UUID before) {
        OutboxPage page = outbox.page(before, asking);
        return new Outbox(
                outbox.countWaiting(asking),
                outbox.countHeld(asking),
                outbox.countNotSure(asking),
                Stream.concat(page.open().stream(), page.settled().stream())
                        .map(row -> line(row, asking))
                        .toList(),
                page.more());
    }

    /** The messages that somebody has to look after, or that are on their way. */
    @GetMapping("/api/outbox/open")
    List<OutboxLine> open(Colleague asking) {
        return outbox.open(asking).stream().map(row -> line(row, asking)).toList();
    }

    @GetMapping("/api/outbox/count")
    OutboxCount count(Colleague asking) {
        return new OutboxCount(outbox.countWaiting(asking), outbox.countHeld(asking), outbox.countNotSure(asking));
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

    /**
     * A message that was taken back.
     *
     * @param draft in which it is written on; null for a message that had none
     */
    record TakenBack(@Schema(nullable = true) UUID draft) {}

    /** Takes a message back before it leaves, to be written on. */
    @PostMapping("/api/outbox/{id}/take-back")
    TakenBack takeBack(Colleague asking, @PathVariable UUID id) {
        return new TakenBack(hands.takeBack(id, asking).orElse(null));
    }

    /** Lets a message go as it is that was held. */
    @PostMapping("/api/outbox/{id}/as-it-is")
    void asItIs(Colleague asking, @PathVariable UUID id) {
        hands.asItIs(id, asking);
    }

    /** The hour a message is to leave at. */
    record MovedTo(SendingWishes.Hour hour) {}

    /** Has a message leave at another hour. */
    @PutMapping("/api/outbox/{id}/hour")
    void move(Colleague asking, @PathVariable UUID id, @RequestBody MovedTo to) {
        hands.move(id, to.hour(), asking);
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
                row.plannedFor(),
                row.heldWhy() == null ? "" : row.heldWhy(),
                row.others(),
                OutboxHands.mayHandle(row.writtenBy(), row.senderId(), asking));
    }
}
