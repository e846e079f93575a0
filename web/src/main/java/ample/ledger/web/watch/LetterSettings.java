package ample.ledger.web.watch;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Letters; the mail server is named by {@code spring.mail}. Without one none are sent.
 *
 * @param from whom they come from, as mail addresses are written
 * @param root where readers reach this application, without a slash at the end
 */
@ConfigurationProperties("ledger.letters")
record LetterSettings(
        @DefaultValue("Ample Ledger <ledger@ledger.example>")
        String from,

        @DefaultValue("http://127.0.0.1:8080") String root) {}
