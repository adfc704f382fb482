package famulus.server.library;

import famulus.server.library.TemplateMergeService.MergedDraft;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Several people at one template: who is there, what both changed, what one of them let pass. */
@RestController
class TogetherController {
    private final TemplateMergeService merging;
    private final PresenceService presence;
    private final WavedNoteService waved;

    TogetherController(TemplateMergeService merging, PresenceService presence, WavedNoteService waved) {
        this.merging = merging;
        this.waved = waved;
        this.presence = presence;
    }

    record TwoDrafts(Draft base, Draft mine) {}

    /** Who else has the template on the desk. */
    record Others(List<String> names) {}

    /** Brings a draft together with what somebody else has made of the template meanwhile; keeps nothing. */
    @PostMapping("/api/templates/{id}/merge")
    MergedDraft merge(Colleague asking, @PathVariable UUID id, @RequestBody TwoDrafts drafts) {
        if (drafts.base() == null || drafts.mine() == null) {
            throw Refusal.because("unreadable", "This can't be read.");
        }
        return merging.merge(id, drafts.base(), drafts.mine(), asking);
    }

    /** A query of the proofreader; {@code reason} says why it may pass, null when it is to be asked again. */
    record NoteToWave(String code, String words, @Schema(nullable = true) String reason) {}

    /** Lets a query pass for those very words, or has it asked again. */
    @PostMapping("/api/templates/{id}/waved")
    void wave(Colleague asking, @PathVariable UUID id, @RequestBody NoteToWave note) {
        String code = note.code() == null ? "" : note.code();
        String words = note.words() == null ? "" : note.words();
        if (note.reason() == null) {
            waved.takeBack(id, code, words, asking);
        } else {
            waved.wave(id, code, words, note.reason(), asking);
        }
    }

    @PostMapping("/api/templates/{id}/here")
    Others here(Colleague asking, @PathVariable UUID id) {
        return new Others(presence.here(id, asking));
    }

    @DeleteMapping("/api/templates/{id}/here")
    void leave(Colleague asking, @PathVariable UUID id) {
        presence.leave(id, asking);
    }
}
