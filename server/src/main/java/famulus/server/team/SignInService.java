package famulus.server.team;

import famulus.server.platform.Refusal;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** Tells who somebody is, by address and password, slowly for those who guess. */
@Service
class SignInService {
    private static final int ATTEMPTS = 5;
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

    /** Returns who signs in; refuses with the same sentence whether the address or the password is wrong. */
    Colleague signIn(String email, String password) {
        String address = TeamService.normal(email);
        if (address.length() > LONGEST_ADDRESS) {
            throw wrong();
        }
        if (mapper.failures(address, clock.instant().minus(WITHIN)) >= ATTEMPTS) {
            throw Refusal.tooOften("Too many attempts for this address. Try again in a quarter of an hour.");
        }
        Optional<Colleague> colleague = mapper.byEmail(address).filter(Colleague::active);
        String hash = colleague.map(who -> mapper.passwordHash(who.id())).orElse(nobody);
        if (!passwords.matches(password, hash) || colleague.isEmpty()) {
            mapper.failed(address, clock.instant());
            throw wrong();
        }
        mapper.forgetFailures(address);
        return colleague.get();
    }

    private static Refusal wrong() {
        return Refusal.unknownPerson("Address and password do not belong together.");
    }
}
