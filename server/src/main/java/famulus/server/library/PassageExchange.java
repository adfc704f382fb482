package famulus.server.library;

import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Content;
import famulus.core.message.body.Inserts;
import famulus.core.message.body.UnreadableBody;
import famulus.server.library.TemplateKeeping.What;
import famulus.server.library.TemplateMapper.UsingRow;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Puts a passage in the place of another one in all templates that have it, and deletes the other one; or, where that can't be
 * done in one of them, does nothing.
 */
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

    /** What became of it: in how many templates the other passage stands now. */
    record Exchanged(int changed) {}

    /**
     * Exchanges a passage and deletes it. What each template said is kept among its versions; one that was ready as it was is
     * ready again.
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
        List<UsingRow> rows = mapper.naming(What.PART.name(), passage.toString(), by);
        List<Template> using = rows.stream().map(row -> templates.any(row.id())).toList();
        mustAllBeChangeable(rows, using, by);
        using.forEach(template -> mustNotBeUsedWithIt(template, passage));
        using.forEach(template -> exchange(template, passage, other, by));
        templates.delete(passage, by);
        return new Exchanged(using.size());
    }

    private void mustAllBeChangeable(List<UsingRow> rows, List<Template> using, Colleague by) {
        Set<UUID> fixed = using.stream()
                .filter(template -> !rights.mayChange(template, by))
                .map(Template::id)
                .collect(Collectors.toSet());
        if (!fixed.isEmpty()) {
            String which = TemplateUses.used(rows.stream()
                            .filter(row -> fixed.contains(row.id()))
                            .toList())
                    .words();
            throw Refusal.because(
                    "fixed", "It is used in " + which + ", which you can’t change. Nothing was replaced.");
        }
    }

    /** Others use a template as it was when it was marked ready: with a passage that would be gone. */
    private void mustNotBeUsedWithIt(Template template, UUID passage) {
        boolean older = template.readyVersion() != null && template.readyVersion() != template.version();
        if (older
                && mapper.version(template.id(), template.readyVersion())
                        .filter(ready -> has(ready, passage))
                        .isPresent()) {
            throw Refusal.because(
                    "used-as-it-was",
                    "Others use “" + template.name()
                            + "” as it was when it was marked ready, with this passage. Mark it"
                            + " ready first. Nothing was replaced.");
        }
    }

    private static boolean has(Template template, UUID passage) {
        return body(template)
                .blocks()
                .anyMatch(block -> block.content() instanceof Content.Passage one
                        && one.passage().equals(passage.toString()));
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
        return BodyJson.write(Inserts.exchanged(body(template), passage.toString(), other.toString()));
    }

    private static Body body(Template template) {
        try {
            return template.design() == null || template.design().isBlank()
                    ? Body.EMPTY
                    : BodyJson.read(template.design());
        } catch (UnreadableBody wrong) {
            throw new IllegalStateException("A kept body can't be read", wrong);
        }
    }
}
