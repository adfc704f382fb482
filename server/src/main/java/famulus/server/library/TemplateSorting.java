package famulus.server.library;

import famulus.core.sharing.Right;
import famulus.server.folders.FolderRights;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts templates in order without changing what they say: archives them, renames them, hands them to somebody else. */
@Service
class TemplateSorting {
    private final TemplateMapper mapper;
    private final TemplateService templates;
    private final TemplateRights rights;
    private final TemplateKeeping keeping;
    private final TemplateEvents events;
    private final FolderRights folders;
    private final TeamService team;
    private final Clock clock;

    TemplateSorting(
            TemplateMapper mapper,
            TemplateService templates,
            TemplateRights rights,
            TemplateKeeping keeping,
            TemplateEvents events,
            FolderRights folders,
            TeamService team,
            Clock clock) {
        this.mapper = mapper;
        this.templates = templates;
        this.rights = rights;
        this.keeping = keeping;
        this.events = events;
        this.folders = folders;
        this.team = team;
        this.clock = clock;
    }

    /**
     * Archives templates with their variants, or brings them back; all of them or none. Archived ones stay where they are used,
     * keep their history, and are offered to nobody.
     */
    @Transactional
    public void archive(List<UUID> which, boolean archived, Colleague by) {
        for (UUID id : which) {
            Template template = templates.get(id, by);
            rights.mustBeChangeable(template, by);
            mustBeTemplate(template);
            for (UUID one : mapper.together(id)) {
                mapper.archive(one, archived ? clock.instant() : null);
                events.changed(one);
            }
        }
    }

    /** Renames a template, whatever else of it has changed meanwhile. */
    @Transactional
    public Template rename(UUID id, String name, Colleague by) {
        Template template = templates.get(id, by);
        return templates.change(id, template.version(), Draft.of(template).named(name), by);
    }

    /**
     * Hands templates to another colleague, whose they are from then on; all of them or none. What lay where the
     * new owner sees nothing lies among their own.
     *
     * @return whose they were, by template, so that it can be undone
     */
    @Transactional
    public Map<UUID, UUID> handOver(List<UUID> which, UUID to, Colleague by) {
        Colleague owner = team.find(to)
                .filter(Colleague::active)
                .orElseThrow(() -> Refusal.field("owner", "Choose somebody who works here."));
        Map<UUID, UUID> before = new LinkedHashMap<>();
        for (UUID id : which) {
            Template template = templates.get(id, by);
            rights.mustBeChangeable(template, by);
            mustBeTemplate(template);
            before.put(id, template.ownerId());
            boolean stays = folders.may(Right.USE, template.folder(), owner)
                    && !template.folder().equals(folders.personal(template.ownerId()));
            for (UUID one : mapper.together(id)) {
                // Who saw it before is told as well.
                events.changed(one);
                mapper.handOver(one, owner.id(), stays ? template.folder() : folders.personal(owner.id()));
                mapper.byId(one, false).ifPresent(keeping::found);
                events.changed(one);
            }
        }
        return before;
    }

    private static void mustBeTemplate(Template template) {
        if (template.kind() != TemplateKind.TEMPLATE) {
            throw Refusal.because("no-template", "Only templates can be archived or handed over.");
        }
    }
}
