package famulus.server.messages;

import famulus.core.calendar.PlannedHour;
import famulus.server.library.Draft;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
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
 * @param answers what the sender wrote into blanks, by their hint; null for nothing
 * @param words what it says; null for what its template says
 * @param draft the kept draft that it is; null for none
 * @param wishes what its sender wants of the way it goes; null for nothing
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
        @Schema(nullable = true) Map<String, String> answers,
        @Schema(nullable = true) Draft words,
        @Schema(nullable = true) UUID draft,
        @Schema(nullable = true) SendingWishes wishes) {
    public MessageToSend {
        wishes = wishes == null ? SendingWishes.NONE : wishes;
    }

    /** Itself; refused where it lacks what every message has, or says more than one can. */
    public MessageToSend complete() {
        if (kind == null || person == null) {
            throw Refusal.because("unreadable", "This message can't be read.");
        }
        if (words != null) {
            words.mustBeReadable();
        }
        return this;
    }

    /** The same under another identifier. */
    MessageToSend under(UUID other) {
        return new MessageToSend(
                other, template, kind, person, deal, address, sender, after, answers, words, draft, wishes);
    }

    /** The same, kept as a draft. */
    public MessageToSend inDraft(UUID other) {
        return new MessageToSend(
                id, template, kind, person, deal, address, sender, after, answers, words, other, wishes);
    }

    /** The same as a message of a mailing. */
    public MessageToSend of(UUID other, UUID goesAs, SendingWishes wished) {
        return new MessageToSend(
                other, template, kind, person, deal, address, goesAs, after, answers, words, draft, wished);
    }

    /** The same in other words, with what was put into its blanks. */
    MessageToSend in(Draft said) {
        return new MessageToSend(
                id, template, kind, person, deal, address, sender, after, answers, said, draft, wishes);
    }

    /** The same from another template, in its words. */
    MessageToSend saying(UUID other, Draft said) {
        return new MessageToSend(id, other, kind, person, deal, address, sender, after, Map.of(), said, draft, wishes);
    }

    /** The same, leaving at another hour; null for at once. */
    public MessageToSend at(SendingWishes.Hour hour) {
        return new MessageToSend(
                id, template, kind, person, deal, address, sender, after, answers, words, draft, wishes.at(hour));
    }

    /** The same, whatever has become of its template: its words stand by themselves. One without words stays as it is. */
    public MessageToSend byItself() {
        return words == null
                ? this
                : new MessageToSend(
                        id, null, kind, person, deal, address, sender, after, answers, words, draft, wishes);
    }

    /** The moment it is to leave; empty for at once. */
    public Optional<Instant> leaves() {
        return wishes.planned().map(PlannedHour::moment);
    }

    /** Whom it is for. */
    public For to() {
        return new For(kind, person, deal, wishes.also());
    }
}
