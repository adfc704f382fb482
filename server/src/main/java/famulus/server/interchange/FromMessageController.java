package famulus.server.interchange;

import famulus.server.interchange.FoundInMessage.AcceptedField;
import famulus.server.interchange.FoundInMessage.MessageWords;
import famulus.server.interchange.FoundInMessage.ReadWords;
import famulus.server.interchange.LikelyPeople.LikelyPerson;
import famulus.server.interchange.MailboxFile.Mailbox;
import famulus.server.interchange.MessageFile.ReadMessage;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Makes templates of messages that worked. */
@RestController
@RequestMapping("/api/templates/from-message")
class FromMessageController {
    private final TemplateFromMessage from;
    private final LikelyPeople likely;

    FromMessageController(TemplateFromMessage from, LikelyPeople likely) {
        this.from = from;
        this.likely = likely;
    }

    /**
     * What an e-mail file says.
     *
     * @param html as it looks; empty for words alone
     * @param sent when it was sent; null where it does not say
     * @param to the addresses it went to
     */
    record MessageRead(
            String subject, String text, String html, @Schema(nullable = true) Instant sent, List<String> to) {}

    /** Reads an e-mail file; nothing of it is kept. */
    @PostMapping(path = "/file", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    MessageRead file(Colleague asking, HttpServletRequest request) throws IOException {
        ReadMessage read = MessageFile.read(request.getInputStream().readNBytes(MessageFile.LARGEST + 1));
        return new MessageRead(read.subject(), read.text(), read.html(), read.sent(), read.to());
    }

    /** Finds the messages of a mailbox file, of which a browser then sends one as a file of its own; nothing of it is kept. */
    @PostMapping(path = "/mailbox", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    Mailbox mailbox(Colleague asking, HttpServletRequest request) throws IOException {
        return MailboxFile.read(request.getInputStream());
    }

    /** A text, and the addresses it went to. */
    record ForWhom(List<String> to, String text) {}

    /** Whom a text may have been written to, the likeliest first. */
    @PostMapping("/people")
    List<LikelyPerson> people(Colleague asking, @RequestBody ForWhom wanted) {
        return likely.of(wanted.to() == null ? List.of() : wanted.to(), wanted.text() == null ? "" : wanted.text());
    }

    /** What a message says, and which values of its reader are in it. */
    @PostMapping("/read")
    ReadWords read(Colleague asking, @RequestBody MessageWords wanted) {
        return from.read(wanted, asking);
    }

    /** What to make of it. */
    record WantedTemplate(MessageWords words, String name, List<AcceptedField> accepted) {}

    /** The new template. */
    record MadeTemplate(UUID id) {}

    /** Makes the template, which belongs to whoever asks and is not ready. */
    @PostMapping
    MadeTemplate make(Colleague asking, @RequestBody WantedTemplate wanted) {
        return new MadeTemplate(from.make(
                wanted.words(), wanted.name() == null ? "" : wanted.name().strip(), wanted.accepted(), asking));
    }
}
