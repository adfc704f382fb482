package famulus.server.library;

import famulus.core.field.RecordKind;
import famulus.server.company.SalutationService;
import famulus.server.company.SalutationService.TypedRules;
import famulus.server.library.VariantMapper.VariantRow;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * One template in several languages: each variant is written on a desk of its own, and whoever is written to gets the one
 * in their language.
 */
@Service
public class VariantService {
    private final SalutationService salutations;
    private final VariantMapper mapper;
    private final TemplateService templates;
    private final CatalogueService catalogues;
    private final TeamService team;
    private final TemplateEvents events;
    private final TemplateRights rights;

    VariantService(
            VariantMapper mapper,
            TemplateService templates,
            CatalogueService catalogues,
            TeamService team,
            TemplateEvents events,
            TemplateRights rights,
            SalutationService salutations) {
        this.salutations = salutations;
        this.rights = rights;
        this.mapper = mapper;
        this.templates = templates;
        this.catalogues = catalogues;
        this.team = team;
        this.events = events;
    }

    /**
     * A template in a language.
     *
     * @param language by ISO 639
     * @param name of the language, in English
     * @param id null while there is no variant in it
     * @param ready whether others can use it
     */
    public record Variant(String language, String name, UUID id, boolean ready) {}

    /** The languages people are written to in, each with the variant there is; the template's own first. */
    public List<Variant> of(UUID id, Colleague asking) {
        Template template = templates.get(id, asking);
        List<VariantRow> rows = mapper.of(id).stream()
                .filter(row -> row.templateId().equals(id) || rights.maySee(templates.any(row.templateId()), asking))
                .toList();
        List<Variant> there = rows.isEmpty()
                ? List.of(new Variant(
                        team.house().language(), name(team.house().language()), id, template.readyVersion() != null))
                : rows.stream()
                        .map(row -> new Variant(
                                row.language(), name(row.language()), row.templateId(), row.readyVersion() != null))
                        .toList();
        Stream<Variant> missing = languages().stream()
                .filter(language ->
                        there.stream().noneMatch(one -> one.language().equals(language)))
                .map(language -> new Variant(language, name(language), null, false));
        return Stream.concat(there.stream(), missing).toList();
    }

    /** The languages a template is written in, of those that may be used; none for one that stands alone. */
    public List<Locale> written(UUID id, Colleague asking) {
        return mapper.of(id).stream()
                .filter(row -> row.readyVersion() != null || row.ownerId().equals(asking.id()))
                .map(row -> Locale.of(row.language()))
                .toList();
    }

    /**
     * The variants that {@link #forReader} takes, by the language they are in; none for a template that stands alone.
     *
     * @param sender who messages go out as
     */
    public Map<String, UUID> usable(UUID id, Colleague asking, Colleague sender) {
        return mapper.of(id).stream()
                .filter(row -> mayBeUsed(row, asking, sender))
                .collect(Collectors.toMap(VariantRow::language, VariantRow::templateId, (first, other) -> first));
    }

    private static boolean mayBeUsed(VariantRow row, Colleague asking, Colleague sender) {
        return row.readyVersion() != null
                || row.ownerId().equals(asking.id())
                || row.ownerId().equals(sender.id());
    }

    /** The languages that people can have, those first in which the house greets people. */
    private List<String> languages() {
        List<String> greeted =
                salutations.all().stream().map(TypedRules::language).toList();
        Stream<String> others = catalogues.catalogue().field(RecordKind.CONTACT, "language").stream()
                .flatMap(field -> field.choices().stream())
                .map(choice -> choice.code())
                .filter(code -> !greeted.contains(code));
        return Stream.concat(greeted.stream(), others).toList();
    }

    private static String name(String language) {
        return Locale.of(language).getDisplayLanguage(Locale.ENGLISH);
    }

    /**
     * Adds a variant: a copy of the template, to be translated beside it.
     *
     * @param language of the variant
     * @param own the language of the template itself, if it has none yet; null for the house's
     */
    @Transactional
    public Template add(UUID id, String language, String own, Colleague by) {
        Template original = templates.get(id, by);
        rights.mustBeChangeable(original, by);
        if (!original.kind().whole()) {
            throw Refusal.because("no-template", "Only templates have variants.");
        }
        List<String> languages = languages();
        if (!languages.contains(language)) {
            throw Refusal.field("language", "Choose a language from the list.");
        }
        UUID root = mapper.rootOf(id).orElse(id);
        if (mapper.rootOf(id).isEmpty()) {
            String first = own == null || own.isBlank() ? team.house().language() : own;
            if (!languages.contains(first)) {
                throw Refusal.field("own", "Choose a language from the list.");
            }
            mapper.insert(id, id, first);
        }
        if (mapper.of(id).stream().anyMatch(row -> row.language().equals(language))) {
            throw Refusal.field("language", "There is a variant in this language already.");
        }
        String name = original.name() + " (" + name(language) + ")";
        Template variant = templates.addBeside(
                original, Draft.of(original).named(name.substring(0, Math.min(120, name.length()))), by);
        mapper.insert(variant.id(), root, language);
        events.changed(root);
        return variant;
    }

    /**
     * Makes what one mailing says of a template, in all its languages; it is theirs who asks.
     *
     * @return that of the template itself
     */
    @Transactional
    public Template forMailing(UUID id, Colleague by) {
        Template root = templates.forMailing(id, by);
        List<VariantRow> rows =
                mapper.of(id).stream().filter(row -> mayBeUsed(row, by, by)).toList();
        for (VariantRow row : rows) {
            UUID one = row.templateId().equals(id)
                    ? root.id()
                    : templates.forMailing(row.templateId(), by).id();
            mapper.insert(one, root.id(), row.language());
        }
        return root;
    }

    /** Puts away what a mailing said in all its languages; nothing for what is no mailing’s own. */
    @Transactional
    public void noLongerOfMailing(UUID id) {
        Stream.concat(Stream.of(id), mapper.of(id).stream().map(VariantRow::templateId))
                .distinct()
                .forEach(templates::noLongerOfMailing);
    }

    /** Makes two templates that are there already variants of each other; for the demo's data. */
    @Transactional
    public void join(UUID root, String own, UUID variant, String language) {
        mapper.insert(root, root, own);
        mapper.insert(variant, root, language);
    }

    /**
     * The template that somebody is written to from: the variant in their language that may be used, else the template
     * itself.
     *
     * @param readers gives the language they are written to in; asked only where there are variants
     */
    public UUID forReader(UUID id, Supplier<String> readers, Colleague asking, Colleague sender) {
        List<VariantRow> rows = mapper.of(id);
        if (rows.isEmpty()) {
            return id;
        }
        String language = readers.get();
        Optional<VariantRow> fitting = rows.stream()
                .filter(row -> row.language().equals(language))
                .filter(row -> mayBeUsed(row, asking, sender))
                .findFirst();
        return fitting.map(VariantRow::templateId).orElse(id);
    }
}
