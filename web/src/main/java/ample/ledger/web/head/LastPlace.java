package ample.ledger.web.head;

import ample.ledger.web.guard.Cookies;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.UnknownTermException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Remembers, in a cookie, the term or season that a visitor looked at last. */
@Component
class LastPlace implements HandlerInterceptor, WebMvcConfigurer {

    private static final String COOKIE = "ledger-place";
    private static final Duration KEPT = Duration.ofDays(400);
    private static final String SHOWN = LastPlace.class.getName();

    private final Places places;

    LastPlace(Places places) {
        this.places = places;
    }

    /** The place that the visitor was at last, while it is posted; otherwise the one that matters most now. Empty where nothing is posted. */
    Optional<Place> of(HttpServletRequest request) {
        return Cookies.read(request, COOKIE).flatMap(this::posted).or(places::usual);
    }

    private Optional<Place> posted(String path) {
        try {
            return Optional.of(places.at(path));
        } catch (UnknownTermException | IllegalArgumentException noPlace) {
            return Optional.empty();
        }
    }

    private String remembered(HttpServletRequest request) {
        return Cookies.read(request, COOKIE)
                .or(() -> places.usual().map(Place::path))
                .orElse("");
    }

    /** That the page answering {@code request} is about {@code place}. */
    static void shows(HttpServletRequest request, Place place) {
        request.setAttribute(SHOWN, place.path());
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    /** Before anything of the page is written. Who stays where everybody begins gets no cookie. */
    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView page) {
        if (request.getAttribute(SHOWN) instanceof String path && !path.equals(remembered(request))) {
            Cookies.write(request, response, COOKIE, path, KEPT);
        }
    }
}
