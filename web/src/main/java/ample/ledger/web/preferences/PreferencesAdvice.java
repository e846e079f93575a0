package ample.ledger.web.preferences;

import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Lets every page know the preferences of who asks for it, under the name {@code preferences}. */
@ControllerAdvice
class PreferencesAdvice {

    static final String COOKIE = "ledger-preferences";

    @ModelAttribute("preferences")
    Preferences preferences(@CookieValue(name = COOKIE, required = false) @Nullable String written) {
        return written == null ? Preferences.USUAL : Preferences.read(written);
    }
}
