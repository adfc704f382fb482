package famulus.server.mailings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import famulus.server.Famulus;
import famulus.server.outbox.FakeMailServer.Step;
import famulus.server.outbox.MailRoute;
import java.sql.SQLException;
import java.time.Clock;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;

/** Two whole applications on one database in memory, with one mail server. */
class TwoApplicationsTest extends MailingTest {
    private static final int PEOPLE = 40;

    @Autowired
    private DataSource data;

    private ConfigurableApplicationContext another() throws SQLException {
        HikariConfig same = new HikariConfig();
        same.setJdbcUrl(data.unwrap(HikariDataSource.class).getJdbcUrl());
        same.setUsername("famulus");
        same.setPassword("");
        return new SpringApplicationBuilder(Famulus.class)
                .initializers(context -> {
                    GenericApplicationContext other = (GenericApplicationContext) context;
                    other.registerBean(
                            "sameData",
                            DataSource.class,
                            () -> new HikariDataSource(same),
                            bean -> bean.setPrimary(true));
                    other.registerBean("sameClock", Clock.class, () -> clock, bean -> bean.setPrimary(true));
                    other.registerBean("sameServer", MailRoute.class, () -> new MailRoute() {
                        @Override
                        public String host() {
                            return post.host();
                        }

                        @Override
                        public int port() {
                            return post.port();
                        }
                    });
                })
                .run(
                        "--server.port=0",
                        "--famulus.data=memory",
                        "--famulus.demo=false",
                        "--famulus.take-back-seconds=0",
                        "--famulus.public-address=https://post.brindlewing.example/");
    }

    @Test
    void bothSendAndNobodyGetsItTwice() throws Exception {
        UUID id = mailing(readers(PEOPLE));
        tested(id);
        try (ConfigurableApplicationContext other = another()) {
            post.takeTime(Step.DOT);
            start(id, PEOPLE);
            other.getBean(MailingSender.class).look();
            // Each hand of both has one.
            await().until(() -> planned(id).size() == PEOPLE - 2 * MailingSender.AT_ONCE);
            change(planned(id).getFirst(), "first_name", "Rowan");
            post.goOn();
            reaches(id, "DONE");
            arrive(PEOPLE);
        }
        assertThat(arrived()).hasSize(PEOPLE).doesNotHaveDuplicates();
        assertThat(wires())
                .filteredOn(wire -> wire.contains("Dear Rowan, will"))
                .hasSize(1);
        assertThat(page(id).at("/counts/sent").asInt()).isEqualTo(PEOPLE);
        assertThat(sql.queryForObject("select count(*) from outgoing_message where mailing_id = ?", Integer.class, id))
                .isEqualTo(PEOPLE);
    }
}
