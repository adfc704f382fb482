package famulus.server.messages;

import famulus.core.departure.Leaving;
import famulus.core.message.body.Mode;
import famulus.core.message.render.Paper;
import famulus.server.materials.FileService;
import famulus.server.materials.FileService.KeptFile;
import famulus.server.messages.MessageDraftService.Beginning;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.paper.PaperService;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Puts a message, or another template for the same person, on paper, to be attached to the message. */
@RestController
class MessagePaperController {
    private static final int LONGEST_NAME = 100;

    private final MessageDraftService drafts;
    private final DepartureService departures;
    private final PaperService papers;
    private final FileService files;

    MessagePaperController(
            MessageDraftService drafts, DepartureService departures, PaperService papers, FileService files) {
        this.drafts = drafts;
        this.departures = departures;
        this.papers = papers;
        this.files = files;
    }

    /**
     * A paper that is wanted.
     *
     * @param message whom it is for, and what it says where no template is named
     * @param template what is put on paper for its person; null for the message itself
     * @param size null for what people print on where its reader is
     */
    record PaperRequest(
            MessageToSend message, @Schema(nullable = true) UUID template, @Schema(nullable = true) Paper.Size size) {}

    /** Makes a PDF that belongs to the message; refused while anything stops its words from leaving. */
    @PostMapping("/api/messages/paper")
    KeptFile paper(Colleague asking, @RequestBody PaperRequest request) {
        MessageToSend message = request.message().complete();
        MessageDraft draft = request.template() == null
                ? drafts.read(message, asking)
                : drafts.begin(
                                new Beginning(
                                        request.template(),
                                        Mode.LETTER,
                                        message.to(),
                                        message.sender(),
                                        message.leaves()),
                                asking)
                        .read();
        departures.mustBeFreeToLeave(Leaving.SEND, draft);
        byte[] pdf = papers.pdf(draft.proof(), Optional.ofNullable(request.size()), false);
        return files.addApart(name(draft), pdf, asking);
    }

    /** Called by its subject, which says what it is. */
    private static String name(MessageDraft draft) {
        String subject = draft.proof()
                .merged()
                .subject()
                .text()
                .replaceAll("[\\p{Cntrl}/\\\\:*?\"<>|]+", " ")
                .replaceAll("\\s+", " ")
                .strip();
        return (subject.length() > LONGEST_NAME
                        ? subject.substring(0, LONGEST_NAME).strip()
                        : subject) + ".pdf";
    }
}
