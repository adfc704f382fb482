package famulus.server.contents;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

class WireSourcesTest extends ServerTest {
    @Autowired
    private WireSources sources;

    private static byte[] some(int seed, int length) {
        byte[] bytes = new byte[length];
        new Random(seed).nextBytes(bytes);
        return bytes;
    }

    private static String encoded(byte[] bytes, int width) {
        return Base64.getMimeEncoder(width, "\r\n".getBytes(StandardCharsets.US_ASCII))
                .encodeToString(bytes);
    }

    private static byte[] message(String words, String... parts) {
        StringBuilder message =
                new StringBuilder("From: a@b.example\r\nContent-Type: multipart/mixed; boundary=\"x\"\r\n\r\n");
        message.append("--x\r\nContent-Type: text/plain\r\n\r\n").append(words).append("\r\n");
        for (String part : parts) {
            message.append("--x\r\nContent-Type: image/png\r\nContent-Transfer-Encoding: base64\r\n\r\n")
                    .append(part)
                    .append("\r\n");
        }
        return message.append("--x--\r\n").toString().getBytes(StandardCharsets.UTF_8);
    }

    private byte[] keptAndRead(byte[] source) {
        UUID id = UUID.randomUUID();
        sources.keep(id, source);
        return sources.read(id).orElseThrow();
    }

    private int contents() {
        return sql.queryForObject("select count(*) from content", Integer.class);
    }

    @BeforeEach
    void nothingIsKept() {
        assertThat(contents()).isZero();
    }

    @Test
    void aMessageComesBackToTheByte() {
        byte[] source = message("Zoë", encoded(some(1, 5_000), 76), encoded(some(2, 70_001), 76));

        assertThat(keptAndRead(source)).isEqualTo(source);
        assertThat(contents()).isEqualTo(2);
    }

    @Test
    void theSameFileInManyMessagesIsKeptOnce() {
        String file = encoded(some(3, 1_000_000), 76);
        for (int i = 0; i < 50; i++) {
            byte[] source = message("Message " + i, file);
            assertThat(keptAndRead(source)).isEqualTo(source);
        }

        assertThat(contents()).isEqualTo(1);
        assertThat(sql.queryForObject("select sum(octet_length(packed)) from kept_source", Long.class))
                .isLessThan(50 * 400L);
    }

    /** 25 MB of files are about 34 MB on the wire. */
    @Test
    void filesOfTwentyFiveMegabytesAreKept() {
        byte[] source = message("Large", encoded(some(4, 25_000_000), 76));

        assertThat(keptAndRead(source)).isEqualTo(source);
    }

    /** Written with other lines than ours, damaged, or short: it stays within the message. */
    @ParameterizedTest
    @ValueSource(ints = {60, 72, 80})
    void whatCannotBeWrittenTheSameAgainStaysAsItIs(int width) {
        byte[] source = message("Odd", encoded(some(5, 9_000), width), "not base64 at all! ".repeat(300), "AAAA");

        assertThat(keptAndRead(source)).isEqualTo(source);
        assertThat(contents()).isZero();
    }

    @Test
    void anythingComesBackToTheByte() {
        Random random = new Random(11);
        String[] bits = {
            "\r\n\r\n",
            "\r\n--x",
            "Content-Transfer-Encoding: base64\r\n",
            "content-transfer-encoding: BASE64",
            "\n",
            "--",
            encoded(some(6, 3_000), 76),
            encoded(some(7, 2_049), 76),
            "=",
            "",
            "x"
        };
        for (int i = 0; i < 400; i++) {
            StringBuilder source = new StringBuilder();
            for (int bit = random.nextInt(14); bit >= 0; bit--) {
                source.append(bits[random.nextInt(bits.length)]);
            }
            byte[] bytes = source.toString().getBytes(StandardCharsets.UTF_8);
            assertThat(keptAndRead(bytes)).as(source.toString()).isEqualTo(bytes);
        }
    }
}
