package famulus.server.library;

import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Inserts;
import famulus.core.message.body.UnreadableBody;
import famulus.server.library.TemplateKeeping.What;
import famulus.server.library.TemplateMapper.UsingRow;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts a passage in the place of another one, in all templates that have it: so that the other one can be deleted. */
@Service
class PassageExchange {
    private final TemplateService templates;
    private final TemplateVersionService versions;
    private final TemplateMapper mapper;
    private final TemplateRights rights;
    private final Clock clock;

    PassageExchange(
            TemplateService templates,
            TemplateVersionService versions,
            TemplateMapper mapper,
            TemplateRights rights,
            Clock clock) {
        this.templates = templates;
        this.versions = versions;
        this.mapper = mapper;
        this.rights = rights;
        this.clock = clock;
    }

    /**
     * What became of it.
     *
     * @param changed templates that have the other passage now
     * @param left templates that have this one still, since whoever asked may not change them
     */
    record Exchanged(int changed, int left) {}

    /**
     * Exchanges a passage. What each template said is kept among its versions; one that was ready as it was is ready again.
     *
     * @param other what takes its place; refused where messages would say nothing of it
     */
    @Transactional
    Exchanged exchange(UUID passage, UUID other, Colleague by) {
        Template old = templates.get(passage, by);
        rights.mustBeChangeable(old, by);
        if (old.kind() != TemplateKind.PASSAGE) {
            throw Refusal.because("no-passage", "Only passages stand within templates.");
        }
        mustTakeItsPlace(old, other, by);
        int changed = 0;
        int left = 0;
        for (UsingRow row : mapper.naming(What.PART.name(), passage.toString(), by)) {
            Template template = templates.any(row.id());
            if (row.seen() && rights.mayChange(template, by)) {
                exchange(template, passage, other, by);
                changed++;
            } else {
                left++;
            }
        }
        return new Exchanged(changed, left);
    }

    private void mustTakeItsPlace(Template old, UUID other, Colleague by) {
        if (other == null || other.equals(old.id())) {
            throw Refusal.field("other", "Choose another passage.");
        }
        Template chosen = templates.get(other, by);
        if (chosen.kind() != TemplateKind.PASSAGE || chosen.readyVersion() == null) {
            throw Refusal.field("other", "Choose a passage that is ready: messages say nothing of one that isn’t.");
        }
    }

    private void exchange(Template template, UUID passage, UUID other, Colleague by) {
        mapper.keepVersion(
                template.id(), template.version(), TemplateVersionService.Reason.REPLACED.name(), clock.instant());
        Draft draft = Draft.of(template);
        Template now = templates.change(
                template.id(),
                template.version(),
                draft.worded(
                        draft.about(),
                        draft.subject(),
                        draft.previewText(),
                        draft.body(),
                        exchanged(template, passage, other)),
                by);
        boolean wasReady = template.readyVersion() != null && template.readyVersion() == template.version();
        if (wasReady) {
            versions.ready(now.id(), now.version(), by);
        }
    }

    private static String exchanged(Template template, UUID passage, UUID other) {
        try {
            Body body = BodyJson.read(template.design());
            return BodyJson.write(Inserts.exchanged(body, passage.toString(), other.toString()));
        } catch (UnreadableBody wrong) {
            throw new IllegalStateException("A kept body can't be read", wrong);
        }
    }
}
