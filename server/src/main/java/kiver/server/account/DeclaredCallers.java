package kiver.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.security.authentication.AuthenticationTrustResolver;
import org.springframework.security.authentication.AuthenticationTrustResolverImpl;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.authorization.AuthorizationResult;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerExecutionChain;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.ServletRequestPathUtils;

/** Lets through whom the operation that a request is for is open to, whatever the method it was asked with. */
@Component
class DeclaredCallers implements AuthorizationManager<RequestAuthorizationContext> {

    private final ObjectProvider<RequestMappingHandlerMapping> operations;
    private final AuthenticationTrustResolver trust = new AuthenticationTrustResolverImpl();

    DeclaredCallers(ObjectProvider<RequestMappingHandlerMapping> operations) {
        this.operations = operations;
    }

    @Override
    public AuthorizationResult authorize(
            Supplier<? extends @Nullable Authentication> caller, RequestAuthorizationContext context) {
        return new AuthorizationDecision(isOpen(callers(context.getRequest()), caller.get()));
    }

    private boolean isOpen(OpenTo.Callers callers, @Nullable Authentication caller) {
        boolean signedIn = trust.isAuthenticated(caller);
        return switch (callers) {
            case ANYBODY -> true;
            case WHOEVER_IS_SIGNED_IN -> signedIn;
            case THE_NURSERY -> signedIn && (is(caller, Role.PROPAGATOR) || is(caller, Role.BENCH_HAND));
            case PROPAGATOR -> signedIn && is(caller, Role.PROPAGATOR);
        };
    }

    private static boolean is(@Nullable Authentication caller, Role role) {
        return caller != null
                && caller.getAuthorities().stream().anyMatch(each -> ("ROLE_" + role).equals(each.getAuthority()));
    }

    /** Where there is no such operation the nursery's own people are told so, and nobody else learns anything. */
    private OpenTo.Callers callers(HttpServletRequest request) {
        return operation(request)
                .map(operation -> {
                    OpenTo said = operation.getMethodAnnotation(OpenTo.class);
                    return said == null ? OpenTo.Callers.PROPAGATOR : said.value();
                })
                .orElse(OpenTo.Callers.THE_NURSERY);
    }

    private Optional<HandlerMethod> operation(HttpServletRequest request) {
        if (!ServletRequestPathUtils.hasParsedRequestPath(request)) {
            ServletRequestPathUtils.parseAndCache(request);
        }
        for (RequestMappingHandlerMapping mapping : operations) {
            try {
                HandlerExecutionChain found = mapping.getHandler(request);
                if (found != null && found.getHandler() instanceof HandlerMethod operation) {
                    return Optional.of(operation);
                }
            } catch (Exception notTaken) {
                // Asked in a form that the operation does not take, which it may be told who may call it.
                return mapping.getHandlerMethods().entrySet().stream()
                        .filter(each -> isMeant(each.getKey(), request))
                        .map(Map.Entry::getValue)
                        .findFirst();
            }
        }
        return Optional.empty();
    }

    private static boolean isMeant(RequestMappingInfo operation, HttpServletRequest request) {
        return operation.getPathPatternsCondition() != null
                && operation.getPathPatternsCondition().getMatchingCondition(request) != null
                && operation.getMethodsCondition().getMatchingCondition(request) != null;
    }
}
