package famulus.server.library;

import famulus.core.record.PlainLine;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Queries of the proofreader that a writer has let pass, with a reason; they stay so for those very words. */
@Service
public class WavedNoteService {
    private static final int LONGEST_WORDS = 2000;
    /** The reason is a line. */
    public static final int LONGEST_REASON = 200;

    private static final int LONGEST_CODE = 40;

    private final WavedNoteMapper mapper;
    private final TemplateService templates;
    private final TemplateRights rights;
    private final CheckSettings checks;
    private final Clock clock;

    WavedNoteService(
            WavedNoteMapper mapper,
            TemplateService templates,
            TemplateRights rights,
            CheckSettings checks,
            Clock clock) {
        this.checks = checks;
        this.rights = rights;
        this.mapper = mapper;
        this.templates = templates;
        this.clock = clock;
    }

    /**
     * A note that was ignored.
     *
     * @param words what it was about
     * @param by the first name of who ignored it
     */
    public record Waved(String code, String words, String reason, String by) {}

    /** All of a template that whoever asks may see. */
    public List<Waved> all(UUID template, Colleague asking) {
        templates.get(template, asking);
        return mapper.all(template);
    }

    /** Lets a query pass. */
    @Transactional
    public void wave(UUID template, String code, String words, String reason, Colleague by) {
        rights.mustBeChangeable(templates.get(template, by), by);
        PlainLine.refusal(reason, LONGEST_REASON, true).ifPresent(sentence -> {
            throw Refusal.field("reason", sentence);
        });
        if (!readable(code, words)) {
            throw Refusal.because("unreadable", "This can't be ignored.");
        }
        checks.ignored(code, 1 - mapper.takeBack(template, code, words));
        mapper.wave(template, code, words, reason.strip(), by.id(), clock.instant());
    }

    /** Whether these may be what a check is about. */
    public static boolean readable(String code, String words) {
        return !code.isBlank() && code.length() <= LONGEST_CODE && words.length() <= LONGEST_WORDS;
    }

    /** Has a query asked again. */
    @Transactional
    public void takeBack(UUID template, String code, String words, Colleague by) {
        rights.mustBeChangeable(templates.get(template, by), by);
        checks.ignored(code, -mapper.takeBack(template, code, words));
    }
}
