package ample.ledger.web.sign;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Who can sign in, and for how long.
 *
 * @param deskPassword of the account "desk"; empty where nobody can sign in as it
 * @param studentPassword of every student of the simulated sign-on; empty where none can sign in
 * @param studentIdle after which a student who does nothing is signed out
 * @param studentLongest after which a student is signed out whatever they do: OWASP ASVS 4, 3.3.2
 * @param deskIdle the same of the desk
 * @param deskLongest the same of the desk
 */
@ConfigurationProperties("ledger.sign-in")
record SignInSettings(
        @DefaultValue("") String deskPassword,
        @DefaultValue("") String studentPassword,
        @DefaultValue("8h") Duration studentIdle,
        @DefaultValue("12h") Duration studentLongest,
        @DefaultValue("30m") Duration deskIdle,
        @DefaultValue("8h") Duration deskLongest) {}
