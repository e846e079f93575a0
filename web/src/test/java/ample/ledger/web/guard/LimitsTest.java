package ample.ledger.web.guard;

import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatNoException;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class LimitsTest {

    private static final int OFTEN = 3;

    private static final int OFTEN_OF_ACCOUNT = 2;

    private final Limits limits = new Limits(new GuardSettings(
            List.of(),
            0,
            40,
            OFTEN,
            OFTEN,
            OFTEN,
            OFTEN,
            OFTEN,
            200,
            12_000,
            32,
            Duration.ofSeconds(20),
            0,
            new GuardSettings.Account(OFTEN_OF_ACCOUNT, OFTEN_OF_ACCOUNT, OFTEN_OF_ACCOUNT, 30)));

    @ParameterizedTest
    @EnumSource
    void anAddressThatHasDoneSomethingAsOftenAsItMayIsToldWhenItMayAgain(Limits.Act act) {
        for (int i = 0; i < OFTEN; i++) {
            limits.count(act, from("192.0.2.1", null));
        }

        assertRefused(act, from("192.0.2.1", null), "your address");
        assertThatNoException().isThrownBy(() -> limits.count(act, from("192.0.2.2", null)));
    }

    @ParameterizedTest
    @EnumSource(names = {"UPLOAD", "WEAVE", "CHANGE"})
    void soIsAnAccountFromWhateverAddresses(Limits.Act act) {
        limits.count(act, from("192.0.2.1", "wren"));
        limits.count(act, from("192.0.2.2", "wren"));

        assertRefused(act, from("192.0.2.3", "wren"), "you");
        for (int i = 0; i < OFTEN; i++) {
            limits.count(act, from("192.0.2.3", null));
        }
    }

    private void assertRefused(Limits.Act act, HttpServletRequest request, String what) {
        assertThatExceptionOfType(TooManyException.class)
                .isThrownBy(() -> limits.count(act, request))
                .withMessageMatching(".* (at|for|from) " + what + "(\\.| .*)")
                // As often as it is given back in a minute, and two or three in one.
                .matches(refused -> refused.seconds() >= 1 && refused.seconds() <= 30, "told when");
    }

    private static HttpServletRequest from(String address, @Nullable String account) {
        HttpServletRequest request = mock();
        when(request.getRemoteAddr()).thenReturn(address);
        when(request.getRemoteUser()).thenReturn(account);
        return request;
    }
}
