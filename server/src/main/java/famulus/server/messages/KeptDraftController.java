package famulus.server.messages;

import famulus.server.messages.DraftsOfTemplate.DraftsBegun;
import famulus.server.messages.KeptDraftService.DraftLine;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Messages that are being written, of whoever asks. */
@RestController
@RequestMapping("/api/message-drafts")
class KeptDraftController {
    private final KeptDraftService drafts;
    private final DraftsOfTemplate ofTemplate;
    private final IgnoredNotes ignored;

    KeptDraftController(KeptDraftService drafts, IgnoredNotes ignored, DraftsOfTemplate ofTemplate) {
        this.ofTemplate = ofTemplate;
        this.ignored = ignored;
        this.drafts = drafts;
    }

    /**
     * A line in a list of drafts.
     *
     * @param deal it is about; null for none
     */
    record ShownDraftLine(
            UUID id,
            CrmKind personKind,
            UUID person,
            @Schema(nullable = true) UUID deal,
            String personName,
            String subject,
            String firstWords,
            Instant changedAt) {}

    /** A draft to be written on. */
    record OpenDraft(UUID id, int version, MessageToSend message, Instant changedAt) {}

    /** A draft to be kept; {@code version} is 0 for one that is new. */
    record DraftToKeep(int version, MessageToSend message) {}

    record KeptVersion(int version) {}

    /** The drafts to a person or about a deal; all of them when neither is given. */
    @GetMapping
    List<ShownDraftLine> drafts(
            Colleague asking,
            @RequestParam(required = false) CrmKind kind,
            @RequestParam(required = false) UUID record) {
        List<DraftLine> lines = kind == null || record == null ? drafts.all(asking) : drafts.of(kind, record, asking);
        return lines.stream()
                .map(one -> new ShownDraftLine(
                        one.id(),
                        one.personKind(),
                        one.person(),
                        one.deal(),
                        one.personName(),
                        one.subject(),
                        one.firstWords(),
                        one.changedAt()))
                .toList();
    }

    /** What was begun from a template that is to go. */
    @GetMapping("/of/{template}")
    DraftsBegun begun(Colleague asking, @PathVariable UUID template) {
        return ofTemplate.of(template, asking);
    }

    /** Drafts to be begun anew from another template. */
    record DraftsToReplace(@Schema(nullable = true) UUID other, List<UUID> drafts) {}

    record ReplacedDrafts(int changed) {}

    /** Begins drafts anew from another template; all of them or none. */
    @PostMapping("/of/{template}/in-its-place")
    ReplacedDrafts inItsPlace(Colleague asking, @PathVariable UUID template, @RequestBody DraftsToReplace wanted) {
        return new ReplacedDrafts(ofTemplate.replace(template, wanted.other(), wanted.drafts(), asking));
    }

    @GetMapping("/{id}")
    OpenDraft draft(Colleague asking, @PathVariable UUID id) {
        KeptDraft draft = drafts.open(id, asking);
        return new OpenDraft(draft.id(), draft.version(), draft.message(), draft.changedAt());
    }

    @PutMapping("/{id}")
    KeptVersion keep(Colleague asking, @PathVariable UUID id, @RequestBody DraftToKeep draft) {
        if (draft.message() == null) {
            throw Refusal.because("unreadable", "This message can't be read.");
        }
        return new KeptVersion(drafts.keep(id, draft.version(), draft.message().complete(), asking));
    }

    /**
     * A check that is ignored.
     *
     * @param words what it is about, as the note names it
     * @param reason why; null to have it asked again
     */
    record NoteToIgnore(String code, String words, String title, @Schema(nullable = true) String reason) {}

    /** Ignores a check of a message, for its very words. */
    @PostMapping("/{id}/ignored")
    void ignore(Colleague asking, @PathVariable UUID id, @RequestBody NoteToIgnore note) {
        if (note.reason() == null) {
            ignored.takeBack(id, note.code(), note.words(), asking);
        } else {
            ignored.ignore(id, note.code(), note.words(), note.title(), note.reason(), asking);
        }
    }

    @DeleteMapping("/{id}")
    void remove(Colleague asking, @PathVariable UUID id) {
        drafts.remove(id, asking);
    }
}
