package ample.ledger.web.preferences;

import ample.ledger.web.guard.Cookies;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Lets every page know the preferences of who asks for it, under the name {@code preferences}. */
@ControllerAdvice
class PreferencesAdvice {

    static final String COOKIE = "ledger-preferences";

    @ModelAttribute("preferences")
    Preferences preferences(HttpServletRequest request) {
        return Cookies.read(request, COOKIE).map(Preferences::read).orElse(Preferences.USUAL);
    }
}
