package famulus.server.messages;

import famulus.core.departure.Departure;
import famulus.core.departure.Leaving;
import famulus.core.message.MessageSource;
import famulus.core.proof.CheckLevels;
import famulus.core.proof.LostFiles;
import famulus.core.proof.LostPictures;
import famulus.core.proof.Note;
import famulus.core.proof.StopCode;
import famulus.server.desk.ProofService.Proof;
import famulus.server.desk.RenderingService;
import famulus.server.library.CheckSettings;
import famulus.server.materials.FileService;
import famulus.server.materials.PictureService;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.platform.Refusal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Asks the one rule for what may leave ({@link Departure}) about a message read here, whatever a browser says of it. */
@Service
public class DepartureService {
    private final PictureService pictures;
    private final FileService files;
    private final RenderingService renderings;
    private final CheckSettings checks;

    DepartureService(PictureService pictures, FileService files, RenderingService renderings, CheckSettings checks) {
        this.checks = checks;
        this.renderings = renderings;
        this.pictures = pictures;
        this.files = files;
    }

    /** What stops a message, in its order. */
    public List<Note> stops(Leaving how, MessageDraft draft) {
        return ofMany().stops(how, draft);
    }

    /** Asks about several messages, one after another: what is the same for all made of one source is asked once. */
    public Asked ofMany() {
        return new Asked();
    }

    /** What has been asked already, for as long as a few messages are read. */
    public final class Asked {
        private final CheckLevels levels = checks.levels();
        private final Map<MessageSource, List<Note>> lostPictures = new IdentityHashMap<>();
        private final Map<List<UUID>, List<Note>> lostFiles = new HashMap<>();

        private Asked() {}

        /** What stops a message, in its order. */
        public List<Note> stops(Leaving how, MessageDraft draft) {
            Proof proof = draft.proof();
            List<Note> notes = new ArrayList<>(proof.notes());
            notes.addAll(lostPictures.computeIfAbsent(proof.source(), this::pictures));
            notes.addAll(lostFiles.computeIfAbsent(draft.files(), some -> LostFiles.notes(files.lost(some))));
            notes.addAll(renderings.stoppingWeight(proof, levels));
            return Departure.stops(how, notes);
        }

        private List<Note> pictures(MessageSource source) {
            return source.layout()
                    .map(layout -> LostPictures.notes(layout, pictures.lost(LostPictures.shown(layout))))
                    .orElse(List.of());
        }
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
