package famulus.server.team;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/** Begins sessions. */
@Component
class Sessions {
    private final TeamMapper mapper;
    private final SecurityContextRepository contexts;

    Sessions(TeamMapper mapper, SecurityContextRepository contexts) {
        this.mapper = mapper;
        this.contexts = contexts;
    }

    /** Begins one for somebody who has shown who they are, or goes on with theirs after a new password. */
    Colleague open(Colleague colleague, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            // A session from before signing in could have been planted.
            request.changeSessionId();
        }
        SignedIn signedIn =
                new SignedIn(colleague.id(), mapper.access(colleague.id()).orElse(0));
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(signedIn, null, List.of()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return colleague;
    }
}
