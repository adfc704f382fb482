package famulus.server.team;

import famulus.server.platform.FamulusProperties;
import famulus.server.platform.Refusal;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
class SessionController {
    private final TeamService team;
    private final SignInService signIn;
    private final Sessions sessions;
    private final FamulusProperties properties;
    private final Clock clock;

    SessionController(
            TeamService team, SignInService signIn, Sessions sessions, FamulusProperties properties, Clock clock) {
        this.team = team;
        this.signIn = signIn;
        this.sessions = sessions;
        this.properties = properties;
        this.clock = clock;
    }

    /**
     * Where a visit begins.
     *
     * @param who who is signed in; null when nobody is
     * @param firstRun whether the administrator is still to be made
     * @param at the server's time, which counts for everything shown
     * @param demo whether this is the demo, where one click signs in as one of {@code people}
     */
    record Session(
            @Schema(nullable = true) Colleague who,
            boolean firstRun,
            boolean demo,
            String houseName,
            List<DemoPerson> people,
            Instant at) {}

    record DemoPerson(UUID id, String name, String jobTitle, Role role) {}

    record Credentials(String email, String password) {}

    record DemoSignIn(UUID id) {}

    record FirstRun(
            String houseName,
            String country,
            String timeZone,
            String currency,
            String firstName,
            String lastName,
            String email,
            String password) {}

    @GetMapping("/api/session")
    Session session() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        Colleague who = null;
        if (authentication != null && authentication.getPrincipal() instanceof SignedIn signedIn) {
            who = team.signedIn(signedIn).orElse(null);
        }
        boolean firstRun = team.firstRun();
        List<DemoPerson> people = !properties.demo() || firstRun
                ? List.of()
                : team.all().stream()
                        .filter(Colleague::active)
                        .map(one -> new DemoPerson(one.id(), one.name(), one.jobTitle(), one.role()))
                        .toList();
        return new Session(
                who, firstRun, properties.demo(), firstRun ? "" : team.house().name(), people, clock.instant());
    }

    @PostMapping("/api/session")
    Colleague signIn(@RequestBody Credentials credentials, HttpServletRequest request, HttpServletResponse response) {
        if (credentials.email() == null || credentials.password() == null) {
            throw Refusal.field("email", "Write your address and password.");
        }
        return sessions.open(
                signIn.signIn(credentials.email(), credentials.password(), request.getRemoteAddr()), request, response);
    }

    /** One click in the demo; refused anywhere else. */
    @PostMapping("/api/session/demo")
    Colleague signInToDemo(@RequestBody DemoSignIn who, HttpServletRequest request, HttpServletResponse response) {
        if (!properties.demo()) {
            throw Refusal.forbidden("Only the demo lets you in without a password.");
        }
        Colleague colleague =
                team.find(who.id()).filter(Colleague::active).orElseThrow(() -> Refusal.missing("This colleague"));
        return sessions.open(colleague, request, response);
    }

    @PostMapping("/api/first-run")
    Colleague firstRun(@RequestBody FirstRun first, HttpServletRequest request, HttpServletResponse response) {
        String domain = first.email().substring(first.email().indexOf('@') + 1);
        House house = FirstHouse.of(first.houseName(), domain, first.country(), first.timeZone(), first.currency());
        Colleague administrator = new Colleague(
                null, first.email(), first.firstName(), first.lastName(), Role.ADMINISTRATOR, "", "", "", true);
        return sessions.open(team.setUp(house, administrator, first.password()), request, response);
    }

    @DeleteMapping("/api/session")
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }
}
