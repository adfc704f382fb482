package famulus.server.platform;

import com.ibm.icu.text.Collator;
import com.ibm.icu.text.TimeZoneNames;
import com.ibm.icu.util.Currency;
import com.ibm.icu.util.TimeZone;
import com.ibm.icu.util.TimeZone.SystemTimeZoneType;
import com.ibm.icu.util.ULocale;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** English names from CLDR by code, in the order of the names. */
public final class CldrNames {
    private static final ULocale ENGLISH = ULocale.ENGLISH;
    /** What ISO 4217 gives to a place without a currency, such as Antarctica. */
    private static final String NO_CURRENCY = "XXX";

    private static final Map<String, String> LANGUAGES = readLanguages();
    private static final Map<String, String> COUNTRIES = readCountries();
    private static final Map<String, String> CURRENCIES = readCurrencies();
    private static final Map<String, String> ZONES = readZones();

    private CldrNames() {}

    /** Languages with a code of two letters (ISO 639-1), e.g. {@code pt} for Portuguese. */
    public static Map<String, String> languages() {
        return LANGUAGES;
    }

    /** Countries and territories (ISO 3166-1), e.g. {@code PT} for Portugal. */
    public static Map<String, String> countries() {
        return COUNTRIES;
    }

    /** The currencies that countries and territories have today (ISO 4217), e.g. {@code EUR} for Euro. */
    public static Map<String, String> currencies() {
        return CURRENCIES;
    }

    /** Zones of the IANA database by their city, with the country where another city is called the same. */
    public static Map<String, String> zones() {
        return ZONES;
    }

    private static Map<String, String> readLanguages() {
        return named(Arrays.stream(ULocale.getISOLanguages())
                .filter(code -> code.length() == 2)
                .collect(Collectors.toMap(
                        code -> code, code -> ULocale.getDisplayLanguage(code, ENGLISH), (one, other) -> one)));
    }

    private static Map<String, String> readCountries() {
        return named(Arrays.stream(ULocale.getISOCountries())
                .collect(Collectors.toMap(
                        code -> code, code -> ULocale.getDisplayCountry("und_" + code, ENGLISH), (one, other) -> one)));
    }

    private static Map<String, String> readCurrencies() {
        return named(COUNTRIES.keySet().stream()
                .map(country -> Currency.getInstance(new ULocale("und", country)))
                .filter(Objects::nonNull)
                .filter(currency -> !currency.getCurrencyCode().equals(NO_CURRENCY))
                .distinct()
                .collect(Collectors.toMap(
                        Currency::getCurrencyCode, currency -> currency.getName(ENGLISH, Currency.LONG_NAME, null))));
    }

    private static Map<String, String> readZones() {
        TimeZoneNames names = TimeZoneNames.getInstance(ENGLISH);
        Map<String, String> cities =
                TimeZone.getAvailableIDs(SystemTimeZoneType.CANONICAL_LOCATION, null, null).stream()
                        .filter(id -> names.getExemplarLocationName(id) != null)
                        .collect(Collectors.toMap(
                                CldrNames::asInJava, names::getExemplarLocationName, (one, other) -> one));
        Set<String> seen = new HashSet<>();
        Set<String> twice =
                cities.values().stream().filter(city -> !seen.add(city)).collect(Collectors.toSet());
        cities.replaceAll((id, city) -> twice.contains(city)
                ? city + ", " + ULocale.getDisplayCountry("und_" + TimeZone.getRegion(id), ENGLISH)
                : city);
        return named(cities);
    }

    /** The name under which Java knows a zone; CLDR keeps some old ones. */
    private static String asInJava(String id) {
        String iana = TimeZone.getIanaID(id);
        return TimeZone.UNKNOWN_ZONE_ID.equals(iana) ? id : iana;
    }

    private static Map<String, String> named(Map<String, String> byCode) {
        Collator order = Collator.getInstance(ENGLISH);
        Map<String, String> sorted = new TreeMap<>((one, other) -> {
            int byName = order.compare(byCode.get(one), byCode.get(other));
            return byName == 0 ? one.compareTo(other) : byName;
        });
        byCode.forEach((code, name) -> {
            if (!name.equals(code)) {
                sorted.put(code, name);
            }
        });
        return Collections.unmodifiableMap(new LinkedHashMap<>(sorted));
    }
}
