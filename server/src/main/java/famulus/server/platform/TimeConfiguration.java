package famulus.server.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock every instant comes from. */
@Configuration
class TimeConfiguration {
    /** Starts from the instant asked for and runs on from there; without one, the machine's own. */
    @Bean
    Clock clock(FamulusProperties properties) {
        Clock machine = Clock.systemUTC();
        if (properties.now() == null) {
            return machine;
        }
        return Clock.offset(machine, Duration.between(Instant.now(machine), properties.now()));
    }
}
