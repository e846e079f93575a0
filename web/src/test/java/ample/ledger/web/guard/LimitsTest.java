package ample.ledger.web.guard;

import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatNoException;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class LimitsTest {

    private static final int OFTEN = 3;

    private final Limits limits = new Limits(new GuardSettings(
            List.of(), 0, 40, OFTEN, OFTEN, OFTEN, OFTEN, 200, 12_000, 32, Duration.ofSeconds(20), 0));

    @ParameterizedTest
    @EnumSource
    void anAddressThatHasDoneSomethingAsOftenAsItMayIsToldWhenItMayAgain(Limits.Act act) {
        for (int i = 0; i < OFTEN; i++) {
            limits.count(act, from("192.0.2.1"));
        }

        assertThatExceptionOfType(TooManyException.class)
                .isThrownBy(() -> limits.count(act, from("192.0.2.1")))
                // A third of a minute, as often as it is given back.
                .matches(refused -> refused.seconds() >= 1 && refused.seconds() <= 20, "told when");
        assertThatNoException().isThrownBy(() -> limits.count(act, from("192.0.2.2")));
    }

    private static HttpServletRequest from(String address) {
        HttpServletRequest request = mock();
        when(request.getRemoteAddr()).thenReturn(address);
        return request;
    }
}
