package famulus.server.messages;

import famulus.core.departure.Leaving;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.BodyText.Slot;
import famulus.core.proof.Note;
import famulus.server.desk.ProofPresenter;
import famulus.server.desk.ShownProof;
import famulus.server.library.Template;
import famulus.server.library.WavedNoteService;
import famulus.server.library.WavedNoteService.Waved;
import famulus.server.messages.KeptDraftService.Begun;
import famulus.server.messages.MessageDraftService.BegunWords;
import famulus.server.messages.MessageDraftService.MessageBeside;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** A message to one person as its writer sees it while it is written. */
@Service
class MessageProofs {
    private final MessageDraftService drafts;
    private final KeptDraftService kept;
    private final DepartureService departures;
    private final ProofPresenter shown;
    private final WavedNoteService waved;
    private final IgnoredNotes ignored;

    MessageProofs(
            MessageDraftService drafts,
            KeptDraftService kept,
            DepartureService departures,
            ProofPresenter shown,
            WavedNoteService waved,
            IgnoredNotes ignored) {
        this.ignored = ignored;
        this.drafts = drafts;
        this.kept = kept;
        this.departures = departures;
        this.shown = shown;
        this.waved = waved;
    }

    /**
     * Something that stops a message.
     *
     * @param part which text it is about
     * @param start its place in the text as it is written
     * @param block the block it is about, or that its words are in; empty for none
     */
    record Stop(String code, String title, String remedy, MessagePart part, int start, int end, String block) {}

    /**
     * A message as it is now.
     *
     * @param stops what stops it
     * @param templateChanged whether its template says something else than when it was begun
     */
    record WrittenMessage(ShownProof proof, ShownHand hand, List<Stop> stops, boolean templateChanged) {}

    /** Reads a message. */
    WrittenMessage of(MessageToSend message, Colleague asking) {
        MessageBeside now = drafts.beside(message, asking);
        MessageDraft draft = now.draft();
        Begun begun = kept.begun(message, now, asking);
        Integer version = draft.template().map(Template::version).orElse(null);
        ShownHand hand = ShownHand.of(draft, begun.texts(), now.texts());
        return written(
                draft,
                message.template() == null ? hand.unchanged() : hand,
                !Objects.equals(version, begun.templateVersion()),
                ignored.of(message.id()),
                asking);
    }

    /** A message that has just been begun. */
    WrittenMessage of(BegunWords begun, Colleague asking) {
        ShownHand hand = ShownHand.of(begun.read(), begun.texts(), begun.texts());
        return written(
                begun.read(), begun.read().template().isEmpty() ? hand.unchanged() : hand, false, List.of(), asking);
    }

    private WrittenMessage written(
            MessageDraft draft, ShownHand hand, boolean templateChanged, List<Waved> own, Colleague asking) {
        return new WrittenMessage(
                shown.of(draft.proof(), draft.about(), waved(draft, own, asking)), hand, stops(draft), templateChanged);
    }

    /** What was ignored in the message itself, and in its template. */
    private List<Waved> waved(MessageDraft draft, List<Waved> own, Colleague asking) {
        List<Waved> all = new ArrayList<>(own);
        draft.template().ifPresent(template -> all.addAll(waved.all(template.id(), asking)));
        return all;
    }

    private List<Stop> stops(MessageDraft draft) {
        Optional<BodyText> body = draft.proof().source().layout().map(Layout::text);
        return departures.stops(Leaving.SEND, draft).stream()
                .map(note -> new Stop(
                        note.code(),
                        note.title(),
                        note.remedy(),
                        note.part(),
                        note.span().start(),
                        note.span().end(),
                        block(note, body)))
                .toList();
    }

    private static String block(Note note, Optional<BodyText> body) {
        return note.block().isEmpty() && note.part() == MessagePart.BODY
                ? body.flatMap(text -> text.slotAt(note.span().start()))
                        .map(Slot::owner)
                        .orElse("")
                : note.block();
    }
}
