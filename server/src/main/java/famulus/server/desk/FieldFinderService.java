package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.Path;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Merged;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.merge.Program;
import famulus.server.lists.FoundField;
import famulus.server.records.CatalogueService;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.util.List;
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

    List<FoundField> fields(About about, For to, Colleague sender) {
        FieldCatalogue catalogue = catalogues.catalogue();
        Person person = people.person(to, sender, catalogue, about == About.DEAL);
        Merger merger = new Merger(person.settings(clock.instant()));
        return catalogue.reachable(about).entrySet().stream()
                .map(entry -> found(entry.getKey(), entry.getValue(), person, merger))
                .toList();
    }

    private static FoundField found(Path path, FieldDefinition field, Person person, Merger merger) {
        Program program = MergeParser.parse("{" + path + "}");
        Merged merged = merger.merge(program, person.context(), Place.HEADER);
        String value = merged.text();
        return FoundField.of(
                path,
                field,
                person.kind(),
                value.length() > LONGEST_VALUE ? value.substring(0, LONGEST_VALUE) + "…" : value);
    }
}
