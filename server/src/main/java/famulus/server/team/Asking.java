package famulus.server.team;

import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Whoever asks now, read from the database. */
@Component
public class Asking {
    private final TeamMapper mapper;

    Asking(TeamMapper mapper) {
        this.mapper = mapper;
    }

    /** The colleague whose request is being answered; empty where nobody is signed in, or their session has ended. */
    public Optional<Colleague> now() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof SignedIn signedIn
                ? mapper.bySession(signedIn).filter(Colleague::active)
                : Optional.empty();
    }
}
