package ample.ledger.web.sign;

import ample.ledger.standin.SimulatedSignOn;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.KeptRecord;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;

/**
 * Who can sign in: the registrar's desk, and the students that the institution's sign-on knows, which is simulated. Neither can where no
 * password is given for it.
 */
@Configuration(proxyBeanMethods = false)
public class SignOn {

    /** The role of the registrar's desk. */
    public static final String DESK = "DESK";

    @Bean
    UserDetailsService accounts(
            @Value("${ledger.desk-password}") String deskPassword,
            @Value("${ledger.student-password}") String studentPassword) {
        PasswordEncoder encoder = PasswordEncoderFactories.createDelegatingPasswordEncoder();
        List<UserDetails> accounts = new ArrayList<>();
        if (!deskPassword.isBlank()) {
            accounts.add(User.withUsername("desk")
                    .password(encoder.encode(deskPassword))
                    .roles(DESK)
                    .build());
        }
        if (!studentPassword.isBlank()) {
            String encoded = encoder.encode(studentPassword);
            SimulatedSignOn.students()
                    .forEach(student -> accounts.add(User.withUsername(student.name())
                            .password(encoded)
                            .roles(Keeping.STUDENT)
                            .build()));
        }
        return new InMemoryUserDetailsManager(accounts);
    }

    /** The desk goes to its page; a student takes along what they kept as a guest, and goes to where they were. */
    @Bean
    AuthenticationSuccessHandler signedIn(Keeping keeping) {
        SavedRequestAwareAuthenticationSuccessHandler back = new SavedRequestAwareAuthenticationSuccessHandler();
        return (HttpServletRequest request, HttpServletResponse response, Authentication who) -> {
            boolean student = who.getAuthorities().stream()
                    .anyMatch(role -> ("ROLE_" + Keeping.STUDENT).equals(role.getAuthority()));
            if (student) {
                takeAlong(keeping, request, who.getName());
            }
            back.setDefaultTargetUrl(student ? "/" : "/desk");
            goOn(back, request, response, who);
        };
    }

    private static void goOn(
            SavedRequestAwareAuthenticationSuccessHandler back,
            HttpServletRequest request,
            HttpServletResponse response,
            Authentication who)
            throws IOException {
        try {
            back.onAuthenticationSuccess(request, response, who);
        } catch (ServletException e) {
            throw new IOException(e);
        }
    }

    private static void takeAlong(Keeping keeping, HttpServletRequest request, String name) {
        keeping.adopt(request, name);
        if (!keeping.of(request).record().said()) {
            SimulatedSignOn.student(name)
                    .ifPresent(student -> keeping.change(
                            request,
                            kept -> kept.with(new KeptRecord(
                                    "",
                                    String.valueOf(student.credits()),
                                    String.valueOf(student.level()),
                                    "",
                                    student.programme()))));
        }
    }
}
