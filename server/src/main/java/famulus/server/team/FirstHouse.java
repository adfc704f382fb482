package famulus.server.team;

import famulus.server.platform.Refusal;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Makes the house from what the first visitor says of it. */
final class FirstHouse {
    private FirstHouse() {}

    static House of(String name, String domain, String country, String timeZone, String currency) {
        Map<String, String> wrong = new LinkedHashMap<>();
        if (!Set.of(Locale.getISOCountries()).contains(country)) {
            wrong.put("country", "Choose a country.");
        }
        try {
            ZoneId.of(timeZone);
        } catch (DateTimeException unknown) {
            wrong.put("timeZone", "Choose a time zone.");
        }
        try {
            Currency.getInstance(currency);
        } catch (IllegalArgumentException unknown) {
            wrong.put("currency", "A currency has three letters, such as GBP.");
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        return new House(name.strip(), domain, "", "", "", "", "", country, "en", timeZone, currency);
    }
}
