package famulus.server.outbox;

import famulus.server.messages.WordsAgain;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import java.util.UUID;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What a message that was sent is good for afterwards: another one to somebody else. */
@RestController
class WordsAgainController {
    private final OutboxService outbox;
    private final WordsAgain again;

    WordsAgainController(OutboxService outbox, WordsAgain again) {
        this.outbox = outbox;
        this.again = again;
    }

    /** Whom the words of a message are to be sent to. */
    record Somebody(CrmKind kind, UUID person) {}

    /** What was made of a message. */
    record MadeOfMessage(UUID id) {}

    /** Begins a draft that says to somebody what a message said, with their own values. */
    @PostMapping("/api/messages/{id}/again")
    MadeOfMessage toSomebody(Colleague asking, @PathVariable UUID id, @RequestBody Somebody to) {
        if (to.kind() == null || to.person() == null) {
            throw Refusal.field("person", "Choose the person to write to.");
        }
        return new MadeOfMessage(again.toSomebody(outbox.get(id, asking).id(), to.kind(), to.person(), asking));
    }
}
