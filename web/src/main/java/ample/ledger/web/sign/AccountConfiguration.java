package ample.ledger.web.sign;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.standin.SimulatedRegistrar;
import ample.ledger.standin.SimulatedSignOn;
import ample.ledger.web.guest.Keeping;
import com.github.benmanes.caffeine.cache.Ticker;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;

/**
 * Who can sign in: the registrar's desk, and the students that the institution's sign-on knows, which is simulated. Neither can where no
 * password is given for it.
 */
@Configuration(proxyBeanMethods = false)
class AccountConfiguration {

    @Bean
    SignInWaits signInWaits() {
        return new SignInWaits(Ticker.systemTicker());
    }

    /** The demo's institution; it knows nobody where no student can sign in. */
    @Bean
    Registrar registrar(SignInSettings settings) {
        Registrar demo = new SimulatedRegistrar();
        return settings.studentPassword().isBlank() ? name -> Optional.empty() : demo;
    }

    @Bean
    UserDetailsService accounts(SignInSettings settings) {
        PasswordEncoder encoder = PasswordEncoderFactories.createDelegatingPasswordEncoder();
        List<UserDetails> accounts = new ArrayList<>();
        if (!settings.deskPassword().isBlank()) {
            accounts.add(User.withUsername("desk")
                    .password(encoder.encode(settings.deskPassword()))
                    .roles(SignOn.DESK)
                    .build());
        }
        if (!settings.studentPassword().isBlank()) {
            String encoded = encoder.encode(settings.studentPassword());
            SimulatedSignOn.students()
                    .forEach(student -> accounts.add(User.withUsername(student.name())
                            .password(encoded)
                            .roles(Keeping.STUDENT)
                            .build()));
        }
        return new InMemoryUserDetailsManager(accounts);
    }
}
