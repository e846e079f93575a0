package ample.ledger.web.sign;

import ample.ledger.web.guard.FormsLeadTo;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.Authentication;
import org.springframework.security.oauth2.client.OAuth2AuthorizedClient;
import org.springframework.security.oauth2.client.registration.ClientRegistrationRepository;
import org.springframework.security.oauth2.client.web.OAuth2AuthorizedClientRepository;

/** The institution's sign-on: any OpenID provider that the settings name. */
@Configuration(proxyBeanMethods = false)
class ProviderConfiguration {

    @Bean
    Provider provider(SignInSettings settings) {
        return new Provider(settings);
    }

    @Bean
    ClientRegistrationRepository providers(Provider provider) {
        return id -> Provider.ID.equals(id) ? provider.registration().orElse(null) : null;
    }

    /** Signing out leads to the provider, which leads back. */
    @Bean
    FormsLeadTo formsLeadTo(SignInSettings settings) {
        return new FormsLeadTo(settings.origin());
    }

    /** The application asks nothing in a student's name, so that it keeps none of their tokens for it. */
    @Bean
    OAuth2AuthorizedClientRepository keepsNothing() {
        return new OAuth2AuthorizedClientRepository() {

            // Spring's own signature.
            @Override
            @SuppressWarnings("TypeParameterUnusedInFormals")
            public <T extends OAuth2AuthorizedClient> @Nullable T loadAuthorizedClient(
                    String id, Authentication who, HttpServletRequest request) {
                return null;
            }

            @Override
            public void saveAuthorizedClient(
                    OAuth2AuthorizedClient client,
                    Authentication who,
                    HttpServletRequest request,
                    HttpServletResponse response) {}

            @Override
            public void removeAuthorizedClient(
                    String id, Authentication who, HttpServletRequest request, HttpServletResponse response) {}
        };
    }
}
