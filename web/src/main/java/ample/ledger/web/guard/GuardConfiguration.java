package ample.ledger.web.guard;

import jakarta.servlet.Filter;
import java.util.HashSet;
import java.util.Set;
import org.apache.catalina.core.StandardHost;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.firewall.StrictHttpFirewall;

/** Puts what guards the pages before them, in order: what costs least to judge comes first. */
@Configuration(proxyBeanMethods = false)
@ConditionalOnWebApplication
class GuardConfiguration {

    /** Before sessions are looked up, which is at 50. */
    private static final int FIRST = Ordered.HIGHEST_PRECEDENCE + 20;

    /** How many bytes of a body are taken from who sends it before anything is decided about it. */
    private static final int UNREAD = 1 << 17;

    @Bean
    FilterRegistrationBean<Filter> headersFirst(FormsLeadTo forms) {
        return first(new HeadersFirst(forms), -1);
    }

    @Bean
    FilterRegistrationBean<Filter> ownPagesOnly() {
        return first(new OwnPagesOnly(), 0);
    }

    @Bean
    FilterRegistrationBean<Filter> fairShare(GuardSettings settings) {
        return first(new FairShare(settings.atOnce(), settings.waiting()), 1);
    }

    @Bean
    FilterRegistrationBean<Filter> bodySize(Limits limits) {
        return first(new BodySize(limits), 2);
    }

    @Bean
    FilterRegistrationBean<Filter> plainTextOnly() {
        return first(new PlainTextOnly(), 3);
    }

    private static FilterRegistrationBean<Filter> first(Filter filter, int place) {
        FilterRegistrationBean<Filter> registration = new FilterRegistrationBean<>(filter);
        registration.setOrder(FIRST + place);
        return registration;
    }

    @Bean
    HttpFirewall firewall(GuardSettings settings) {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        Set<String> hosts = new HashSet<>(settings.hosts());
        if (!hosts.isEmpty()) {
            firewall.setAllowedHostnames(hosts::contains);
        }
        return firewall;
    }

    /** Not by way of the usual page, whose request would be refused in the same way. */
    @Bean
    RequestRejectedHandler refused() {
        return (request, response, why) -> BarePage.write(response, 400);
    }

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> tomcatGuard(GuardSettings settings) {
        return factory -> {
            // Around everything, so that pages of troubles are written before the connection is left.
            factory.addEngineValves(new SlowBodies(settings.bodies(), settings.bodyTime()));
            factory.addConnectorCustomizers(
                    connector -> connector.setProperty("socket.rxBufSize", Integer.toString(UNREAD)));
            factory.addContextCustomizers(context -> {
                if (context.getParent() instanceof StandardHost host) {
                    host.setErrorReportValveClass(TomcatErrors.class.getName());
                }
            });
        };
    }
}
