package famulus.server.desk;

import famulus.core.condition.Verb;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.core.field.RecordKind;
import famulus.core.merge.FormatName;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Merged;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.merge.Program;
import famulus.server.records.CatalogueService;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;

/** The fields a writer can put in, each with what it would print for one person. */
@Service
class FieldFinderService {
    private static final int LONGEST_VALUE = 80;

    private final CatalogueService catalogues;
    private final PeopleContext people;
    private final Clock clock;

    FieldFinderService(CatalogueService catalogues, PeopleContext people, Clock clock) {
        this.catalogues = catalogues;
        this.people = people;
        this.clock = clock;
    }

    /**
     * A field that can be put in.
     *
     * @param whose what stands before the label when it is read aloud, such as "deal"
     * @param written its written form
     * @param value what it prints for the person; empty when that is nothing
     * @param group how it is compared
     * @param choices the labels that it can have; empty when it can have any
     */
    public record FoundField(
            String path,
            String label,
            String whose,
            String source,
            FieldType type,
            String written,
            String value,
            List<String> formats,
            Verb.Group group,
            List<String> choices) {}

    List<FoundField> fields(About about, For to, Colleague sender) {
        FieldCatalogue catalogue = catalogues.catalogue();
        Person person = people.person(to, sender, catalogue, about == About.DEAL);
        Merger merger = new Merger(person.settings(clock.instant()));
        return catalogue.reachable(about).entrySet().stream()
                .map(entry -> found(entry.getKey(), entry.getValue(), person, merger))
                .toList();
    }

    private static FoundField found(Path path, FieldDefinition field, Person person, Merger merger) {
        String written = "{" + path + "}";
        Program program = MergeParser.parse(written);
        Merged merged = merger.merge(program, person.context(), Place.HEADER);
        String value = merged.text();
        return new FoundField(
                path.toString(),
                field.label(),
                whose(path, field),
                Chips.source(field, path, person.kind()),
                field.type(),
                written,
                value.length() > LONGEST_VALUE ? value.substring(0, LONGEST_VALUE) + "…" : value,
                FormatName.fitting(field.type()).stream()
                        .map(FormatName::written)
                        .toList(),
                Verb.Group.of(field.type()),
                field.choices().stream().map(FieldDefinition.FieldOption::label).toList());
    }

    private static String whose(Path path, FieldDefinition field) {
        if (path.words().size() == 1) {
            return "date";
        }
        String root = path.words().size() > 2
                ? String.join(" ", path.words().subList(0, path.words().size() - 1))
                : path.root();
        return field.kind() == RecordKind.OUR_COMPANY
                ? "our"
                : root.toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
