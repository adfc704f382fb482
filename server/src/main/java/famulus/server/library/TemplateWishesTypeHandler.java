package famulus.server.library;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import tools.jackson.databind.json.JsonMapper;

/** Carries the wishes of a template to and from a column, as JSON; an empty column for none. */
@MappedTypes(TemplateWishes.class)
public class TemplateWishesTypeHandler extends BaseTypeHandler<TemplateWishes> {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, TemplateWishes wishes, JdbcType type)
            throws SQLException {
        statement.setString(at, wishes.equals(TemplateWishes.NONE) ? "" : JSON.writeValueAsString(wishes));
    }

    @Override
    public TemplateWishes getNullableResult(ResultSet row, String column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public TemplateWishes getNullableResult(ResultSet row, int column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public TemplateWishes getNullableResult(CallableStatement statement, int column) throws SQLException {
        return read(statement.getString(column));
    }

    private static TemplateWishes read(String text) {
        return text == null || text.isEmpty() ? TemplateWishes.NONE : JSON.readValue(text, TemplateWishes.class);
    }
}
