package ample.ledger.web;

import java.util.Set;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.http.server.PathContainer;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.pattern.PathPatternParser;

/** Does not let the application start with a page that nobody has decided who may see: it would be answered with a puzzling 404. */
@Component
@ConditionalOnWebApplication
class RoutesListed implements SmartInitializingSingleton {

    /** Only what has gone wrong is sent on to it. */
    private static final String ERROR = "/error";

    private final RequestMappingHandlerMapping routes;

    RoutesListed(@Qualifier("requestMappingHandlerMapping") RequestMappingHandlerMapping routes) {
        this.routes = routes;
    }

    @Override
    public void afterSingletonsInstantiated() {
        routes.getHandlerMethods().forEach((route, method) -> {
            for (String pattern : route.getPatternValues()) {
                if (!pattern.equals(ERROR) && !isListed(route, pattern)) {
                    throw new IllegalStateException(
                            ("%s answers %s, but SecurityConfiguration does not say who may see it:"
                                            + " add it to what is public, to what guests may send, or to the desk's")
                                    .formatted(method.getMethod(), pattern));
                }
            }
        });
    }

    private static boolean isListed(RequestMappingInfo route, String pattern) {
        PathContainer path = PathContainer.parsePath(pattern.replaceAll("\\{[^}]+}", "x"));
        Set<RequestMethod> methods = route.getMethodsCondition().getMethods();
        return SecurityConfiguration.listed(methods.contains(RequestMethod.POST)).stream()
                .anyMatch(listed ->
                        PathPatternParser.defaultInstance.parse(listed).matches(path));
    }
}
