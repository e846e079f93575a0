package ample.ledger.web.guard;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.ViewResolver;
import org.springframework.web.servlet.view.RedirectView;
import org.springframework.web.servlet.view.UrlBasedViewResolver;

/** Goes to addresses as they are: the usual way takes what stands in braces for the name of a variable, and fails where there is none. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
final class Redirects implements ViewResolver {

    private static final String PREFIX = UrlBasedViewResolver.REDIRECT_URL_PREFIX;

    @Override
    public @Nullable View resolveViewName(String name, Locale locale) {
        if (!name.startsWith(PREFIX)) {
            return null;
        }
        RedirectView redirect = new RedirectView(name.substring(PREFIX.length()), true, true, false);
        redirect.setExpandUriTemplateVariables(false);
        return redirect;
    }
}
