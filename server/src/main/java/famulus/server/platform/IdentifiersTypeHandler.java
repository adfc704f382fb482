package famulus.server.platform;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.SQLFeatureNotSupportedException;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.UUID;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;

/**
 * Hands many identifiers over as one array, each once, for {@code from unnest(?) as wanted(id) join …}. However many
 * they are, the statement stays the same, and is read by the mapper and by the database once; with a mark for each it
 * would be read anew every time. Joined, each is looked up in an index; {@code = any(?)} would compare every row found
 * with all of them.
 */
public class IdentifiersTypeHandler extends BaseTypeHandler<Collection<UUID>> {
    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, Collection<UUID> ids, JdbcType type)
            throws SQLException {
        statement.setArray(at, statement.getConnection().createArrayOf("uuid", new LinkedHashSet<>(ids).toArray()));
    }

    @Override
    public Collection<UUID> getNullableResult(ResultSet row, String column) throws SQLException {
        throw new SQLFeatureNotSupportedException("Only handed over, never read");
    }

    @Override
    public Collection<UUID> getNullableResult(ResultSet row, int column) throws SQLException {
        throw new SQLFeatureNotSupportedException("Only handed over, never read");
    }

    @Override
    public Collection<UUID> getNullableResult(CallableStatement statement, int column) throws SQLException {
        throw new SQLFeatureNotSupportedException("Only handed over, never read");
    }
}
