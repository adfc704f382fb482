package famulus.server.library;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.Path;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Node;
import famulus.core.message.body.Mode;
import famulus.server.library.TemplateMapper.TemplateRow;
import famulus.server.library.TemplateMapper.Wanted;
import famulus.server.records.CatalogueService;
import famulus.server.search.Search;
import famulus.server.search.SearchIndex;
import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** The templates as a list: what a person looks one up in. */
@Service
public class TemplateLines {
    private static final int MOST_LINES = 100;
    private static final int MOST_FITTING = 60;
    private static final int MOST_FOUND = 500;

    private final TemplateMapper mapper;
    private final CatalogueService catalogues;
    private final SearchIndex search;

    TemplateLines(TemplateMapper mapper, CatalogueService catalogues, SearchIndex search) {
        this.search = search;
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
            boolean mine) {}

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
     * @param total how many there are that whoever asks may see; of what was looked for 500 at most
     * @param uncounted whether there are more than that
     * @param more whether the list goes on after these
     */
    public record TemplatePage(int total, boolean uncounted, List<TemplateLine> lines, boolean more) {}

    /**
     * Templates, passages or signatures that have words beginning with all that was typed, by name.
     *
     * @param after the line that these follow on; null for the first ones
     */
    public TemplatePage lines(TemplateKind kind, String search, UUID after, Colleague asking) {
        Wanted wanted = found(kind, false, List.of(), search, MOST_LINES + 1);
        int most = search.isBlank() ? Integer.MAX_VALUE : MOST_FOUND;
        int total = mapper.count(wanted.most(search.isBlank() ? most : most + 1), asking);
        Optional<Template> last = Optional.ofNullable(after).flatMap(id -> mapper.byId(id, true));
        List<TemplateRow> rows =
                mapper.lines(last.map(one -> wanted.after(one.name(), one.id())).orElse(wanted), asking);
        boolean more = rows.size() > MOST_LINES;
        return new TemplatePage(
                Math.min(total, most),
                total > most,
                rows.stream().limit(MOST_LINES).map(line -> line(line, asking)).toList(),
                more);
    }

    private Wanted found(TemplateKind kind, boolean usable, List<About> abouts, String typed, int most) {
        Search found = search.find(TemplateKeeping.SCOPE, typed, MOST_FOUND);
        return new Wanted(
                kind,
                usable,
                abouts,
                found.gathered() ? found.found() : null,
                found.gathered() ? List.of() : found.words(),
                false,
                null,
                null,
                null,
                most);
    }

    /**
     * Templates for writing to a record: those that have what was typed in their name first, then those about exactly its
     * kind, then those about any person; in each group the ones used last by whoever asks, then the others by name. Those
     * that don't fit are left out, and so are all after the first sixty.
     */
    public List<TemplateLine> fitting(About about, String search, Colleague asking) {
        List<About> abouts =
                Stream.of(About.values()).filter(one -> fits(one, about)).toList();
        Wanted wanted = found(TemplateKind.TEMPLATE, true, abouts, search, MOST_FITTING);
        List<TemplateRow> rows =
                new ArrayList<>(mapper.lines(wanted.ids() == null ? wanted : wanted.most(MOST_FOUND), asking));
        if (wanted.ids() == null) {
            // These are the first ones by name; what comes before them may stand anywhere.
            add(rows, mapper.lines(wanted.lastUsed(), asking));
            if (!search.isBlank()) {
                add(rows, mapper.lines(wanted.named(search.strip().toLowerCase(Locale.ROOT)), asking));
            }
        }
        return rows.stream()
                .sorted(Comparator.comparing((TemplateRow line) -> !named(line, search))
                        .thenComparing(line -> !line.about().equals(about.name()))
                        .thenComparing(TemplateRow::lastUsedByMe, Comparator.nullsLast(Comparator.reverseOrder()))
                        .thenComparing(TemplateRow::name))
                .limit(MOST_FITTING)
                .map(line -> line(line, asking))
                .toList();
    }

    private static void add(List<TemplateRow> rows, List<TemplateRow> others) {
        Set<UUID> there = rows.stream().map(TemplateRow::id).collect(Collectors.toSet());
        others.stream().filter(row -> !there.contains(row.id())).forEach(rows::add);
    }

    private static boolean named(TemplateRow line, String search) {
        return line.name().toLowerCase(Locale.ROOT).contains(search.strip().toLowerCase(Locale.ROOT));
    }

    /** Whether a template can be used where a record of some kind is written to. A deal is written to by a contact. */
    private static boolean fits(About template, About place) {
        return template == place
                || template == About.PERSON
                || (place == About.DEAL && template == About.CONTACT)
                || (place == About.CONTACT && template == About.DEAL);
    }

    private TemplateLine line(TemplateRow line, Colleague asking) {
        return new TemplateLine(
                line.id(),
                line.name(),
                line.purpose(),
                About.valueOf(line.about()),
                subject(line),
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
                TemplateRights.mayChange(line.ownerId(), asking),
                line.ownerId().equals(asking.id()));
    }

    private List<SubjectPart> subject(TemplateRow line) {
        List<SubjectPart> parts = new ArrayList<>();
        subject(MergeParser.parse(line.subject()).nodes(), catalogues.catalogue(), About.valueOf(line.about()), parts);
        return parts;
    }

    /** Of a choice every branch is shown, one after another, since a list knows nobody to choose for. */
    private static void subject(List<Node> nodes, FieldCatalogue fields, About about, List<SubjectPart> parts) {
        for (Node node : nodes) {
            switch (node) {
                case Node.Literal literal -> parts.add(new SubjectPart(literal.text(), false));
                case Node.Broken broken -> parts.add(new SubjectPart(broken.source(), false));
                case Node.Field field -> parts.add(new SubjectPart(label(field, fields, about), true));
                case Node.Choice choice -> {
                    for (int turn = 0; turn < choice.branches().size(); turn++) {
                        if (turn > 0) {
                            parts.add(new SubjectPart(" ⁄ ", false));
                        }
                        subject(choice.branches().get(turn).nodes(), fields, about, parts);
                    }
                }
            }
        }
    }

    private static String label(Node.Field field, FieldCatalogue fields, About about) {
        Optional<Path> path = field.expression().leadingPath();
        return path.flatMap(one -> fields.resolve(one, about))
                .map(FieldDefinition::label)
                .or(() -> path.map(Path::toString))
                .orElse("…");
    }
}
