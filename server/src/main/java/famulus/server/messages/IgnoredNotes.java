package famulus.server.messages;

import famulus.core.record.PlainLine;
import famulus.server.library.CheckSettings;
import famulus.server.library.WavedNoteService;
import famulus.server.library.WavedNoteService.Waved;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Checks that the writer of a message has ignored, with a reason; they stay so for those very words, and in its history. */
@Service
public class IgnoredNotes {
    private static final int MOST = 200;
    private static final int LONGEST_TITLE = 500;

    private final IgnoredMapper mapper;
    private final KeptDraftService drafts;
    private final CheckSettings checks;
    private final Clock clock;

    IgnoredNotes(IgnoredMapper mapper, KeptDraftService drafts, CheckSettings checks, Clock clock) {
        this.checks = checks;
        this.mapper = mapper;
        this.drafts = drafts;
        this.clock = clock;
    }

    /**
     * A check that was ignored.
     *
     * @param title what the check said
     * @param by the first name of who ignored it
     */
    public record Ignored(String title, String reason, String by) {}

    /** Those of a message, in the order they were ignored. */
    public List<Ignored> shown(UUID message) {
        return mapper.shown(message);
    }

    /** Those of a message that is written. */
    List<Waved> of(UUID message) {
        return message == null ? List.of() : mapper.of(message);
    }

    /**
     * Ignores a check of a message that is written.
     *
     * @param draft the message's draft, which has to be one of whoever asks
     */
    @Transactional
    void ignore(UUID draft, String code, String words, String title, String reason, Colleague by) {
        UUID message = drafts.open(draft, by).message().id();
        PlainLine.refusal(reason, WavedNoteService.LONGEST_REASON, true).ifPresent(sentence -> {
            throw Refusal.field("reason", sentence);
        });
        boolean readable = code != null && words != null && title != null && WavedNoteService.readable(code, words);
        if (!readable || title.length() > LONGEST_TITLE || mapper.count(message) >= MOST) {
            throw Refusal.because("unreadable", "This can't be ignored.");
        }
        checks.ignored(code, 1 - mapper.takeBack(message, code, words));
        mapper.ignore(message, code, words, title, reason.strip(), by.id(), clock.instant());
    }

    /** Has a check be asked again. */
    @Transactional
    void takeBack(UUID draft, String code, String words, Colleague by) {
        checks.ignored(code, -mapper.takeBack(drafts.open(draft, by).message().id(), code, words));
    }
}
