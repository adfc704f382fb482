package famulus.server.team;

import famulus.server.platform.CldrNames;
import famulus.server.platform.PublicAddress;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Our company's own details, and what can be chosen for them. */
@RestController
class CompanyDetailsController {
    private final CompanyDetailsService details;
    private final PublicAddress address;

    CompanyDetailsController(CompanyDetailsService details, PublicAddress address) {
        this.details = details;
        this.address = address;
    }

    /**
     * Our company.
     *
     * @param addressFixed whether the public address is set where the server is started, and can't be changed here
     */
    record Company(CompanyDetails details, boolean addressFixed) {}

    /** A code with its English name. */
    record Named(String code, String name) {}

    /** What a company can choose from: all that CLDR knows, by name. */
    record Choices(List<Named> countries, List<Named> languages, List<Named> timeZones, List<Named> currencies) {}

    @GetMapping("/api/company")
    Company company(Colleague asking) {
        return new Company(details.details(), address.fixed());
    }

    @PutMapping("/api/company")
    Company change(Colleague asking, @RequestBody CompanyDetails typed) {
        asking.mustBe("Only editors and administrators change the company’s details.", Role.KEEPER, Role.ADMINISTRATOR);
        details.keep(typed);
        return company(asking);
    }

    /** Open to everybody: whoever sets Famulus up chooses before anybody is signed in. */
    @GetMapping("/api/choices")
    Choices choices() {
        return new Choices(
                named(CldrNames.countries()),
                named(CldrNames.languages()),
                named(CldrNames.zones()),
                named(CldrNames.currencies()));
    }

    private static List<Named> named(Map<String, String> names) {
        return names.entrySet().stream()
                .map(one -> new Named(one.getKey(), one.getValue()))
                .toList();
    }
}
