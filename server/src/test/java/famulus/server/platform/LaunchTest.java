package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.server.platform.Launch.Options;
import famulus.server.platform.Launch.Refused;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LaunchTest {
    @Test
    void readsWhatIsAskedFor() throws Refused {
        Options options = Options.read(
                new String[] {"demo", "--port", "8123", "--data", "/tmp/x", "--now", "2026-05-04T09:00Z", "--fresh"});

        assertThat(options.port()).isEqualTo(8123);
        assertThat(options.now()).isEqualTo(Instant.parse("2026-05-04T09:00:00Z"));
        assertThat(options.fresh()).isTrue();
        assertThat(options.springArguments()).contains("--famulus.demo=true", "--famulus.data=/tmp/x");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "serve              | Say “demo” or “run”",
                "demo --port        | needs a value",
                "demo --port eighty | is not a port",
                "demo --port 70000  | is not a port",
                "demo --now today   | is not a time",
                "demo --fast        | is not an option",
                "run --fresh        | goes with “demo” only",
                "run --now 2026-05-04T09:00Z | goes with “demo” only",
            })
    void saysInALineWhatIsWrong(String line, String sentence) {
        assertThatThrownBy(() -> Options.read(line.split(" ")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(sentence);
    }
}
