package famulus.server.lists;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Pieces of SQL keep their values in the order of their marks. */
class SqlTest {
    @Test
    void valuesFollowTheirPiecesIntoATemplate() {
        Sql put = Sql.put("%s and not %s", Sql.of("a = ?", 1), Sql.of("b in (?, ?)", 2, 3));

        assertThat(put.text()).isEqualTo("a = ? and not b in (?, ?)");
        assertThat(put.values()).containsExactly(1, 2, 3);
    }

    @Test
    void eachMarkBecomesAParameterOfItsPlace() {
        Sql joined = Sql.join(" or ", List.of(Sql.of("a = ?", "x"), Sql.TRUE, Sql.of("b = ?", "y")));

        assertThat(joined.numbered()).isEqualTo("a = #{values[0]} or true or b = #{values[1]}");
    }

    @Test
    void whatIsPutBehindAndAroundKeepsTheOrder() {
        Sql sql = Sql.of("a = ?", 1).then(Sql.of(" and b = ?", 2)).wrapped("(", ")");

        assertThat(sql.text()).isEqualTo("(a = ? and b = ?)");
        assertThat(sql.values()).containsExactly(1, 2);
    }
}
