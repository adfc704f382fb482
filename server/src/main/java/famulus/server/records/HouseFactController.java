package famulus.server.records;

import famulus.server.company.SalutationService;
import famulus.server.company.SalutationService.TypedRules;
import famulus.server.records.HouseFactService.HouseFact;
import famulus.server.records.HouseFactService.TypedFact;
import famulus.server.records.SalutationExamples.Example;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the house says of itself, and how its rules of greeting come out for real people. */
@RestController
@RequestMapping("/api/company")
class HouseFactController {
    private static final String KEEPERS_ONLY = "Only editors and administrators change the company’s details.";

    private final HouseFactService facts;
    private final SalutationExamples examples;
    private final SalutationService salutations;

    HouseFactController(HouseFactService facts, SalutationExamples examples, SalutationService salutations) {
        this.facts = facts;
        this.examples = examples;
        this.salutations = salutations;
    }

    @GetMapping("/facts")
    List<HouseFact> facts(Colleague asking) {
        return facts.all();
    }

    @PostMapping("/facts")
    List<HouseFact> add(Colleague asking, @RequestBody TypedFact fact) {
        asking.mustBe(KEEPERS_ONLY, Role.KEEPER, Role.ADMINISTRATOR);
        facts.add(fact);
        return facts.all();
    }

    @PutMapping("/facts/{name}")
    List<HouseFact> change(Colleague asking, @PathVariable String name, @RequestBody TypedFact fact) {
        asking.mustBe(KEEPERS_ONLY, Role.KEEPER, Role.ADMINISTRATOR);
        facts.change(name, fact);
        return facts.all();
    }

    @DeleteMapping("/facts/{name}")
    List<HouseFact> remove(Colleague asking, @PathVariable String name) {
        asking.mustBe(KEEPERS_ONLY, Role.KEEPER, Role.ADMINISTRATOR);
        facts.remove(name);
        return facts.all();
    }

    /** How rules, kept or not, greet the people there are. */
    @PostMapping("/greetings/examples")
    List<Example> examples(Colleague asking, @RequestBody TypedRules rules) {
        return examples.of(rules.language(), salutations.read(rules));
    }
}
