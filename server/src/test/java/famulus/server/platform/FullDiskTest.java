package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.mockito.Mockito.doReturn;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import famulus.server.ServerTest;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;

/** While there is no room on the disk, nothing that changes something is begun; once there is, everything goes on. */
class FullDiskTest extends ServerTest {
    @MockitoSpyBean
    private DiskSpace disk;

    private Map<String, Object> message(UUID id, UUID person) {
        return Map.of(
                "id",
                id,
                "kind",
                "contact",
                "person",
                person,
                "words",
                words("Hives arrive soon", "Hives arrive soon"));
    }

    @Test
    void whatChangesSomethingIsRefusedInWordsThatNameTheDisk() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID id = UUID.randomUUID();
        doReturn(false).when(disk).hasRoom();

        mvc.perform(request("POST", "/api/messages", message(id, ines), signe))
                .andExpect(status().isInsufficientStorage());
        assertThat(done("POST", "/api/messages", message(id, ines), signe)
                        .get("detail")
                        .asString())
                .isEqualTo(
                        "The disk with the data of Famulus is full. Nothing was changed. Make room on it, then try again.");
        mvc.perform(request("GET", "/api/records/contact/" + ines, null, signe)).andExpect(status().isOk());
        assertThat(count()).isZero();

        doReturn(true).when(disk).hasRoom();
        done("POST", "/api/messages", message(id, ines), signe);
        assertThat(count()).isEqualTo(1);
    }

    /** A message is not handed over when what becomes of it could not be written down. */
    @Test
    void whatWaitsIsNotBegun() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID id = UUID.randomUUID();
        // The request finds room; who takes the message up finds none.
        doReturn(true).doReturn(false).when(disk).hasRoom();
        done("POST", "/api/messages", message(id, ines), signe);
        await().until(() -> sql.queryForObject(
                        "select count(*) from scheduled_tasks where execution_time > ?",
                        Integer.class,
                        java.time.OffsetDateTime.ofInstant(clock.instant(), java.time.ZoneOffset.UTC))
                == 1);
        assertThat(attempts(id)).isZero();

        doReturn(true).when(disk).hasRoom();
        clock.forward(Duration.ofMinutes(1));
        await().until(() -> attempts(id) == 1);
    }

    private int count() {
        return sql.queryForObject("select count(*) from outgoing_message", Integer.class);
    }

    private int attempts(UUID id) {
        return sql.queryForObject("select attempts from outgoing_message where id = ?", Integer.class, id);
    }

    @Test
    void aLittleRoomIsNone() {
        AtomicLong bytes = new AtomicLong(DiskSpace.LEAST_BYTES);
        DiskSpace small = new DiskSpace(bytes::get);
        assertThat(small.hasRoom()).isTrue();
        bytes.decrementAndGet();
        assertThat(small.hasRoom()).isFalse();
        assertThat(new DiskSpace(() -> {
                            throw new IOException("No such disk");
                        })
                        .hasRoom())
                .as("one that can't be asked")
                .isTrue();
    }
}
