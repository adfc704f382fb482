package famulus.server.demo;

import famulus.core.field.About;
import famulus.core.message.MessageSource;
import famulus.server.desk.StressService;
import famulus.server.library.Draft;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Does what takes the most reckoning a few times over on the people there are, so that the JVM has learnt it before
 * somebody waits for it. {@code famulus.rehearsal} says when: {@code first}, before the application is ready, in a start
 * that the launcher makes only for what the JVM keeps of it; or {@code later}, behind the back of whoever works already.
 */
@Component
@Order(2)
@ConditionalOnProperty(name = "famulus.rehearsal")
class Rehearsal implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(Rehearsal.class);
    private static final int TIMES = 12;
    /** With more people one time is enough. */
    private static final int ENOUGH_PEOPLE = 10_000;

    private final StressService stress;
    private final TeamService team;
    private final boolean first;

    Rehearsal(StressService stress, TeamService team, @Value("${famulus.rehearsal}") String when) {
        this.stress = stress;
        this.team = team;
        this.first = when.equals("first");
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (first) {
            rehearse();
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void later() {
        if (!first) {
            Thread.ofPlatform()
                    .daemon()
                    .priority(Thread.MIN_PRIORITY)
                    .name("rehearsal")
                    .start(() -> {
                        try {
                            rehearse();
                        } catch (RuntimeException failed) {
                            // Nobody waits for it. What is wrong shows where it is asked for.
                            LOG.debug("The rehearsal broke off", failed);
                        }
                    });
        }
    }

    private void rehearse() {
        List<Draft> drafts = DemoTemplates.all().stream()
                .filter(draft -> draft.about() == About.CONTACT)
                .toList();
        List<Colleague> colleagues = team.all();
        if (colleagues.isEmpty()) {
            return;
        }
        int read = 0;
        for (int time = 0; time < TIMES && read < ENOUGH_PEOPLE; time++) {
            for (Draft draft : drafts) {
                MessageSource source = new MessageSource(draft.subject(), draft.previewText(), draft.body());
                read += stress.choose(source, About.CONTACT, colleagues.getFirst(), any -> {})
                        .read();
                if (read >= ENOUGH_PEOPLE) {
                    break;
                }
            }
        }
    }
}
