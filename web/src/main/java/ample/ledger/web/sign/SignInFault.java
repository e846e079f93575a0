package ample.ledger.web.sign;

import ample.ledger.core.schedule.Coded;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.security.oauth2.core.OAuth2AuthenticationException;
import org.springframework.web.client.HttpServerErrorException;
import org.springframework.web.client.ResourceAccessException;

/** Why signing in did not succeed. */
enum SignInFault implements Coded {
    AWAY("The institution’s sign-on does not answer right now. You can browse and plan without it."),
    NOT_BEGUN(
            "This sign-in was not begun in this window, was not ended within ten minutes, or was ended before. Begin it again."),
    REFUSED("The institution’s sign-on has not let you in."),
    NOT_TRUSTED(
            "What the sign-on answered cannot be trusted: it is out of date, or comes from another sign-on. Begin again. If it stays so, tell the registrar’s desk."),
    NOBODY(
            "The sign-on knows you, and does not say that you are a student, an adviser or at the registrar’s desk. Tell the desk.");

    private final String sentence;

    SignInFault(String sentence) {
        this.sentence = sentence;
    }

    String sentence() {
        return sentence;
    }

    /** What it means to a person that a sign-in was refused. */
    static SignInFault of(OAuth2AuthenticationException refused) {
        for (Throwable cause = refused; cause != null; cause = cause.getCause()) {
            // Whatever was made of it on the way: the provider did not answer, or with a fault of its own.
            if (cause instanceof ResourceAccessException || cause instanceof HttpServerErrorException) {
                return AWAY;
            }
        }
        return switch (refused.getError().getErrorCode()) {
            case "authorization_request_not_found", "invalid_state_parameter", "invalid_grant" -> NOT_BEGUN;
            case "access_denied" -> REFUSED;
            case Roles.NO_ROLE -> NOBODY;
            case "temporarily_unavailable", "server_error" -> AWAY;
            default -> NOT_TRUSTED;
        };
    }

    static Optional<SignInFault> byCode(String code) {
        return Arrays.stream(values()).filter(one -> one.code().equals(code)).findFirst();
    }
}
