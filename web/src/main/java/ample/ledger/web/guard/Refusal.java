package ample.ledger.web.guard;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Objects;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;

/**
 * Why a request goes no further, for the page of a trouble to say.
 *
 * @param title what happened, in one sentence
 * @param explanation what was kept and what to do
 */
public record Refusal(String title, String explanation) {

    private static final String ATTRIBUTE = Refusal.class.getName();

    private static final Refusal AWAY = new Refusal(
            "Your plans cannot be loaded right now.",
            "Nothing of yours was lost, and what you just did was not done. Try again in a moment.");

    /** Why this request was refused; empty where it was not, or where nothing more is known. */
    public static Optional<Refusal> of(HttpServletRequest request) {
        return request.getAttribute(ATTRIBUTE) instanceof Refusal refusal ? Optional.of(refusal) : Optional.empty();
    }

    /** Ends the request with the page of a trouble. */
    public void send(HttpServletRequest request, HttpServletResponse response, HttpStatus status) throws IOException {
        request.setAttribute(ATTRIBUTE, this);
        response.sendError(status.value());
    }

    /** Ends the request with the page that costs least, for who may well ask again at once. */
    public void sendBare(HttpServletResponse response, HttpStatus status) throws IOException {
        BarePage.write(response, status.value(), this);
    }

    /** The same for who asks too much. */
    public static void sendBare(HttpServletResponse response, TooManyException tooMany) throws IOException {
        response.setHeader(HttpHeaders.RETRY_AFTER, Long.toString(tooMany.seconds()));
        of(tooMany).sendBare(response, HttpStatus.TOO_MANY_REQUESTS);
    }

    /** Ends the request with the page of a trouble, as the database is away. */
    public static void sendAway(HttpServletRequest request, HttpServletResponse response) throws IOException {
        response.setHeader(HttpHeaders.RETRY_AFTER, "5");
        AWAY.send(request, response, HttpStatus.SERVICE_UNAVAILABLE);
    }

    /** Ends the request with the page of a trouble for who asks too much. */
    public static void send(HttpServletRequest request, HttpServletResponse response, TooManyException tooMany)
            throws IOException {
        response.setHeader(HttpHeaders.RETRY_AFTER, Long.toString(tooMany.seconds()));
        of(tooMany).send(request, response, HttpStatus.TOO_MANY_REQUESTS);
    }

    /** What is said to who asks too much. */
    public static Refusal of(TooManyException tooMany) {
        return new Refusal(
                Objects.requireNonNull(tooMany.getMessage()),
                "Nothing was changed. Try again in %s."
                        .formatted(tooMany.seconds() == 1 ? "a second" : tooMany.seconds() + " seconds"));
    }
}
