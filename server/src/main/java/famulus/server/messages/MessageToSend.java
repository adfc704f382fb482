package famulus.server.messages;

import famulus.server.desk.ProofService.Given;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * A message as its sender has written it.
 *
 * @param id made by the browser, so that the same message sent twice goes once
 * @param template what it is written from; null for a message from nothing
 * @param deal null for none
 * @param address which of the person's addresses; null for the first
 * @param sender who it goes out as; null for whoever asks
 * @param after the message to the same person that this one follows; null for one that begins a conversation
 * @param chosen for choices of the template, by their written form, what the sender chose
 * @param answers what the sender wrote into blanks of the template; null for nothing
 */
public record MessageToSend(
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
        List<TypedRun> subject,
        List<TypedRun> body) {
    /** Itself; refused where it lacks what every message has. */
    public MessageToSend complete() {
        if (subject == null || body == null || kind == null) {
            throw Refusal.because("unreadable", "This message can't be read.");
        }
        return this;
    }

    /** Whom it is for. */
    For to() {
        return new For(kind, person, deal);
    }

    /** What its sender gives for it alone. */
    Given given() {
        return new Given(chosen, answers, true);
    }
}
