package famulus.server.team;

import famulus.server.platform.Refusal;
import java.util.Map;

/** Makes our company from what the first visitor says of it. */
final class FirstHouse {
    private FirstHouse() {}

    static House of(String name, String domain, String country, String timeZone, String currency) {
        Map<String, String> wrong = CompanyDetailsService.wrongPlace(country, timeZone, currency);
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        return new House(name.strip(), domain, "", "", "", "", "", country, "en", timeZone, currency);
    }
}
