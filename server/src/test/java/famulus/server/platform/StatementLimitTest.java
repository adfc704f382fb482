package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.server.ServerTest;
import java.sql.Statement;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.context.properties.bind.Binder;
import org.springframework.boot.context.properties.source.MapConfigurationPropertySource;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.StatementCallback;
import org.springframework.mock.web.MockHttpServletRequest;

/** No statement runs on for ever, and what was stopped is said in words. */
class StatementLimitTest extends ServerTest {
    @Autowired
    private ErrorAnswers answers;

    @Autowired
    private FamulusProperties properties;

    @Test
    void everyStatementHasALimit() {
        int seconds = sql.execute((StatementCallback<Integer>) Statement::getQueryTimeout);
        assertThat(seconds).isEqualTo(properties.statementSeconds());
    }

    @Test
    void itIsTwentySecondsWhereNobodySaysOtherwise() {
        FamulusProperties usual =
                new Binder(new MapConfigurationPropertySource()).bindOrCreate("famulus", FamulusProperties.class);
        assertThat(usual.statementSeconds()).isEqualTo(20);
    }

    /** Whatever moves this number on makes every connection read all its statements anew. */
    @Test
    void whatIsAskedLeavesStatementsKept() throws Exception {
        done("GET", "/api/templates", null, signe);
        long before = changesOfTables();
        done("GET", "/api/templates", null, signe);
        done("GET", "/api/records/contact", null, signe);
        contact("Ines", "Okafor", "ines@larkfield.example");
        assertThat(changesOfTables()).isEqualTo(before);
    }

    private long changesOfTables() {
        return sql.execute((ConnectionCallback<Long>) connection -> ((SessionLocal)
                        connection.unwrap(JdbcConnection.class).getSession())
                .getDatabase()
                .getModificationMetaId());
    }

    @Test
    void whatRunsIntoItIsSaidInWords() {
        assertThatThrownBy(this::runOn).isInstanceOfSatisfying(QueryTimeoutException.class, late -> {
            ResponseEntity<Object> answer =
                    answers.tookTooLong(late, new MockHttpServletRequest("GET", "/api/records/contact"));
            assertThat(answer.getStatusCode().value()).isEqualTo(503);
            assertThat(((ProblemDetail) answer.getBody()).getDetail())
                    .contains("took too long")
                    .contains("Nothing was changed");
        });
    }

    /** Asks what takes hours. H2 keeps a limit with the connection, which others use after this. */
    private void runOn() {
        sql.execute((StatementCallback<Boolean>) statement -> {
            statement.setQueryTimeout(1);
            try {
                return statement.execute(
                        "select count(*) from system_range(1, 100000000) a, system_range(1, 1000) b where a.x + b.x < 0");
            } finally {
                statement.setQueryTimeout(properties.statementSeconds());
            }
        });
    }
}
