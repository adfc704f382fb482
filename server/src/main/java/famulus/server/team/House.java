package famulus.server.team;

import java.time.ZoneId;
import java.util.Locale;

/**
 * Our own company.
 *
 * @param domain the part of our addresses after {@code @}
 * @param country two letters of ISO 3166
 * @param currency three letters of ISO 4217
 */
public record House(
        String name,
        String domain,
        String phone,
        String website,
        String street,
        String postcode,
        String town,
        String country,
        String language,
        String timeZone,
        String currency) {

    /** Language and region that dates and numbers are shown in. */
    public Locale locale() {
        return Locale.of(language, country);
    }

    /** Time zone that days are calculated in. */
    public ZoneId zone() {
        return ZoneId.of(timeZone);
    }
}
