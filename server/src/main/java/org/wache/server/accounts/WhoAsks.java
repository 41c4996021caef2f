package org.wache.server.accounts;

import java.security.Principal;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.wache.server.web.Missing;

/** The account behind a request: an endpoint that takes an {@link Account} receives the one that asks. */
@Configuration
class WhoAsks implements WebMvcConfigurer, HandlerMethodArgumentResolver {

    private final AccountStore accounts;

    WhoAsks(AccountStore accounts) {
        this.accounts = accounts;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Account.class;
    }

    /** The account; the security chain has let only signed-in ones through. */
    @Override
    public Account resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
        Principal principal = request.getUserPrincipal();
        if (principal == null) {
            throw new Missing("The account");
        }
        return accounts.account(principal.getName()).orElseThrow(() -> new Missing("The account"));
    }
}
