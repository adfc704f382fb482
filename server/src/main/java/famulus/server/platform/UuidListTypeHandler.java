package famulus.server.platform;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;

/** Carries a few identifiers to and from one column of text, parted by commas. */
@MappedTypes(List.class)
public class UuidListTypeHandler extends BaseTypeHandler<List<UUID>> {
    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, List<UUID> ids, JdbcType type)
            throws SQLException {
        statement.setString(at, ids.stream().map(UUID::toString).collect(Collectors.joining(",")));
    }

    @Override
    public List<UUID> getNullableResult(ResultSet row, String column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public List<UUID> getNullableResult(ResultSet row, int column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public List<UUID> getNullableResult(CallableStatement statement, int column) throws SQLException {
        return read(statement.getString(column));
    }

    private static List<UUID> read(String text) {
        return text == null || text.isEmpty()
                ? List.of()
                : Stream.of(text.split(",")).map(UUID::fromString).toList();
    }
}
