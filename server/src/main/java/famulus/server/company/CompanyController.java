package famulus.server.company;

import famulus.server.company.HolidayService.Holiday;
import famulus.server.company.SalutationService.TypedRules;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Holidays and salutations, to be read by all and changed by editors and administrators. */
@RestController
@RequestMapping("/api/company")
class CompanyController {
    private static final String KEEPERS_ONLY = "Only editors and administrators change company settings.";

    private final HolidayService holidays;
    private final SalutationService salutations;

    CompanyController(HolidayService holidays, SalutationService salutations) {
        this.holidays = holidays;
        this.salutations = salutations;
    }

    record CountryHolidays(String country, List<Holiday> holidays) {}

    @GetMapping("/holidays")
    List<CountryHolidays> holidays(Colleague asking) {
        return holidays.all().entrySet().stream()
                .map(country -> new CountryHolidays(country.getKey(), country.getValue()))
                .toList();
    }

    @PutMapping("/holidays/{country}")
    List<CountryHolidays> change(Colleague asking, @PathVariable String country, @RequestBody List<Holiday> changed) {
        asking.mustBe(KEEPERS_ONLY, Role.KEEPER, Role.ADMINISTRATOR);
        holidays.change(country, changed);
        return holidays(asking);
    }

    /** Puts a country's holidays back as they ship. */
    @DeleteMapping("/holidays/{country}")
    List<CountryHolidays> reset(Colleague asking, @PathVariable String country) {
        asking.mustBe(KEEPERS_ONLY, Role.KEEPER, Role.ADMINISTRATOR);
        holidays.reset(country);
        return holidays(asking);
    }

    @GetMapping("/greetings")
    List<TypedRules> greetings(Colleague asking) {
        return salutations.all();
    }

    @PutMapping("/greetings/{language}")
    List<TypedRules> change(Colleague asking, @PathVariable String language, @RequestBody TypedRules rules) {
        asking.mustBe(KEEPERS_ONLY, Role.KEEPER, Role.ADMINISTRATOR);
        if (!language.equals(rules.language())) {
            throw Refusal.fields(Map.of("language", "These are the greetings of another language."));
        }
        salutations.change(rules);
        return greetings(asking);
    }
}
