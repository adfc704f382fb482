package famulus.server.reading;

import famulus.server.messages.IgnoredNotes;
import famulus.server.messages.IgnoredNotes.Ignored;
import famulus.server.messages.KeptPiece;
import famulus.server.messages.Recipient;
import famulus.server.messages.SourceText;
import famulus.server.messages.WordsAgain;
import famulus.server.outbox.MessageState;
import famulus.server.outbox.OutboxService;
import famulus.server.outbox.OutgoingMessage;
import famulus.server.reading.ReadingService.ReadingEvent;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A message as it was sent and what its reader did with it, and whether that is counted. */
@RestController
class SentMessageController {
    private final OutboxService outbox;
    private final ReadingService readings;
    private final WordsAgain again;
    private final IgnoredNotes ignored;

    SentMessageController(OutboxService outbox, ReadingService readings, WordsAgain again, IgnoredNotes ignored) {
        this.ignored = ignored;
        this.again = again;
        this.outbox = outbox;
        this.readings = readings;
    }

    /**
     * A message as it was sent.
     *
     * @param bcc who got a copy that nobody else saw
     * @param ignored the checks that its writer has ignored
     * @param test whether it was only a test
     * @param knownWords whether it is known what it was made of, so that it can be sent to others or become a template
     */
    record SentMessage(
            UUID id,
            MessageState state,
            boolean test,
            boolean knownWords,
            int attempts,
            String lastAnswer,
            boolean maybeRepeated,
            Instant createdAt,
            SourceText read,
            List<KeptPiece> pieces,
            List<String> bcc,
            List<Ignored> ignored,
            List<Became> became) {}

    /**
     * What became of a message.
     *
     * @param address the link that was followed; empty for anything else
     * @param byMachine whether it says nothing of the reader
     */
    record Became(ReadingEvent kind, Instant at, String address, boolean byMachine) {}

    @GetMapping("/api/messages/{id}")
    SentMessage message(Colleague asking, @PathVariable UUID id) {
        OutgoingMessage message = outbox.get(id, asking);
        SourceText read = SourceText.of(outbox.source(message));
        return new SentMessage(
                id,
                message.state(),
                message.test(),
                again.knows(id),
                message.attempts(),
                message.lastAnswer() == null ? "" : message.lastAnswer(),
                message.maybeRepeated(),
                message.createdAt(),
                read.with(readings.asWritten(id, read.html())),
                outbox.pieces(message),
                outbox.recipients(message).stream()
                        .filter(one -> one.how() == Recipient.How.BCC)
                        .map(one -> one.mailbox().address())
                        .toList(),
                ignored.shown(id),
                readings.events(id).stream()
                        .map(one -> new Became(
                                ReadingEvent.valueOf(one.kind()),
                                one.at(),
                                one.address() == null ? "" : one.address(),
                                one.byMachine()))
                        .toList());
    }

    record Counting(boolean counts) {}

    /** Whether opens and clicks are counted. */
    @GetMapping("/api/company/counting")
    Counting counting(Colleague asking) {
        return new Counting(readings.counts());
    }

    /** Has them counted from the next message on, or not; administrators settle it. */
    @PutMapping("/api/company/counting")
    Counting count(Colleague asking, @RequestBody Counting wanted) {
        asking.mustBe("Only an administrator turns tracking on or off.", Role.ADMINISTRATOR);
        readings.count(wanted.counts());
        return counting(asking);
    }
}
