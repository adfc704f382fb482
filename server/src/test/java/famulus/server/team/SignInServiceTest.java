package famulus.server.team;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import famulus.server.platform.Refusal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.mockito.junit.jupiter.MockitoSettings;
import org.mockito.quality.Strictness;
import org.springframework.security.crypto.password.PasswordEncoder;

/** What is asked, and not asked, when somebody signs in. */
@ExtendWith(MockitoExtension.class)
@MockitoSettings(strictness = Strictness.LENIENT)
class SignInServiceTest {
    private static final Instant NOW = Instant.parse("2026-05-04T09:00:00Z");
    private static final String SOURCE = "192.0.2.7";
    private static final String ADDRESS = "signe@brindlewing.example";

    @Mock
    private TeamMapper mapper;

    @Mock
    private PasswordEncoder passwords;

    private SignInService signIn;

    private static Colleague signe(boolean active) {
        return new Colleague(new UUID(1, 1), ADDRESS, "Signe", "Halloran", Role.AGENT, "", "", "", active);
    }

    @BeforeEach
    void makeService() {
        signIn = new SignInService(mapper, passwords, Clock.fixed(NOW, ZoneOffset.UTC));
        when(mapper.byEmail(ADDRESS)).thenReturn(Optional.of(signe(true)));
        when(mapper.passwordHash(new UUID(1, 1))).thenReturn("hash");
        when(passwords.matches("right", "hash")).thenReturn(true);
    }

    @Test
    void theRightPasswordLetsInAndForgetsWhatFailedBefore() {
        assertThat(signIn.signIn(" Signe@Brindlewing.EXAMPLE ", "right", SOURCE))
                .isEqualTo(signe(true));

        verify(mapper).forgetFailures(ADDRESS);
        verify(mapper, never()).failed(anyString(), anyString(), any());
    }

    @Test
    void aWrongPasswordIsCounted() {
        assertThatThrownBy(() -> signIn.signIn(ADDRESS, "wrong", SOURCE)).isInstanceOf(Refusal.class);

        verify(mapper).failed(ADDRESS, SOURCE, NOW);
        verify(mapper, never()).forgetFailures(anyString());
    }

    @Test
    void anUnknownAddressTakesAsLongAndSaysTheSame() {
        when(mapper.byEmail("nobody@brindlewing.example")).thenReturn(Optional.empty());

        assertThatThrownBy(() -> signIn.signIn("nobody@brindlewing.example", "right", SOURCE))
                .hasMessage("The address or the password is wrong.");

        verify(passwords).matches(eq("right"), anyString());
    }

    @Test
    void whoeverHasLeftIsNotLetIn() {
        when(mapper.byEmail(ADDRESS)).thenReturn(Optional.of(signe(false)));

        assertThatThrownBy(() -> signIn.signIn(ADDRESS, "right", SOURCE)).isInstanceOf(Refusal.class);
    }

    @Test
    void tooManyAttemptsAreNotEvenLookedAt() {
        when(mapper.failures(ADDRESS, NOW.minus(Duration.ofMinutes(15)))).thenReturn(5);

        assertThatThrownBy(() -> signIn.signIn(ADDRESS, "right", SOURCE)).hasMessageContaining("Too many attempts");

        verify(passwords, never()).matches(anyString(), anyString());
    }

    @Test
    void whoTriesManyAddressesFromOnePlaceIsSlowedDown() {
        when(mapper.failuresFrom(SOURCE, NOW.minus(Duration.ofMinutes(15)))).thenReturn(40);

        assertThatThrownBy(() -> signIn.signIn(ADDRESS, "right", SOURCE)).hasMessageContaining("from where you are");

        verify(passwords, never()).matches(anyString(), anyString());
    }
}
