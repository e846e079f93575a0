package ample.ledger.web.sign;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.text.PlainText;
import ample.ledger.web.guard.ClientAddress;
import ample.ledger.web.guard.Refusal;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.KeptRecord;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Local;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Instant;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.FlashMapManager;

/** What follows when somebody has signed in, or has tried to. */
@Component
public class SignOn {

    /** The role of the registrar's desk. */
    public static final String DESK = "DESK";

    private static final Logger LOG = LoggerFactory.getLogger(SignOn.class);
    private static final int LONGEST_NAME = 60;

    private final Keeping keeping;
    private final SignInWaits waits;
    private final SignInSettings settings;
    private final FlashMapManager told;
    private final Registrar registrar;

    SignOn(Keeping keeping, SignInWaits waits, SignInSettings settings, FlashMapManager told, Registrar registrar) {
        this.registrar = registrar;
        this.keeping = keeping;
        this.waits = waits;
        this.settings = settings;
        this.told = told;
    }

    /** The account that somebody wants to sign in as: what they typed, on one line. */
    static String account(HttpServletRequest request) {
        String typed = request.getParameter(UsernamePasswordAuthenticationFilter.SPRING_SECURITY_FORM_USERNAME_KEY);
        String name = typed == null ? "" : PlainText.onOneLine(typed).strip();
        return name.substring(0, Math.min(name.length(), LONGEST_NAME));
    }

    /** A student takes along what they kept as a guest, and goes back to where they were; the desk goes to its page. */
    public void signedIn(HttpServletRequest request, HttpServletResponse response, Authentication who)
            throws IOException {
        waits.succeeded(who.getName(), ClientAddress.of(request));
        boolean student =
                who.getAuthorities().stream().anyMatch(role -> ("ROLE_" + Keeping.STUDENT).equals(role.getAuthority()));
        Instant now = Instant.now();
        SignedInSessions.limit(
                request.getSession(),
                student ? settings.studentIdle() : settings.deskIdle(),
                now.plus(student ? settings.studentLongest() : settings.deskLongest()));
        LOG.info("{} has signed in from {}", who.getName(), ClientAddress.of(request));
        String back = back(request);
        String address = back.equals("/") && !student ? "/desk" : back;
        if (student && !keeping.adopt(request, who.getName(), recordOf(who.getName()))) {
            tell(request, response, address);
        }
        response.sendRedirect(address);
    }

    private void tell(HttpServletRequest request, HttpServletResponse response, String address) {
        FlashMap map = new FlashMap();
        map.put(
                "signedIn",
                "Not all plans of this visit could be brought to yours, which are as many as can be kept. They are here again when you sign out.");
        map.setTargetRequestPath(address.replaceAll("[?#].*", ""));
        told.saveOutputFlashMap(map, request, response);
    }

    private KeptRecord recordOf(String name) {
        return registrar.student(name).map(KeptRecord::of).orElse(KeptRecord.NONE);
    }

    /** Says so on the form, and in the log: who, and from where, and never with which password. */
    public void refused(HttpServletRequest request, HttpServletResponse response, AuthenticationException why)
            throws IOException {
        if (!(why instanceof BadCredentialsException)) {
            Refusal.sendAway(request, response);
            return;
        }
        String account = account(request);
        waits.failed(account, ClientAddress.of(request));
        LOG.warn("Signing in as “{}” from {} has failed", account, ClientAddress.of(request));
        response.sendRedirect(Addresses.with("/sign-in?again", "back", back(request)));
    }

    private static String back(HttpServletRequest request) {
        String back = request.getParameter("back");
        return Local.address(back == null ? "/" : back);
    }
}
