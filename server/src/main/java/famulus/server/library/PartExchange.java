package famulus.server.library;

import famulus.server.library.TemplateKeeping.What;
import famulus.server.library.TemplateMapper.UsingRow;
import famulus.server.library.TemplateUses.Used;
import famulus.server.materials.FeedService;
import famulus.server.materials.FileService;
import famulus.server.materials.PictureService;
import famulus.server.materials.UsableMaterials;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Puts something in the place of another one in all templates that have it, and deletes the other one; or, where that can't be
 * done in one of them, does nothing.
 */
@Service
class PartExchange {
    private final TemplateService templates;
    private final TemplateVersionService versions;
    private final TemplateMapper mapper;
    private final TemplateRights rights;
    private final PictureService pictures;
    private final FeedService feeds;
    private final FileService files;
    private final UsableMaterials materials;
    private final Clock clock;

    PartExchange(
            TemplateService templates,
            TemplateVersionService versions,
            TemplateMapper mapper,
            TemplateRights rights,
            PictureService pictures,
            FeedService feeds,
            FileService files,
            UsableMaterials materials,
            Clock clock) {
        this.materials = materials;
        this.templates = templates;
        this.versions = versions;
        this.mapper = mapper;
        this.rights = rights;
        this.pictures = pictures;
        this.feeds = feeds;
        this.files = files;
        this.clock = clock;
    }

    /** What became of it: in how many templates the other one stands now. */
    record Exchanged(int changed) {}

    /** What lies in Materials and is in templates. */
    enum Material {
        PICTURE(What.PART),
        FEED(What.PART),
        FILE(What.FILE);

        private final What what;

        Material(What what) {
            this.what = what;
        }
    }

    /** The templates that have something of Materials. */
    Used using(Material material, UUID id, Colleague asking) {
        return TemplateUses.used(
                materials.hidden(Set.of(id), asking).isEmpty()
                        ? mapper.naming(material.what.name(), id.toString(), asking)
                        : List.of());
    }

    /**
     * Exchanges a passage or signature and deletes it. What each template said is kept among its versions; one that was ready
     * as it was is ready again. Whoever signs with the one signs with the other from then on.
     *
     * @param other what takes its place; refused where messages would say nothing of it
     */
    @Transactional
    Exchanged exchange(UUID text, UUID other, Colleague by) {
        Template old = templates.get(text, by);
        rights.mustBeChangeable(old, by);
        if (old.kind() != TemplateKind.PASSAGE && old.kind() != TemplateKind.SIGNATURE) {
            throw Refusal.because("no-passage", "Only passages and signatures stand within templates.");
        }
        mustTakeItsPlace(old, other, by);
        int changed = exchange(What.PART, old.kind().word(), text, other, by);
        if (old.kind() == TemplateKind.SIGNATURE) {
            mapper.signWith(text, other);
        }
        templates.delete(text, by);
        return new Exchanged(changed);
    }

    /** Exchanges something of Materials and deletes it, as {@link #exchange(UUID, UUID, Colleague)} does. */
    @Transactional
    Exchanged exchange(Material material, UUID old, UUID other, Colleague by) {
        boolean there =
                switch (material) {
                    case PICTURE ->
                        pictures.seen(by).stream().anyMatch(one -> one.id().equals(other));
                    case FEED -> feeds.all().stream().anyMatch(one -> one.id().equals(other));
                    case FILE ->
                        files.seen(by).stream().anyMatch(one -> one.id().equals(other));
                };
        String word = material.name().toLowerCase(Locale.ROOT);
        if (!materials.hidden(Set.of(old), by).isEmpty()) {
            throw Refusal.missing("This " + word);
        }
        if (!there || old.equals(other)) {
            throw Refusal.field("other", "Choose another " + word + ".");
        }
        if (material == Material.PICTURE) {
            pictures.mustBeInNoStyle(old, by);
        }
        int changed = exchange(material.what, word, old, other, by);
        switch (material) {
            case PICTURE -> pictures.delete(old, by);
            case FEED -> feeds.delete(old, by);
            case FILE -> files.delete(old, by);
        }
        return new Exchanged(changed);
    }

    private int exchange(What what, String word, UUID old, UUID other, Colleague by) {
        List<UsingRow> rows = mapper.naming(what.name(), old.toString(), by);
        List<Template> using = rows.stream().map(row -> templates.any(row.id())).toList();
        mustAllBeChangeable(rows, using, by);
        using.forEach(template -> mustNotBeUsedWithIt(template, what, word, old));
        using.forEach(template -> exchange(template, old, other, by));
        return using.size();
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

    /** Others use a template as it was when it was marked ready: with something that would be gone. */
    private void mustNotBeUsedWithIt(Template template, What what, String word, UUID old) {
        boolean older = template.readyVersion() != null && template.readyVersion() != template.version();
        if (older
                && mapper.version(template.id(), template.readyVersion())
                        .filter(ready -> has(ready, what, old))
                        .isPresent()) {
            throw Refusal.because(
                    "used-as-it-was",
                    "Others use “" + template.name() + "” as it was when it was marked ready, with this " + word
                            + ". Mark it ready first. Nothing was replaced.");
        }
    }

    private static boolean has(Template template, What what, UUID old) {
        return what == What.FILE
                ? template.files().contains(old)
                : Mentioned.in(text(template)).contains(old);
    }

    private void mustTakeItsPlace(Template old, UUID other, Colleague by) {
        String word = old.kind().word();
        if (other == null || other.equals(old.id())) {
            throw Refusal.field("other", "Choose another " + word + ".");
        }
        Template chosen = templates.get(other, by);
        if (chosen.kind() != old.kind() || chosen.readyVersion() == null) {
            throw Refusal.field(
                    "other", "Choose a " + word + " that is ready: messages say nothing of one that isn’t.");
        }
    }

    private void exchange(Template template, UUID old, UUID other, Colleague by) {
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
                                Mentioned.with(text(template), Map.of(old, other)))
                        .carrying(template.files().stream()
                                .map(file -> file.equals(old) ? other : file)
                                .distinct()
                                .toList()),
                by);
        boolean wasReady = template.readyVersion() != null && template.readyVersion() == template.version();
        if (wasReady) {
            versions.ready(now.id(), now.version(), by);
        }
    }

    private static String text(Template template) {
        return template.design() == null ? "" : template.design();
    }
}
