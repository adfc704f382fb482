package famulus.server.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.StillClock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.mapping.BoundSql;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What is asked every second, though nothing is to be sent, costs the same however many messages there have been. */
class IdleHandsTest extends ServerTest {
    @Autowired
    private SqlSessionFactory sessions;

    @Autowired
    private OutboxService outbox;

    @BeforeEach
    void manyMessages() throws Exception {
        messages("SENT", true, 3_000);
    }

    private void messages(String state, boolean alone, int number) throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        sql.update(
                """
                insert into outgoing_message (id, message_id, written_by, sender_id, person_kind, person_id, to_address,
                  from_address, subject, state, attempts, next_attempt_at, maybe_repeated, created_at, test, alone)
                select random_uuid(), concat('<', random_uuid(), '@x.example>'), ?, ?, 'contact', ?, 'x', 'x', 'x', ?, 0,
                  ?, false, ?, false, ?
                from system_range(1, ?)
                """,
                signe.id(),
                signe.id(),
                ines,
                state,
                now(clock),
                now(clock),
                alone,
                number);
    }

    private static OffsetDateTime now(StillClock clock) {
        return OffsetDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "famulus.server.outbox.OutboxMapper.anyAloneDue",
                "famulus.server.outbox.OutboxMapper.inHand",
                "famulus.server.mailings.MailingPersonMapper.planned",
                "famulus.server.mailings.MailingPersonMapper.lost",
                "famulus.server.mailings.MailingPersonMapper.leftSince"
            })
    void whatIsAskedEverySecondLeansOnAnIndex(String statement) {
        BoundSql bound =
                sessions.getConfiguration().getMappedStatement(statement).getBoundSql(null);
        List<Object> values = new ArrayList<>();
        bound.getParameterMappings().forEach(one -> values.add(one.getProperty().equals("most") ? 3 : now(clock)));
        String plan = sql.queryForObject("explain " + bound.getSql(), String.class, values.toArray());
        assertThat(plan).doesNotContain("tableScan").containsIgnoringCase("/* PUBLIC.");
    }

    @Test
    void whatStandsAloneGoesBeforeMailingsOnceItIsDue() throws Exception {
        assertThat(outbox.anyAloneDue(clock.instant())).isFalse();
        messages("WAITING", false, 1);
        assertThat(outbox.anyAloneDue(clock.instant())).as("one of a mailing").isFalse();
        messages("WAITING", true, 1);
        assertThat(outbox.anyAloneDue(clock.instant().minusSeconds(1)))
                .as("not due yet")
                .isFalse();
        assertThat(outbox.anyAloneDue(clock.instant())).isTrue();
        sql.update("update outgoing_message set tries = 1 where state = 'WAITING'");
        assertThat(outbox.anyAloneDue(clock.instant())).as("tried before").isFalse();
        messages("SENDING", true, 1);
        assertThat(outbox.anyAloneDue(clock.instant().minusSeconds(1)))
                .as("in hand")
                .isTrue();
    }
}
