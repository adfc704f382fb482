package famulus.server.library;

import famulus.core.field.About;
import famulus.core.message.body.Mode;
import famulus.core.record.SearchText;
import famulus.core.search.HitLine;
import famulus.core.search.Occasion;
import famulus.core.search.WordFit;
import famulus.server.folders.FolderService;
import famulus.server.library.MustFixTemplates.MustFix;
import famulus.server.library.TemplateMapper.FoundWords;
import famulus.server.library.TemplateMapper.TemplateRow;
import famulus.server.library.TemplateShelf.Shelved;
import famulus.server.library.WantedLines.Narrowed;
import famulus.server.library.WantedLines.Order;
import famulus.server.records.CatalogueService;
import famulus.server.records.DealService;
import famulus.server.records.NeededData;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The templates as a list: what a person looks one up in. */
@Service
public class TemplateLines {
    private static final int MOST_LINES = 50;
    private static final int MOST_FITTING = 60;
    /** What somebody wrote from before so many others is offered like what they never wrote from. */
    private static final int MOST_REMEMBERED = 500;

    private static final int MOST_FOUND = 5_000;

    private final TemplateMapper mapper;
    private final TemplateShelf shelf;
    private final CatalogueService catalogues;
    private final TemplateIndex index;
    private final MustFixTemplates mustFix;
    private final FolderService folders;
    private final TemplateRights rights;
    private final TemplateOccasions occasions;
    private final PeopleContext people;
    private final DealService deals;
    private final TeamService team;
    private final Clock clock;

    TemplateLines(
            TemplateMapper mapper,
            TemplateShelf shelf,
            CatalogueService catalogues,
            TemplateIndex index,
            MustFixTemplates mustFix,
            FolderService folders,
            TemplateRights rights,
            TemplateOccasions occasions,
            PeopleContext people,
            DealService deals,
            TeamService team,
            Clock clock) {
        this.occasions = occasions;
        this.people = people;
        this.deals = deals;
        this.clock = clock;
        this.team = team;
        this.folders = folders;
        this.index = index;
        this.mustFix = mustFix;
        this.rights = rights;
        this.mapper = mapper;
        this.shelf = shelf;
        this.catalogues = catalogues;
    }

    /**
     * A line of the library.
     *
     * @param stage whether others can use it
     * @param used how many messages were written from it
     * @param languages the names of those it has variants in, besides its own
     * @param mayChange whether whoever asks may change it
     * @param folder where it lies, if whoever asks sees that; their own template may lie where they see nothing else
     * @param favourite whether whoever asks has marked it to find it again
     * @param tags the words it is kept together with others by
     * @param lastUsed when they wrote from it last; null for never
     * @param hit where something was looked for: the line of its text that has it
     * @param why what speaks for it where somebody chooses what to write from
     */
    public record TemplateLine(
            UUID id,
            String name,
            String purpose,
            About about,
            List<SubjectPart> subject,
            String owner,
            Instant changedAt,
            Mode mode,
            Stage stage,
            int used,
            List<String> languages,
            boolean mayChange,
            boolean mine,
            @Schema(nullable = true) UUID folder,
            boolean favourite,
            List<String> tags,
            @Schema(nullable = true) Instant lastUsed,
            List<HitLine.Part> hit,
            String why) {
        /** The same with something else that speaks for it. */
        TemplateLine because(String other) {
            return new TemplateLine(
                    id, name, purpose, about, subject, owner, changedAt, mode, stage, used, languages, mayChange, mine,
                    folder, favourite, tags, lastUsed, hit, other);
        }
    }

    /** How far a template is. */
    public enum Stage {
        /** Never marked ready: only whose it is uses it. */
        DRAFT,
        /** Others use what it says. */
        READY,
        /** Others use what it said when it was marked ready. */
        CHANGED
    }

    /** A stretch of a subject as it is read in a list: words, or a field by its label. */
    public record SubjectPart(String text, boolean field) {}

    /**
     * A page of the library.
     *
     * @param total how many there are that whoever asks may see; of what was looked for 5,000 at most
     * @param uncounted whether there are more than that
     * @param more whether the list goes on after these
     * @param unread where only those with must-fix notes are wanted: how many have not been looked at yet
     */
    public record TemplatePage(int total, boolean uncounted, List<TemplateLine> lines, boolean more, int unread) {}

