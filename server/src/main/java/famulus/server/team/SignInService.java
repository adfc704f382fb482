package famulus.server.team;

import famulus.server.platform.Refusal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** Tells who somebody is, by address and password, slowly for those who guess. */
@Service
class SignInService {
    private static final int ATTEMPTS = 5;
    /** An office may sit behind one network address, so that many more are let try from there. */
    private static final int ATTEMPTS_FROM_ONE_SOURCE = 40;

    private static final int LONGEST_SOURCE = 45;
    private static final Duration WITHIN = Duration.ofMinutes(15);
    private static final int LONGEST_ADDRESS = 254;

    private final TeamMapper mapper;
    private final PasswordEncoder passwords;
    private final Clock clock;
    /** Compared with when nobody has the address, so that an answer takes as long either way. */
    private final String nobody;

    SignInService(TeamMapper mapper, PasswordEncoder passwords, Clock clock) {
        this.mapper = mapper;
        this.passwords = passwords;
        this.clock = clock;
        this.nobody = "$2a$10$7EqJtq98hPqEX7fNZaFWoOhi5c1D5E0cI6J8Qh0g0dG0i7r8l9v1K";
    }

    /**
     * Returns who signs in; refuses with the same sentence whether the address or the password is wrong.
     *
     * @param source the network address that it is asked from
     */
    Colleague signIn(String email, String password, String source) {
        String address = TeamService.normal(email);
        if (address.length() > LONGEST_ADDRESS) {
            throw wrong();
        }
        String from = source == null ? "" : source.substring(0, Math.min(source.length(), LONGEST_SOURCE));
        Instant since = clock.instant().minus(WITHIN);
        if (mapper.failuresFrom(from, since) >= ATTEMPTS_FROM_ONE_SOURCE) {
            throw Refusal.tooOften("Too many attempts from where you are. Try again in a quarter of an hour.");
        }
        if (mapper.failures(address, since) >= ATTEMPTS) {
            throw Refusal.tooOften("Too many attempts for this address. Try again in a quarter of an hour.");
        }
        Optional<Colleague> colleague = mapper.byEmail(address).filter(Colleague::active);
        String hash = colleague.map(who -> mapper.passwordHash(who.id())).orElse(nobody);
        if (!passwords.matches(password, hash) || colleague.isEmpty()) {
            mapper.forgetOldFailures(since);
            mapper.failed(address, from, clock.instant());
            throw wrong();
        }
        mapper.forgetFailures(address);
        return colleague.get();
    }

    private static Refusal wrong() {
        return Refusal.unknownPerson("The address or the password is wrong.");
    }
}
