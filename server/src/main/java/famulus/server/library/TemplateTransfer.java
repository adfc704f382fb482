package famulus.server.library;

import famulus.core.search.Occasion;
import famulus.server.folders.FolderService;
import famulus.server.library.TemplateShelf.Shelved;
import famulus.server.library.VariantMapper.VariantRow;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the library gives out of templates and takes in again, for somebody and by their rights. */
@Service
public class TemplateTransfer {
    private final TemplateMapper mapper;
    private final UsableParts usable;
    private final TemplateShelf shelf;
    private final VariantMapper variants;
    private final TemplateService templates;
    private final TemplateRights rights;
    private final TemplateTags tags;
    private final TemplateOccasions occasions;
    private final DraftCheck check;
    private final FolderService folders;
    private final Clock clock;

    TemplateTransfer(
            TemplateMapper mapper,
            TemplateShelf shelf,
            VariantMapper variants,
            TemplateService templates,
            TemplateRights rights,
            TemplateTags tags,
            TemplateOccasions occasions,
            DraftCheck check,
            FolderService folders,
            Clock clock,
            UsableParts usable) {
        this.usable = usable;
        this.mapper = mapper;
        this.shelf = shelf;
        this.variants = variants;
        this.templates = templates;
        this.rights = rights;
        this.tags = tags;
        this.occasions = occasions;
        this.check = check;
        this.folders = folders;
        this.clock = clock;
    }

    /** The templates of a folder and the folders in it, by name, each followed by its variants; null for all that somebody sees. */
    public List<UUID> all(UUID folder, Colleague asking) {
        WantedLines wanted = WantedLines.of(
                TemplateKind.TEMPLATE,
                folder == null ? null : folders.within(folder, asking),
                WantedLines.Narrowed.NOT);
        return withVariants(
                shelf.inOrder(wanted, asking).stream().map(Shelved::id).toList(), asking);
    }

    /** Templates, each followed by its variants; refused where one of them is not there for whoever asks. */
    public List<UUID> withVariants(List<UUID> some, Colleague asking) {
        Set<UUID> all = new LinkedHashSet<>();
        for (UUID id : some) {
            rights.mustBeSeen(mapper.byId(id, false), asking);
            all.add(id);
            mapper.together(id).stream()
                    .filter(one -> here(one, asking).isPresent())
                    .forEach(all::add);
        }
        return new ArrayList<>(all);
    }

    /** A template as somebody may give it away: as it is now for whoever may change it, as it was marked ready for others. */
    public Template given(UUID id, Colleague asking) {
        Template now = templates.get(id, asking);
        return rights.mayChange(now, asking) ? now : templates.forUse(id, asking, asking);
    }

    /** What a template is found and offered by, besides its words. */
    public record Sorting(List<String> tags, Occasion occasion) {}

    /** The tags of a template. */
    public List<String> tags(UUID id) {
        return mapper.tagsOf(id);
    }

    /** When a template is meant to be used. */
    public Occasion occasion(UUID id) {
        return occasions.of(id);
    }

    /** Whether a template is meant for what comes from elsewhere, as far as that is known here. */
    public boolean meantFor(UUID id, Occasion occasion) {
        return occasions.of(id).equals(occasion.any() ? occasion : occasions.known(occasion));
    }

    /**
     * A template in its language.
     *
     * @param root the template that it is a variant of; itself where others are variants of it
     */
    public record InLanguage(UUID root, String language) {}

    /** Which language a template is in; empty for one without variants. */
    public Optional<InLanguage> language(UUID id) {
        return variants.of(id).stream()
                .filter(row -> row.templateId().equals(id))
                .findFirst()
                .map((VariantRow row) -> new InLanguage(row.rootId(), row.language()));
    }

    /** A template that is there for somebody; empty for none. */
    public Optional<Template> here(UUID id, Colleague asking) {
        return mapper.byId(id, false).filter(one -> rights.maySee(one, asking));
    }

    /** Whether nothing has an identifier, deleted or not. */
    public boolean free(UUID id) {
        return mapper.byId(id, true).isEmpty();
    }

    /** Whether somebody may change a template. */
    public boolean mayChange(Template template, Colleague asking) {
        return rights.mayChange(template, asking);
    }

    /** What is wrong with a draft; empty for one that can be kept. */
    public Optional<String> fault(Draft draft) {
        try {
            check.mustBeSound(draft);
            return Optional.empty();
        } catch (Refusal refused) {
            return Optional.of(refused.fields().values().stream().findFirst().orElse(refused.getMessage()));
        }
    }

    /**
     * Adds a template, passage or signature that comes from elsewhere. It belongs to whoever brings it.
     *
     * @param id an identifier that nothing has
     * @param ready whether it is marked ready, where nothing stops it
     */
    @Transactional
    public void bring(UUID id, Draft draft, UUID folder, Sorting sorting, boolean ready, Colleague by) {
        Template added = templates.add(id, usable.brought(draft, by), folder, by);
        settle(added, sorting, ready, by);
    }

    /** Lets a template say what comes from elsewhere; it stays where it is and whose it is. */
    @Transactional
    public void replace(Template there, Draft draft, Sorting sorting, boolean ready, Colleague by) {
        mapper.keepVersion(there.id(), there.version(), TemplateVersionService.Reason.REPLACED.name(), clock.instant());
        settle(templates.change(there.id(), there.version(), usable.brought(draft, by), by), sorting, ready, by);
    }

    private void settle(Template template, Sorting sorting, boolean ready, Colleague by) {
        tags.tag(List.of(template.id()), sorting.tags(), mapper.tagsOf(template.id()), by);
        occasions.bring(template.id(), sorting.occasion());
        if (ready) {
            templates.readyIfSound(template, clock.instant());
        }
    }

    /** Makes templates variants of each other. */
    @Transactional
    public void join(UUID id, UUID root, String language) {
        if (variants.rootOf(id).isEmpty()) {
            variants.insert(id, root, language);
        }
    }
}
