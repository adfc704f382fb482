package famulus.server.library;

import famulus.core.field.About;
import famulus.core.message.body.Mode;
import famulus.core.record.SearchText;
import famulus.core.search.HitLine;
import famulus.core.search.WordFit;
import famulus.server.folders.FolderRights;
import famulus.server.folders.FolderService;
import famulus.server.library.TemplateMapper.FoundWords;
import famulus.server.library.TemplateMapper.TemplateRow;
import famulus.server.library.WantedLines.After;
import famulus.server.library.WantedLines.Narrowed;
import famulus.server.library.WantedLines.Order;
import famulus.server.records.CatalogueService;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
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
    private static final Duration IN_THE_BIN = Duration.ofDays(30);
    private static final int MOST_LINES = 100;
    private static final int MOST_FITTING = 60;
    private static final int MOST_FOUND = 5_000;

    private final TemplateMapper mapper;
    private final CatalogueService catalogues;
    private final TemplateIndex index;
    private final FolderService folders;
    private final TemplateRights rights;
    private final TeamService team;
    private final Clock clock;

    TemplateLines(
            TemplateMapper mapper,
            CatalogueService catalogues,
            TemplateIndex index,
            FolderService folders,
            TemplateRights rights,
            TeamService team,
            Clock clock) {
        this.clock = clock;
        this.team = team;
        this.folders = folders;
        this.index = index;
        this.rights = rights;
        this.mapper = mapper;
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
            String why) {}

    /** How far a template is. */
    public enum Stage {
        /** Never marked ready: only whose it is uses it. */
        DRAFT,
        /** Others use what it says. */
        READY,
        /** Others use what it said when it was marked ready. */
        CHANGED
    }

    private static Stage stage(TemplateRow line) {
        if (line.readyVersion() == null) {
            return Stage.DRAFT;
        }
        return line.readyVersion() == line.version() ? Stage.READY : Stage.CHANGED;
    }

    /** A stretch of a subject as it is read in a list: words, or a field by its label. */
    public record SubjectPart(String text, boolean field) {}

    /**
     * A page of the library.
     *
     * @param total how many there are that whoever asks may see; of what was looked for 5,000 at most
     * @param uncounted whether there are more than that
     * @param more whether the list goes on after these
     */
    public record TemplatePage(int total, boolean uncounted, List<TemplateLine> lines, boolean more) {}

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
        WantedLines wanted = WantedLines.of(kind, within, narrowed, MOST_LINES + 1);
        if (!search.isBlank()) {
            List<UUID> found = index.find(kind, search, asking, MOST_FOUND);
            Set<UUID> seen = found.isEmpty() ? Set.of() : mapper.some(wanted.among(found), asking);
            List<UUID> ranked = found.stream().filter(seen::contains).toList();
            return page(ranked, found.size() == MOST_FOUND, after, wanted, SearchText.typed(search), asking);
        }
        if (narrowed.order() != Order.NAME) {
            return page(mapper.ordered(wanted.all(), asking), false, after, wanted, List.of(), asking);
        }
        int total = mapper.count(wanted.all(), asking);
        Optional<Template> last = Optional.ofNullable(after).flatMap(id -> mapper.byId(id, true));
        List<TemplateRow> rows = mapper.lines(
                last.map(one -> wanted.after(new After(one.name(), mapper.place(one.id(), asking), one.id())))
                        .orElse(wanted),
                asking);
        boolean more = rows.size() > MOST_LINES;
        List<TemplateLine> lines = rows.stream()
                .limit(MOST_LINES)
                .map(line -> line(line, asking, List.of()))
                .toList();
        return new TemplatePage(total, false, lines, more);
    }

    /** Templates that were deleted since can be brought back. */
    Instant deletedSince() {
        return clock.instant().minus(IN_THE_BIN);
    }

    /** A page of templates whose order is known. */
    private TemplatePage page(
            List<UUID> ordered,
            boolean uncounted,
            UUID after,
            WantedLines wanted,
            List<String> typed,
            Colleague asking) {
        int from = after == null ? 0 : ordered.indexOf(after) + 1;
        List<UUID> some = ordered.subList(from, Math.min(ordered.size(), from + MOST_LINES));
        Map<UUID, TemplateRow> rows = rows(wanted.among(some), some, asking);
        Map<UUID, FoundWords> words = typed.isEmpty() || some.isEmpty()
                ? Map.of()
                : mapper.foundWords(some).stream()
                        .collect(Collectors.toMap(FoundWords::templateId, Function.identity()));
        List<TemplateLine> lines = some.stream()
                .map(rows::get)
                .filter(Objects::nonNull)
                .map(row -> line(row, asking, hit(row, words.get(row.id()), typed)))
                .toList();
        return new TemplatePage(ordered.size(), uncounted, lines, from + some.size() < ordered.size());
    }

    private Map<UUID, TemplateRow> rows(WantedLines wanted, List<UUID> some, Colleague asking) {
        return some.isEmpty()
                ? Map.of()
                : mapper.lines(wanted, asking).stream().collect(Collectors.toMap(TemplateRow::id, Function.identity()));
    }

    /** The line of a template that has what was typed; empty where its name, folder or owner has it. */
    private List<HitLine.Part> hit(TemplateRow row, FoundWords words, List<String> typed) {
        if (words == null) {
            return List.of();
        }
        String read = Stream.of(words.previewText(), words.body())
                .map(text -> ListWords.all(text, catalogues.catalogue(), About.valueOf(row.about())))
                .collect(Collectors.joining("\n"));
        return HitLine.of(read, typed);
    }

    /**
     * Templates for writing to a record: those that have what was typed in their name, or something like it, first; then
     * favourites, then those about exactly its kind, then those used last by whoever asks, then the others by name. Those
     * that don't fit the record are left out, and so are all after the first sixty.
     */
    public List<TemplateLine> fitting(About about, String search, Colleague asking) {
        List<About> abouts =
                Stream.of(About.values()).filter(one -> fits(one, about)).toList();
        WantedLines wanted = WantedLines.usable(abouts, MOST_FITTING);
        if (!search.isBlank()) {
            List<UUID> found = index.find(TemplateKind.TEMPLATE, search, asking, MOST_FOUND);
            Set<UUID> seen = found.isEmpty() ? Set.of() : mapper.some(wanted.among(found), asking);
            List<UUID> ranked =
                    found.stream().filter(seen::contains).limit(MOST_FITTING).toList();
            List<String> typed = SearchText.typed(search);
            return rows(wanted.among(ranked), ranked, asking).values().stream()
                    .sorted(Comparator.comparing((TemplateRow line) -> !named(line, typed))
                            .thenComparing(first(about))
                            .thenComparing(line -> ranked.indexOf(line.id())))
                    .map(row -> line(row, asking, List.of()))
                    .toList();
        }
        List<TemplateRow> rows = new ArrayList<>(mapper.lines(wanted, asking));
        // These are the first ones by name; what comes before them may stand anywhere.
        add(rows, mapper.lines(wanted.lastUsed(), asking));
        add(rows, mapper.lines(wanted.favourites(), asking));
        return rows.stream()
                .sorted(first(about).thenComparing(TemplateRow::name))
                .limit(MOST_FITTING)
                .map(line -> line(line, asking, List.of()))
                .toList();
    }

    /** Favourites first, then those about exactly these records, then those used last. */
    private static Comparator<TemplateRow> first(About about) {
        return Comparator.comparing((TemplateRow line) -> !line.favourite())
                .thenComparing(line -> !line.about().equals(about.name()))
                .thenComparing(TemplateRow::lastUsedByMe, Comparator.nullsLast(Comparator.reverseOrder()));
    }

    private static boolean named(TemplateRow line, List<String> typed) {
        Set<String> words = SearchText.words(List.of(line.name()));
        return typed.stream().allMatch(one -> words.stream()
                .anyMatch(word -> WordFit.of(word, one).isPresent()));
    }

    private static void add(List<TemplateRow> rows, List<TemplateRow> others) {
        Set<UUID> there = rows.stream().map(TemplateRow::id).collect(Collectors.toSet());
        others.stream().filter(row -> !there.contains(row.id())).forEach(rows::add);
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

    private String why(TemplateRow line) {
        if (line.lastUsedByMe() != null) {
            return "used by you on "
                    + LocalDate.ofInstant(line.lastUsedByMe(), team.house().zone())
                            .format(DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH));
        }
        return line.used() > 0 ? "used " + line.used() + (line.used() == 1 ? " time" : " times") : "not used yet";
    }

    private TemplateLine line(TemplateRow line, Colleague asking, List<HitLine.Part> hit) {
        return new TemplateLine(
                line.id(),
                line.name(),
                line.purpose(),
                About.valueOf(line.about()),
                ListWords.subject(line.subject(), catalogues.catalogue(), About.valueOf(line.about())),
                line.ownerName(),
                line.changedAt(),
                Mode.valueOf(line.mode()),
                stage(line),
                line.used(),
                line.languages() == null
                        ? List.of()
                        : Stream.of(line.languages().split(","))
                                .map(code -> Locale.of(code).getDisplayLanguage(Locale.ENGLISH))
                                .toList(),
                TemplateRights.mayChange(
                        line.ownerId(), Optional.ofNullable(line.may()).map(FolderRights::right), asking),
                line.ownerId().equals(asking.id()),
                line.may() == null ? null : line.folder(),
                line.favourite(),
                line.tags() == null ? List.of() : List.of(line.tags().split(",")),
                line.lastUsedByMe(),
                hit,
                why(line));
    }
}
