package famulus.server.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.outbox.OutboxMapper.OutboxRow;
import famulus.server.outbox.OutboxService.OutboxPage;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class PageOfOutboxTest {
    private static OutboxRow row(UUID id, MessageState state) {
        Instant at = Instant.parse("2026-05-04T09:00:00Z");
        UUID who = new UUID(0, 9);
        return new OutboxRow(
                id,
                "Hello",
                "ines@x.example",
                "contact",
                who,
                "Signe",
                state,
                1,
                null,
                "",
                at,
                at,
                false,
                who,
                who,
                null,
                null,
                0);
    }

    /** It was read as waiting, and had left when what has left was read. */
    @Test
    void aMessageThatLeavesMeanwhileIsThereOnceAsItIsByNow() {
        UUID leaving = new UUID(0, 1);
        UUID waits = new UUID(0, 2);
        OutboxPage page = OutboxPage.of(
                List.of(row(leaving, MessageState.WAITING), row(waits, MessageState.WAITING)),
                List.of(row(leaving, MessageState.SENT), row(new UUID(0, 3), MessageState.SENT)),
                1);
        assertThat(page.open().stream().map(OutboxRow::id)).containsExactly(waits);
        assertThat(page.settled().stream().map(OutboxRow::id)).containsExactly(leaving);
        assertThat(page.more()).isTrue();
    }
}
