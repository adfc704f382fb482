package famulus.server.demoinboxes;

import famulus.server.demoinboxes.DemoInboxesMapper.Inbox;
import famulus.server.demoinboxes.DemoInboxesMapper.LetterRow;
import famulus.server.messages.SourceText;
import famulus.server.outbox.OutboxHands;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reading the inboxes of made-up recipients; there only in the demo. */
@RestController
@RequestMapping("/api/demo-inboxes")
@ConditionalOnProperty(name = "famulus.demo", havingValue = "true", matchIfMissing = false)
class DemoInboxesController {
    private final DemoMailServer post;
    private final DemoInboxesMapper mapper;
    private final OutboxHands outbox;
    private final DemoLetters letters;

    DemoInboxesController(DemoMailServer post, DemoInboxesMapper mapper, OutboxHands outbox, DemoLetters letters) {
        this.letters = letters;
        this.post = post;
        this.mapper = mapper;
        this.outbox = outbox;
    }

    record Post(boolean open, List<Inbox> inboxes) {}

    record OpenOrNot(boolean open) {}

    record LetterLine(long id, Instant arrivedAt, String from, String subject, String firstWords) {}

    record Letter(long id, Instant arrivedAt, SourceText read) {}

    @GetMapping
    Post post(Colleague asking) {
        return new Post(post.isOpen(), mapper.inboxes());
    }

    /** Closes the post, or opens it and lets everything that waits go at once. */
    @PutMapping
    Post openOrClose(Colleague asking, @RequestBody OpenOrNot wanted) {
        if (wanted.open()) {
            post.open();
            outbox.tryAllNow();
        } else {
            post.close();
        }
        return post(asking);
    }

    @GetMapping("/letters")
    List<LetterLine> letters(Colleague asking, @RequestParam String address) {
        return mapper.letters(address.toLowerCase(Locale.ROOT)).stream()
                .map(DemoInboxesController::line)
                .toList();
    }

    @GetMapping("/letters/{id}")
    Letter letter(Colleague asking, @PathVariable long id) {
        LetterRow row = mapper.letter(id).orElseThrow(() -> Refusal.missing("This letter"));
        return new Letter(row.id(), row.arrivedAt(), letters.read(row));
    }

    private static LetterLine line(LetterRow row) {
        return new LetterLine(row.id(), row.arrivedAt(), row.fromName(), row.subject(), row.words());
    }
}
