package famulus.server.mailings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import famulus.server.mailings.MailingPlan.What;
import famulus.server.mailings.MailingWords.Wordings;
import famulus.server.platform.Revisions;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Somebody whose turn it is does not depend on those who are read with them. */
class MailingReadAheadTest {
    private static final Instant NOW = Instant.parse("2026-05-04T09:00:00Z");

    private final MailingPersonMapper people = mock(MailingPersonMapper.class);
    private final MailingService service = mock(MailingService.class);
    private final MailingMessages messages = mock(MailingMessages.class);
    private final MailingWords words = mock(MailingWords.class);
    private final Wordings said = mock(Wordings.class);
    private final MailingPortions portions = new MailingPortions(
            people, service, messages, words, mock(Revisions.class), Clock.fixed(NOW, ZoneOffset.UTC));

    @AfterEach
    void stop() {
        portions.stop();
    }

    private Mailing mailing() {
        Mailing mailing = mock(Mailing.class);
        MailingPlan plan = mock(MailingPlan.class);
        when(plan.what()).thenReturn(mock(What.class));
        when(mailing.id()).thenReturn(new UUID(0, 1));
        when(mailing.plan()).thenReturn(plan);
        when(mailing.startedAt()).thenReturn(NOW);
        when(mailing.started()).thenReturn("as tested");
        return mailing;
    }

    private static MailingPerson person(long number) {
        MailingPerson person = mock(MailingPerson.class);
        when(person.chosenId()).thenReturn(new UUID(1, number));
        return person;
    }

    @Test
    void whatIsWrongWithOneOfThemKeepsNobodyElse() {
        MailingPerson first = person(1);
        MailingPerson broken = person(2);
        when(people.next(any(), any(), anyInt())).thenReturn(List.of(first, broken));
        when(service.started(any())).thenReturn(said);
        when(words.digest(any(), any())).thenReturn("as tested");
        when(messages.read(any(), any(), any(), any())).thenThrow(new IllegalStateException("a broken row"));

        MailingPortions.Turn turn = portions.of(mailing(), first, mock(Colleague.class));

        assertThat(turn.asTested()).isTrue();
        assertThat(turn.said()).isSameAs(said);
        // They are read by themselves then.
        assertThat(turn.read()).isEmpty();
    }
}