    /**
     * Templates, passages or signatures, in the order of their folders; where something is looked for, those that fit it best
     * first.
     *
     * @param search what was typed; blank for nothing
     * @param folder only those in this folder and the folders in it; null for all
     * @param narrowed what else they have to be
     * @param after the line that these follow on; null for the first ones
     */
    TemplatePage lines(TemplateKind kind, String search, UUID folder, Narrowed narrowed, UUID after, Colleague asking) {
        Set<UUID> within = folder == null ? null : folders.within(folder, asking);
        WantedLines wanted = WantedLines.of(kind, within, narrowed);
        if (!search.isBlank()) {
            Mended mended = toMend(shelf.byName(wanted, true, asking), narrowed);
            Found found = found(kind, search, mended.lines(), asking);
            return page(
                    new Found(found.ids(), found.uncounted(), mended.unread()),
                    from(after, found.ids()),
                    SearchText.typed(search),
                    asking);
        }
        Mended mended = toMend(shelf.inOrder(wanted, asking), narrowed);
        List<Shelved> ordered = mended.lines();
        List<UUID> ids = ordered.stream().map(Shelved::id).toList();
        int from = after == null
                ? 0
                : narrowed.order() == Order.NAME ? shelf.upTo(after, ordered, wanted, asking) : from(after, ids);
        return page(new Found(ids, false, mended.unread()), from, List.of(), asking);
    }

    /** Lines that are left, and how many are not known to be any yet. */
    private record Mended(List<Shelved> lines, int unread) {}

    private Mended toMend(List<Shelved> lines, Narrowed narrowed) {
        if (!narrowed.mustFix()) {
            return new Mended(lines, 0);
        }
        MustFix found = mustFix.among(lines);
        return new Mended(
                lines.stream().filter(one -> found.stopped().contains(one.id())).toList(), found.unread());
    }

    /** Where a list goes on; at its beginning where what came before is not in it any more. */
    private static int from(UUID after, List<UUID> ids) {
        return after == null ? 0 : ids.indexOf(after) + 1;
    }

    /** The lines that were found, in their order; uncounted where there may be more, and unread where some were not looked at. */
    private record Found(List<UUID> ids, boolean uncounted, int unread) {}

    private Found found(TemplateKind kind, String search, List<Shelved> among, Colleague asking) {
        Set<UUID> seen = among.stream().map(Shelved::id).collect(Collectors.toSet());
        List<UUID> found = index.find(kind, search, asking, MOST_FOUND);
        return new Found(found.stream().filter(seen::contains).toList(), found.size() == MOST_FOUND, 0);
    }

    /** A page of templates whose order is known. */
    private TemplatePage page(Found found, int from, List<String> typed, Colleague asking) {
        List<UUID> ordered = found.ids();
        List<UUID> some = ordered.subList(from, Math.min(ordered.size(), from + MOST_LINES));
        Map<UUID, FoundWords> words = typed.isEmpty() || some.isEmpty()
                ? Map.of()
                : mapper.foundWords(some).stream()
                        .collect(Collectors.toMap(FoundWords::templateId, Function.identity()));
        LineReader reader = reader(asking);
        List<TemplateLine> lines = rows(some, asking).stream()
                .map(row -> reader.line(row, words.get(row.id()), typed))
                .toList();
        return new TemplatePage(
                ordered.size(), found.uncounted(), lines, from + some.size() < ordered.size(), found.unread());
    }

    /** The lines of some templates, in their order. */
    private List<TemplateRow> rows(List<UUID> some, Colleague asking) {
        if (some.isEmpty()) {
            return List.of();
        }
        Map<UUID, TemplateRow> rows =
                mapper.lines(some, asking).stream().collect(Collectors.toMap(TemplateRow::id, Function.identity()));
        return some.stream().map(rows::get).filter(Objects::nonNull).toList();
    }

    /**
     * Templates for writing to a record: those that have what was typed in their name, or something like it, first; then
     * favourites, then those meant for just this month, stage and country, then those about exactly its kind, then those used
     * last by whoever asks, then the others by name; those meant for something else come last. Those that don't fit the record
     * are left out, and so are all after the first sixty.
     *
     * @param whom who is written to; null where nobody is yet
     */
    public List<TemplateLine> fitting(About about, String search, For whom, Colleague asking) {
        List<About> abouts =
                Stream.of(About.values()).filter(one -> fits(one, about)).toList();
        List<Shelved> usable = shelf.byName(WantedLines.usable(abouts), !search.isBlank(), asking);
        Meant meant = meant(about, whom, asking);
        Map<UUID, Fit> fits = fits(usable, about, meant, asking);
        if (search.isBlank()) {
            List<UUID> ids = fits.values().stream()
                    .sorted(Fit.BEST)
                    .limit(MOST_FITTING)
                    .map(Fit::id)
                    .toList();
            return lines(rows(ids, asking), meant, asking);
        }
        List<UUID> ranked = found(TemplateKind.TEMPLATE, search, usable, asking).ids().stream()
                .limit(MOST_FITTING)
                .toList();
        List<String> typed = SearchText.typed(search);
        List<TemplateRow> rows = rows(ranked, asking).stream()
                .sorted(Comparator.comparing((TemplateRow line) -> !named(line, typed))
                        .thenComparing(line -> fits.get(line.id()), Fit.BEST))
                .toList();
        return lines(rows, meant, asking);
    }

