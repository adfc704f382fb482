package famulus.server.library;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import tools.jackson.databind.json.JsonMapper;

/** Carries the plain text that a template keeps by hand to and from a column, as JSON; null for one that is derived. */
@MappedTypes(KeptPlainText.class)
public class KeptPlainTextTypeHandler extends BaseTypeHandler<KeptPlainText> {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, KeptPlainText text, JdbcType type)
            throws SQLException {
        statement.setString(at, JSON.writeValueAsString(text));
    }

    @Override
    public KeptPlainText getNullableResult(ResultSet row, String column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public KeptPlainText getNullableResult(ResultSet row, int column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public KeptPlainText getNullableResult(CallableStatement statement, int column) throws SQLException {
        return read(statement.getString(column));
    }

    private static KeptPlainText read(String text) {
        return text == null || text.isEmpty() ? null : JSON.readValue(text, KeptPlainText.class);
    }
}
