package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.thread.Threading;
import org.springframework.core.env.Environment;

/** Requests can't wait for each other's carriers. */
class RequestThreadsTest extends ServerTest {
    @Autowired
    private Environment environment;

    /** Threads that load classes while they are virtual stopped the application for good, see docs/decisions/010. */
    @Test
    void requestsRunInThreadsOfTheSystem() {
        assertThat(Threading.PLATFORM.isActive(environment)).isTrue();
    }
}
