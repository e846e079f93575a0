package ample.ledger.web.watch;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * Letters; the mail server is named by {@code spring.mail}. Without one none are sent.
 *
 * @param from whom they come from, as mail addresses are written
 * @param root where readers reach this application, without a slash at the end
 */
@ConfigurationProperties("ledger.letters")
@Validated
record LetterSettings(
        @NotBlank @DefaultValue("Ample Ledger <ledger@ledger.example>")
        String from,

        @Pattern(
                regexp = "https?://.*[^/]",
                message = "an address begins with https:// or http://, and does not end with a slash")
        @DefaultValue("http://127.0.0.1:8080")
        String root) {}
