package ample.ledger.web.sign;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.Pattern;
import java.net.URI;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.hibernate.validator.constraints.time.DurationMin;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * By whom people are signed in, as what, and for how long.
 *
 * @param issuer the address of the OpenID provider, as its tokens name it; empty where nobody can sign in
 * @param clientId as the provider knows this application
 * @param clientSecret which the provider has given it
 * @param scopes that are asked for; {@code openid} among them
 * @param nameClaim the claim that names an account for good, by which the registrar knows it too
 * @param rolesClaim the claim that says what somebody is: one word or a list of words
 * @param student the word for a student
 * @param adviser the word for an adviser
 * @param desk the word for the registrar's desk
 * @param studentIdle after which a student or adviser who does nothing is signed out
 * @param studentLongest after which a student or adviser is signed out whatever they do: OWASP ASVS 4, 3.3.2
 * @param deskIdle the same of the desk
 * @param deskLongest the same of the desk
 */
@ConfigurationProperties("ledger.sign-in")
@Validated
record SignInSettings(
        @Pattern(regexp = "|https?://.+", message = "an address begins with https:// or http://") @DefaultValue("")
        String issuer,

        @NotBlank @DefaultValue("ample-ledger") String clientId,
        @DefaultValue("") String clientSecret,
        @NotEmpty @DefaultValue("openid") List<String> scopes,
        @NotBlank @DefaultValue("sub") String nameClaim,
        @NotBlank @DefaultValue("roles") String rolesClaim,
        @DefaultValue("student") String student,
        @DefaultValue("adviser") String adviser,
        @DefaultValue("desk") String desk,
        @DurationMin(minutes = 1) @DefaultValue("8h") Duration studentIdle,
        @DurationMin(minutes = 1) @DefaultValue("12h") Duration studentLongest,
        @DurationMin(minutes = 1) @DefaultValue("30m") Duration deskIdle,
        @DurationMin(minutes = 1) @DefaultValue("8h") Duration deskLongest) {

    boolean open() {
        return !issuer.isBlank();
    }

    /** Scheme, host and port of the provider; empty where there is none. */
    Optional<String> origin() {
        return open()
                ? Optional.of(URI.create(issuer).resolve("/").toString().replaceFirst("/$", ""))
                : Optional.empty();
    }
}
