package famulus.server.library;

import famulus.core.message.compare.Change;
import famulus.core.message.compare.Comparison;
import famulus.server.library.TemplateMapper.TestRow;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The versions of a template. One is kept when it is marked ready, used, tested, before an older one is brought back, and
 * before somebody goes on with it after a while or after a colleague.
 */
@Service
public class TemplateVersionService {
    private final TemplateMapper mapper;
    private final TemplateKeeping keeping;
    private final TemplateService templates;
    private final DraftReader drafts;
    private final StyleTexts inStyle;
    private final KeptTextService texts;
    private final ReadyCheck sendable;
    private final TemplateEvents events;
    private final TemplateRights rights;
    private final Clock clock;

    TemplateVersionService(
            TemplateMapper mapper,
            TemplateKeeping keeping,
            TemplateService templates,
            DraftReader drafts,
            StyleTexts inStyle,
            KeptTextService texts,
            ReadyCheck sendable,
            TemplateEvents events,
            TemplateRights rights,
            Clock clock) {
        this.rights = rights;
        this.sendable = sendable;
        this.texts = texts;
        this.mapper = mapper;
        this.keeping = keeping;
        this.drafts = drafts;
        this.inStyle = inStyle;
        this.templates = templates;
        this.events = events;
        this.clock = clock;
    }

    /** Why a version was kept. */
    public enum Reason {
        READY,
        USED,
        TESTED,
        SITTING,
        REPLACED
    }

    /**
     * A kept version.
     *
     * @param ready whether it is the one that others use
     */
    public record Version(int version, Instant changedAt, String changedBy, Reason reason, boolean ready) {}

    /** When a template was sent as a test last, and which version. */
    public record LastTest(int version, Instant at, String by) {}

    /** The kept versions, newest first. */
    public List<Version> all(UUID id, Colleague asking) {
        Template now = templates.get(id, asking);
        return mapper.versions(id).stream()
                .map(row -> new Version(
                        row.version(),
                        row.changedAt(),
                        row.changedBy(),
                        Reason.valueOf(row.reason()),
                        now.readyVersion() != null && now.readyVersion() == row.version()))
                .toList();
    }

    /** What has changed from a version to what the template says now. */
    public List<Change> changes(UUID id, int version, Colleague asking) {
        Template now = templates.get(id, asking);
        Template before = version(id, version);
        List<Change> changes = new ArrayList<>(Comparison.of(drafts.source(before), drafts.source(now)));
        if (!before.files().equals(now.files())) {
            changes.add(new Change(Change.Kind.CHANGED, "Files", List.of(), true));
        }
        if (!Objects.equals(before.plainText(), now.plainText())) {
            changes.add(new Change(Change.Kind.CHANGED, "Plain text", List.of(), true));
        }
        if (!before.wishes().equals(now.wishes())) {
            changes.add(new Change(Change.Kind.CHANGED, "Envelope", List.of(), true));
        }
        return changes;
    }

    /**
     * Marks a template ready: others use what it says now until it is marked again.
     *
     * @param version what it was when it was read; refused when somebody has kept another change since
     */
    @Transactional
    public Template ready(UUID id, int version, Colleague by) {
        Template now = templates.get(id, by);
        rights.mustBeChangeable(now, by);
        if (now.version() != version) {
            throw Refusal.changedMeanwhile(now.changedBy() + " has changed this template in the meantime.");
        }
        sendable.mustBeSendable(now);
        keeping.ready(now, clock.instant());
        if (now.kind().wraps()) {
            inStyle.wrap(now, by);
        } else if (!now.kind().whole()) {
            texts.changed();
        }
        events.changed(id);
        return templates.any(id);
    }

    /** Brings a version back, as a change of its own. What the template said is kept before. */
    @Transactional
    public Template restore(UUID id, int version, Colleague by) {
        Template now = templates.get(id, by);
        rights.mustBeChangeable(now, by);
        Template old = version(id, version);
        mapper.keepVersion(id, now.version(), Reason.REPLACED.name(), clock.instant());
        return templates.change(id, now.version(), Draft.of(old), by);
    }

    /** The newest test of a template, if there was one. */
    public Optional<LastTest> lastTest(UUID id) {
        return mapper.lastTest(id).map((TestRow row) -> new LastTest(row.version(), row.at(), row.by()));
    }

    private Template version(UUID id, int version) {
        return mapper.version(id, version).orElseThrow(() -> Refusal.missing("This version"));
    }
}
