package famulus.server.platform;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import tools.jackson.databind.json.JsonMapper;

/** Carries a value to and from one column, as JSON. */
public abstract class JsonTypeHandler<T> extends BaseTypeHandler<T> {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Class<T> type;
    private final T none;

    /**
     * A handler.
     *
     * @param none what an empty column holds, and is written as one; may be null
     */
    protected JsonTypeHandler(Class<T> type, T none) {
        this.type = type;
        this.none = none;
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, T value, JdbcType jdbcType)
            throws SQLException {
        statement.setString(at, value.equals(none) ? "" : JSON.writeValueAsString(value));
    }

    @Override
    public T getNullableResult(ResultSet row, String column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public T getNullableResult(ResultSet row, int column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public T getNullableResult(CallableStatement statement, int column) throws SQLException {
        return read(statement.getString(column));
    }

    private T read(String text) {
        return text == null || text.isEmpty() ? none : JSON.readValue(text, type);
    }
}
