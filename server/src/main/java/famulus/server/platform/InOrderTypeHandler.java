package famulus.server.platform;

import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Collection;
import java.util.UUID;
import org.apache.ibatis.type.JdbcType;

/** Hands identifiers over as one array as they come, also several times the same, to go beside another array. */
public class InOrderTypeHandler extends IdentifiersTypeHandler {
    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, Collection<UUID> ids, JdbcType type)
            throws SQLException {
        statement.setArray(at, statement.getConnection().createArrayOf("uuid", ids.toArray()));
    }
}
