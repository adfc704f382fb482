package famulus.server.messages;

import famulus.core.departure.Departure;
import famulus.core.departure.Leaving;
import famulus.core.proof.LostFiles;
import famulus.core.proof.LostPictures;
import famulus.core.proof.Note;
import famulus.core.proof.StopCode;
import famulus.server.desk.ProofService.Proof;
import famulus.server.desk.RenderingService;
import famulus.server.materials.FileService;
import famulus.server.materials.PictureService;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.platform.Refusal;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** Asks the one rule for what may leave ({@link Departure}) about a message read here, whatever a browser says of it. */
@Service
public class DepartureService {
    private final PictureService pictures;
    private final FileService files;
    private final RenderingService renderings;

    DepartureService(PictureService pictures, FileService files, RenderingService renderings) {
        this.renderings = renderings;
        this.pictures = pictures;
        this.files = files;
    }

    /** What stops a message, in its order. */
    public List<Note> stops(Leaving how, MessageDraft draft) {
        Proof proof = draft.proof();
        List<Note> notes = new ArrayList<>(proof.notes());
        proof.source()
                .layout()
                .ifPresent(
                        layout -> notes.addAll(LostPictures.notes(layout, pictures.lost(LostPictures.shown(layout)))));
        notes.addAll(LostFiles.notes(files.lost(draft.files())));
        notes.addAll(renderings.stoppingWeight(proof));
        return Departure.stops(how, notes);
    }

    /** Refuses a message that may not leave, with the first thing that stops it. */
    public void mustBeFreeToLeave(Leaving how, MessageDraft draft) {
        stops(how, draft).stream().findFirst().ifPresent(note -> {
            throw refusal(how, note);
        });
    }

    private static Refusal refusal(Leaving how, Note note) {
        String sentence =
                (how == Leaving.TEST ? "This message can’t be sent: " : "") + note.title() + ". " + note.remedy();
        return switch (StopCode.of(note.code()).orElse(StopCode.FILLER)) {
            case NO_SUBJECT -> Refusal.field("subject", sentence);
            case NO_BODY -> Refusal.field("body", sentence);
            default -> Refusal.because(note.code(), sentence);
        };
    }
}
