package famulus.server.library;

import famulus.core.search.Occasion;
import famulus.server.library.TemplateOccasions.OccasionChoices;
import famulus.server.team.Colleague;
import java.util.Set;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** When templates are meant to be used. */
@RestController
class OccasionController {
    private final TemplateOccasions occasions;

    OccasionController(TemplateOccasions occasions) {
        this.occasions = occasions;
    }

    /**
     * When a template is meant to be used; nothing in a list is anything.
     *
     * @param months 1 to 12
     * @param stages codes of stages
     * @param countries by ISO 3166
     */
    record NamedOccasion(Set<Integer> months, Set<String> stages, Set<String> countries) {}

    /** The same with all that can be named. */
    record ShownOccasion(NamedOccasion named, OccasionChoices choices) {}

    @GetMapping("/api/templates/{id}/occasion")
    ShownOccasion occasion(Colleague asking, @PathVariable UUID id) {
        Occasion occasion = occasions.of(id, asking);
        return new ShownOccasion(
                new NamedOccasion(occasion.months(), occasion.stages(), occasion.countries()), occasions.choices());
    }

    @PutMapping("/api/templates/{id}/occasion")
    void set(Colleague asking, @PathVariable UUID id, @RequestBody NamedOccasion wanted) {
        occasions.set(id, new Occasion(wanted.months(), wanted.stages(), wanted.countries()), asking);
    }
}
