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

    private final Asking asking;

    AskingColleague(Asking asking) {
        this.asking = asking;
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
        boolean signedIn = authentication != null && authentication.getPrincipal() instanceof SignedIn;
        return asking.now()
                .orElseThrow(() ->
                        Refusal.unknownPerson(signedIn ? "Your session has ended. Sign in again." : "Sign in first."));
    }
}
