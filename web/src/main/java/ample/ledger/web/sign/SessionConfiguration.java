package ample.ledger.web.sign;

import ample.ledger.web.database.Lookups;
import ample.ledger.web.guard.Cookies;
import jakarta.servlet.http.HttpServletRequest;
import java.time.InstantSource;
import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.core.convert.ConversionService;
import org.springframework.core.convert.support.GenericConversionService;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/** How sessions of those who have signed in are kept, so that any instance of the application knows them. */
@Configuration(proxyBeanMethods = false)
@ConditionalOnWebApplication
@EnableJdbcHttpSession
class SessionConfiguration {

    private static final String COOKIE = "ledger";

    /** Two requests that change one session at once do not fail each other: what is there already is written over. */
    @Bean
    static SessionRepositoryCustomizer<JdbcIndexedSessionRepository> attributesAreWrittenOver() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }

    @Bean
    @SuppressWarnings("NullAway") // What cannot be read is none; Spring does not say that a converter may say so.
    static ConversionService springSessionConversionService() {
        GenericConversionService conversion = new GenericConversionService();
        conversion.addConverter(Object.class, byte[].class, SessionJson::write);
        conversion.addConverter(byte[].class, Object.class, SessionJson::read);
        return conversion;
    }

    @Bean
    @Primary
    SessionRepository<Session> signedInSessions(JdbcIndexedSessionRepository stored, Lookups lookups) {
        return SignedInSessions.of(stored, lookups, InstantSource.system());
    }

    /** One cookie for each way of being served: {@link Cookies} says why. */
    @Bean
    CookieSerializer sessionCookie() {
        return new CookieSerializer() {

            private final CookieSerializer plain = named(COOKIE, false);
            private final CookieSerializer overTls = named("__Host-" + COOKIE, true);

            @Override
            public void writeCookieValue(CookieValue value) {
                of(value.getRequest().isSecure()).writeCookieValue(value);
            }

            @Override
            public List<String> readCookieValues(HttpServletRequest request) {
                return of(request.isSecure()).readCookieValues(request);
            }

            private CookieSerializer of(boolean secure) {
                return secure ? overTls : plain;
            }
        };
    }

    private static CookieSerializer named(String name, boolean secure) {
        DefaultCookieSerializer serializer = new DefaultCookieSerializer();
        serializer.setCookieName(name);
        serializer.setUseSecureCookie(secure);
        serializer.setUseHttpOnlyCookie(true);
        serializer.setSameSite("Lax");
        serializer.setCookiePath("/");
        return serializer;
    }
}
