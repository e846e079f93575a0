package ample.ledger.web.guest;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.term.Local;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KeptTest {

    private static final Kept NOTHING = Kept.NOTHING;

    @Test
    void aBriefOfTheSameNameIsReplacedAndTheOldestGoes() {
        Kept kept = NOTHING.saving("Mornings", "/a").saving("Evenings", "/b").saving(" Mornings ", "/c");
        assertThat(kept.briefs())
                .containsExactly(new Kept.SavedBrief("Evenings", "/b"), new Kept.SavedBrief("Mornings", "/c"));
        assertThat(kept.forgetting("Evenings").briefs()).hasSize(1);

        for (int i = 0; i < 40; i++) {
            kept = kept.saving("Brief " + i, "/x");
        }
        assertThat(kept.briefs())
                .hasSize(30)
                .last()
                .extracting(Kept.SavedBrief::name)
                .isEqualTo("Brief 39");
        assertThat(NOTHING.saving("n".repeat(200), "/").briefs().get(0).name()).hasSize(60);
    }

    @ParameterizedTest
    @CsvSource({
        "/autumn-2031/browse?at=tidewall, /autumn-2031/browse?at=tidewall",
        "//elsewhere.example/, /",
        "/\\elsewhere.example, /",
        "https://elsewhere.example/, /",
        "'/a\r\nSet-Cookie: x', /",
        "'', /",
    })
    void nobodyIsLedElsewhere(String asked, String goes) {
        assertThat(Local.address(asked)).isEqualTo(goes);
    }
}
