package famulus.server.library;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.Path;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Node;
import famulus.core.message.body.Mode;
import famulus.server.library.TemplateMapper.TemplateRow;
import famulus.server.platform.SearchWords;
import famulus.server.records.CatalogueService;
import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** The templates as a list: what a person looks one up in. */
@Service
public class TemplateLines {
    private final TemplateMapper mapper;
    private final CatalogueService catalogues;

    TemplateLines(TemplateMapper mapper, CatalogueService catalogues) {
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

    /** Templates, passages or signatures in which all of the words occur, by name. */
    public List<TemplateLine> lines(TemplateKind kind, String search, Colleague asking) {
        return mapper.lines(kind.name(), SearchWords.of(search), asking, false).stream()
                .map(line -> line(line, asking))
                .toList();
    }

    /**
     * Templates for writing to a record: those that have the words in their name first, then those about exactly its kind, then those about any person; in each group
     * the ones used last by whoever asks, then the others by name. Those that don't fit are left out.
     */
    public List<TemplateLine> fitting(About about, String search, Colleague asking) {
        return mapper.lines(TemplateKind.TEMPLATE.name(), SearchWords.of(search), asking, true).stream()
                .filter(line -> fits(About.valueOf(line.about()), about))
                .sorted(Comparator.comparing((TemplateRow line) -> !named(line, search))
                        .thenComparing(line -> !line.about().equals(about.name()))
                        .thenComparing(TemplateRow::lastUsedByMe, Comparator.nullsLast(Comparator.reverseOrder()))
                        .thenComparing(TemplateRow::name))
                .map(line -> line(line, asking))
                .toList();
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
