package famulus.server.records;

import com.ibm.icu.util.VersionInfo;
import famulus.server.platform.CldrNames;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
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
    /** The fields that take their choices from here, as kind and name. */
    private static final Map<String, List<String>> FIELDS = Map.of(
            "language", List.of("contact", "lead"),
            "country", List.of("organisation", "lead"),
            "time_zone", List.of("contact", "lead"));

    /** Names by code, in the order of the names. */
    static Map<String, Map<String, String>> all() {
        return Map.of(
                "language", CldrNames.languages(),
                "country", CldrNames.countries(),
                "time_zone", CldrNames.zones());
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
