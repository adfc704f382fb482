package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

/** What is read often is read again when, and only when, somebody has changed it. */
class RevisionsTest {
    private final Revisions.RevisionMapper mapper = mock(Revisions.RevisionMapper.class);
    private final Revisions revisions = new Revisions(mapper);

    @SuppressWarnings("unchecked")
    private final Supplier<String> reading = mock(Supplier.class);

    @Test
    void readsOnceUntilTheCountMovesOn() {
        when(mapper.number("holidays")).thenReturn(1, 1, 2);
        when(reading.get()).thenReturn("before", "after");
        Supplier<String> kept = revisions.keep("holidays", reading);

        assertThat(kept.get()).isEqualTo("before");
        assertThat(kept.get()).isEqualTo("before");
        assertThat(kept.get()).isEqualTo("after");
        verify(reading, times(2)).get();
    }

    @Test
    void whatCouldNotBeReadIsReadAgain() {
        when(mapper.number("holidays")).thenReturn(1);
        when(reading.get()).thenThrow(new IllegalStateException("no line")).thenReturn("there");
        Supplier<String> kept = revisions.keep("holidays", reading);

        org.assertj.core.api.Assertions.assertThatThrownBy(kept::get).hasMessage("no line");
        assertThat(kept.get()).isEqualTo("there");
    }

    @Test
    void aChangeMovesItsOwnCountOnly() {
        revisions.changed("salutations");

        verify(mapper).next("salutations");
        verify(mapper, times(0)).next("holidays");
    }
}
