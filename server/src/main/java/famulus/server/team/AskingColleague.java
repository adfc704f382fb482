package famulus.server.team;

import famulus.server.platform.Refusal;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.core.MethodParameter;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;

/** Gives controllers whoever asks, read from the database for each request. */
@Component
class AskingColleague implements HandlerMethodArgumentResolver {
    static {
        SpringDocUtils.getConfig().addRequestWrapperToIgnore(Colleague.class);
    }

    private final TeamMapper mapper;

    AskingColleague(TeamMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Colleague.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication != null && authentication.getPrincipal() instanceof SignedIn signedIn) {
            return mapper.bySession(signedIn)
                    .filter(Colleague::active)
                    .orElseThrow(() -> Refusal.unknownPerson("Your session has ended. Sign in again."));
        }
        throw Refusal.unknownPerson("Sign in first.");
    }
}
