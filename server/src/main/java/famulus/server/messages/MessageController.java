package famulus.server.messages;

import famulus.core.calendar.PlannedHour;
import famulus.core.field.About;
import famulus.core.message.body.Mode;
import famulus.server.desk.ProofService.Given;
import famulus.server.library.Draft;
import famulus.server.library.Template;
import famulus.server.messages.MessageDraftService.Beginning;
import famulus.server.messages.MessageDraftService.BegunWords;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.messages.MessageProofs.WrittenMessage;
import famulus.server.messages.WishedEnvelope.Wished;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
    private final MessageProofs proofs;
    private final WishedEnvelope envelopes;
    private final CheckInboxService checkInboxes;

    MessageController(
            MessageDraftService drafts,
            MessageProofs proofs,
            WishedEnvelope envelopes,
            CheckInboxService checkInboxes) {
        this.envelopes = envelopes;
        this.drafts = drafts;
        this.proofs = proofs;
        this.checkInboxes = checkInboxes;
    }

    /**
     * A message to be begun.
     *
     * @param mode how a message from nothing is written; null for a letter
     * @param wishes who gets it too, and when it leaves; null for what its template wishes
     */
    record MessageRequest(
            @Schema(nullable = true) UUID template,
            CrmKind kind,
            UUID id,
            @Schema(nullable = true) UUID deal,
            @Schema(nullable = true) UUID sender,
            @Schema(nullable = true) Mode mode,
            @Schema(nullable = true) SendingWishes wishes) {}

    /**
     * A message begun; {@code templateVersion} is 0 for a message from nothing.
     *
     * @param words what it says, to be changed
     * @param read what the server says of these words
     * @param wishes what its template wishes for its envelope; null for nothing, and where that was settled already
     */
    record BegunMessage(
            Draft words,
            WrittenMessage read,
            String templateName,
            int templateVersion,
            About about,
            UUID senderId,
            String senderName,
            String senderEmail,
            @Schema(nullable = true) SendingWishes wishes) {}

    /** A template merged for a person, to be changed and sent. */
    @PostMapping("/api/messages/begin")
    BegunMessage begin(Colleague asking, @RequestBody MessageRequest request) {
        if (request.kind() == null || request.id() == null) {
            throw Refusal.because("no-person", "Choose the person to write to.");
        }
        Mode mode = request.mode() == null ? Mode.LETTER : request.mode();
        Optional<Wished> wished = request.wishes() == null
                ? envelopes.of(
                        request.template(),
                        new For(request.kind(), request.id(), request.deal()),
                        request.sender(),
                        asking)
                : Optional.empty();
        SendingWishes wishes =
                wished.map(Wished::wishes).orElse(request.wishes() == null ? SendingWishes.NONE : request.wishes());
        UUID sender = wished.map(Wished::sender).orElse(request.sender());
        For to = new For(request.kind(), request.id(), request.deal(), wishes.also());
        BegunWords begun = drafts.begin(
                new Beginning(
                        request.template(), mode, to, sender, wishes.planned().map(PlannedHour::moment)),
                asking);
        MessageDraft merged = begun.read();
        Optional<Template> template = merged.template();
        return new BegunMessage(
                begun.words(),
                proofs.of(begun, asking),
                template.map(Template::name).orElse(""),
                template.map(Template::version).orElse(0),
                merged.about(),
                merged.sender().id(),
                merged.sender().name(),
                merged.sender().email(),
                wished.map(Wished::wishes).orElse(null));
    }

    /** A message as its reader will see it, with what stops it, and what became of the words that were merged. */
    @PostMapping("/api/messages/proof")
    WrittenMessage proof(Colleague asking, @RequestBody MessageToSend message) {
        return proofs.of(message.complete(), asking);
    }

    /**
     * A message of which fields are to become words.
     *
     * @param chosen values for this message alone, by path; null for none
     * @param answers what is written into its blanks, by their hint; null for nothing
     */
    record MessageToSettle(
            MessageToSend message,
            @Schema(nullable = true) Map<String, String> chosen,
            @Schema(nullable = true) Map<String, String> answers) {}

    /** The words of a message in which every field that has a value by now is these words. */
    @PostMapping("/api/messages/settle")
    Draft settle(Colleague asking, @RequestBody MessageToSettle settle) {
        if (settle.message() == null || settle.message().words() == null) {
            throw Refusal.because("unreadable", "This message can't be read.");
        }
        Given given = new Given(
                settle.chosen(), settle.answers(), true, settle.message().leaves());
        return drafts.settled(settle.message().complete(), given, asking);
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