    /** What templates are meant for, and whom it is about now; nobody where that is not known. */
    private record Meant(Map<UUID, Occasion> occasions, Optional<Occasion.Now> now) {
        Occasion.Fit fit(UUID template) {
            return now.map(one -> occasions.getOrDefault(template, Occasion.ANY).fit(one))
                    .orElse(Occasion.Fit.ANY);
        }
    }

    private Meant meant(About about, For whom, Colleague asking) {
        Map<UUID, Occasion> all = occasions.all();
        if (whom == null || all.isEmpty()) {
            return new Meant(all, Optional.empty());
        }
        Person person =
                people.person(whom, asking, catalogues.catalogue(), about == About.DEAL, NeededData.of(Set.of()));
        String stage = person.deal().flatMap(deals::stage).orElse("");
        int month = LocalDate.ofInstant(clock.instant(), person.zone()).getMonthValue();
        return new Meant(
                all, Optional.of(new Occasion.Now(month, stage, person.locale().getCountry())));
    }

    /**
     * How well a template fits a record.
     *
     * @param group those meant for something else last, favourites first, then those meant for just this and those about exactly
     *     its kind: a number that grows in this order
     * @param lastUsed within a group those used last come first, as {@link TemplateShelf#lastFirst} says
     */
    private record Fit(UUID id, int group, long lastUsed) {
        static final Comparator<Fit> BEST = Comparator.comparingInt(Fit::group).thenComparingLong(Fit::lastUsed);

        static Fit of(UUID id, Occasion.Fit occasion, boolean favourite, boolean exact, Instant lastUsed) {
            int group = occasion == Occasion.Fit.APART ? 1 : 0;
            group = 2 * group + (favourite ? 0 : 1);
            group = Occasion.Fit.values().length * group + occasion.ordinal();
            group = 2 * group + (exact ? 0 : 1);
            return new Fit(id, group, TemplateShelf.lastFirst(lastUsed));
        }
    }

    /** In the order they come in. */
    private Map<UUID, Fit> fits(List<Shelved> some, About about, Meant meant, Colleague asking) {
        Set<UUID> favourites = mapper.favourites(asking.id());
        Map<UUID, Instant> used = shelf.lastUsed(asking, MOST_REMEMBERED);
        Map<UUID, Fit> fits = new LinkedHashMap<>();
        some.forEach(one -> fits.put(
                one.id(),
                Fit.of(
                        one.id(),
                        meant.fit(one.id()),
                        favourites.contains(one.id()),
                        one.about() == about,
                        used.get(one.id()))));
        return fits;
    }

    /** What a template is meant for speaks for it, or against it, more than that it was used. */
    private List<TemplateLine> lines(List<TemplateRow> rows, Meant meant, Colleague asking) {
        Function<Occasion, String> words = occasions.words();
        return rows.stream()
                .map(reader(asking)::line)
                .map(line -> meant.fit(line.id()) == Occasion.Fit.ANY
                        ? line
                        : line.because("for " + words.apply(meant.occasions().get(line.id()))))
                .toList();
    }

    private LineReader reader(Colleague asking) {
        return new LineReader(catalogues.catalogue(), team.house().zone(), asking);
    }

    private static boolean named(TemplateRow line, List<String> typed) {
        Set<String> words = SearchText.words(List.of(line.name()));
        return typed.stream().allMatch(one -> words.stream()
                .anyMatch(word -> WordFit.of(word, one).isPresent()));
    }

    /** Whether a template was archived. */
    boolean archived(UUID id) {
        return mapper.archived(id);
    }

    /** Marks a template to be found again, or no longer. */
    @Transactional
    void favour(UUID id, boolean favourite, Colleague whose) {
        rights.mustBeSeen(mapper.byId(id, false), whose);
        mapper.disfavour(id, whose.id());
        if (favourite) {
            mapper.favour(id, whose.id());
        }
    }

    /** Whether a template can be used where a record of some kind is written to. A deal is written to by a contact. */
    private static boolean fits(About template, About place) {
        return template == place
                || template == About.PERSON
                || (place == About.DEAL && template == About.CONTACT)
                || (place == About.CONTACT && template == About.DEAL);
    }
}
