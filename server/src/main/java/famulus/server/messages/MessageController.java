package famulus.server.messages;

import famulus.core.field.About;
import famulus.core.message.MessagePart;
import famulus.server.desk.ProofPresenter;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ShownProof;
import famulus.server.library.Template;
import famulus.server.library.WavedNoteService;
import famulus.server.materials.FileService;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A message to one person while it is written. */
@RestController
class MessageController {
    private final MessageDraftService drafts;
    private final MessageFreezer freezer;
    private final ProofPresenter shown;
    private final WavedNoteService waved;
    private final FileService files;
    private final CheckInboxService checkInboxes;

    MessageController(
            MessageDraftService drafts,
            MessageFreezer freezer,
            ProofPresenter shown,
            WavedNoteService waved,
            FileService files,
            CheckInboxService checkInboxes) {
        this.drafts = drafts;
        this.freezer = freezer;
        this.shown = shown;
        this.waved = waved;
        this.files = files;
        this.checkInboxes = checkInboxes;
    }

    record MessageRequest(
            @Schema(nullable = true) UUID template,
            CrmKind kind,
            UUID id,
            @Schema(nullable = true) UUID deal,
            @Schema(nullable = true) UUID sender,
            Map<String, String> chosen,
            @Schema(nullable = true) Map<String, String> answers) {}

    /** A message begun; {@code templateVersion} is 0 for a message from nothing. */
    record BegunMessage(
            ShownProof proof,
            String templateName,
            int templateVersion,
            About about,
            UUID senderId,
            String senderName,
            String senderEmail,
            List<String> files) {}

    /** A template merged for a person, to be changed and sent. */
    @PostMapping("/api/messages/begin")
    BegunMessage begin(Colleague asking, @RequestBody MessageRequest request) {
        Given given = new Given(request.chosen(), request.answers(), true);
        For to = new For(request.kind(), request.id(), request.deal());
        MessageDraft draft = drafts.begin(request.template(), to, request.sender(), given, asking);
        return new BegunMessage(
                shown.of(
                        draft.proof(),
                        draft.about(),
                        draft.template()
                                .map(template -> waved.all(template.id(), asking))
                                .orElse(List.of())),
                draft.template().map(Template::name).orElse(""),
                draft.template().map(Template::version).orElse(0),
                draft.about(),
                draft.sender().id(),
                draft.sender().name(),
                draft.sender().email(),
                files.names(draft.template().map(Template::files).orElse(List.of())));
    }

    /**
     * Something that stops a message.
     *
     * @param part which text it is about
     * @param start its place: in a text whose words may be changed, among these; else in the template's
     * @param block the block it is about, or that its words are in; empty in a text whose words may be changed
     */
    record Stop(String code, String title, String remedy, MessagePart part, int start, int end, String block) {}

    /** What stops a message as it is, before anybody tries to send it. */
    @PostMapping("/api/messages/stops")
    List<Stop> stops(Colleague asking, @RequestBody MessageToSend message) {
        return freezer.stops(message.complete(), asking).stream()
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

    /** The check inboxes. */
    record CheckInboxes(List<String> addresses) {}

    @GetMapping("/api/check-inboxes")
    CheckInboxes checkInboxes(Colleague asking) {
        return new CheckInboxes(checkInboxes.inboxes());
    }

    @PutMapping("/api/check-inboxes")
    CheckInboxes keepCheckInboxes(Colleague asking, @RequestBody CheckInboxes wanted) {
        return new CheckInboxes(checkInboxes.keep(wanted.addresses(), asking));
    }
}
