package famulus.server.records;

import com.ibm.icu.text.Collator;
import com.ibm.icu.text.TimeZoneNames;
import com.ibm.icu.util.TimeZone;
import com.ibm.icu.util.TimeZone.SystemTimeZoneType;
import com.ibm.icu.util.ULocale;
import com.ibm.icu.util.VersionInfo;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.springframework.stereotype.Component;

/**
 * The languages, countries and time zones that can be chosen, with their English names from CLDR. They are rows like all
 * choices, written anew whenever Famulus comes with another version of CLDR.
 */
@Component
class CldrChoices implements JavaMigration {
    private static final ULocale ENGLISH = ULocale.ENGLISH;

    /** The fields that take their choices from here, as kind and name. */
    private static final Map<String, List<String>> FIELDS = Map.of(
            "language", List.of("contact", "lead"),
            "country", List.of("organisation", "lead"),
            "time_zone", List.of("contact", "lead"));

    /** Names by code, in the order of the names. */
    static Map<String, Map<String, String>> all() {
        return Map.of("language", languages(), "country", countries(), "time_zone", zones());
    }

    /** Languages with a code of two letters (ISO 639-1). */
    private static Map<String, String> languages() {
        return named(Arrays.stream(ULocale.getISOLanguages())
                .filter(code -> code.length() == 2)
                .collect(Collectors.toMap(
                        code -> code, code -> ULocale.getDisplayLanguage(code, ENGLISH), (one, other) -> one)));
    }

    /** Countries and territories (ISO 3166-1). */
    private static Map<String, String> countries() {
        return named(Arrays.stream(ULocale.getISOCountries())
                .collect(Collectors.toMap(
                        code -> code, code -> ULocale.getDisplayCountry("und_" + code, ENGLISH), (one, other) -> one)));
    }

    /** Zones of the IANA database by their city, with the country where another city is called the same. */
    private static Map<String, String> zones() {
        TimeZoneNames names = TimeZoneNames.getInstance(ENGLISH);
        Map<String, String> cities =
                TimeZone.getAvailableIDs(SystemTimeZoneType.CANONICAL_LOCATION, null, null).stream()
                        .filter(id -> names.getExemplarLocationName(id) != null)
                        .collect(Collectors.toMap(
                                CldrChoices::asInJava, names::getExemplarLocationName, (one, other) -> one));
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
        return new LinkedHashMap<>(sorted);
    }

    @Override
    public MigrationVersion getVersion() {
        return null;
    }

    @Override
    public String getDescription() {
        return "choices from CLDR";
    }

    @Override
    public Integer getChecksum() {
        return VersionInfo.ICU_VERSION.hashCode();
    }

    @Override
    public boolean canExecuteInTransaction() {
        return true;
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        for (Map.Entry<String, Map<String, String>> field : all().entrySet()) {
            for (String kind : FIELDS.get(field.getKey())) {
                write(connection, kind, field.getKey(), field.getValue());
            }
        }
        try (PreparedStatement changed =
                connection.prepareStatement("update field_catalogue set revision = revision + 1")) {
            changed.execute();
        }
    }

    private static void write(Connection connection, String kind, String field, Map<String, String> names)
            throws SQLException {
        try (PreparedStatement put = connection.prepareStatement(
                "merge into field_choice (kind, field_name, code, label, position) key (kind, field_name, code)"
                        + " values (?, ?, ?, ?, ?)")) {
            int position = 1;
            for (Map.Entry<String, String> name : names.entrySet()) {
                put.setString(1, kind);
                put.setString(2, field);
                put.setString(3, name.getKey());
                put.setString(4, name.getValue());
                put.setInt(5, position++);
                put.addBatch();
            }
            put.executeBatch();
        }
    }
}
