package famulus.server.platform;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.SQLFeatureNotSupportedException;
import java.util.Collection;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;

/** Hands many texts over as one array, in their order, for {@code unnest(?)}; see {@link IdentifiersTypeHandler}. */
public class TextsTypeHandler extends BaseTypeHandler<Collection<String>> {
    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, Collection<String> texts, JdbcType type)
            throws SQLException {
        statement.setArray(at, statement.getConnection().createArrayOf("varchar", texts.toArray()));
    }

    @Override
    public Collection<String> getNullableResult(ResultSet row, String column) throws SQLException {
        throw new SQLFeatureNotSupportedException("Only handed over, never read");
    }

    @Override
    public Collection<String> getNullableResult(ResultSet row, int column) throws SQLException {
        throw new SQLFeatureNotSupportedException("Only handed over, never read");
    }

    @Override
    public Collection<String> getNullableResult(CallableStatement statement, int column) throws SQLException {
        throw new SQLFeatureNotSupportedException("Only handed over, never read");
    }
}
