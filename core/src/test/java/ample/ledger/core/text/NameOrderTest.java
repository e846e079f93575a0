package ample.ledger.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NameOrderTest {

    /** Unicode CLDR, chart of collations (from memory): in Polish Ć comes between C and D and Ł behind L; in Swedish Ö is the last letter. */
    @Test
    void namesAreInTheOrderOfTheirLanguage() {
        assertThat(Stream.of("Dąb", "Łoś", "Ćma", "Cis", "Las", "Mech")
                        .sorted(NameOrder.of(Locale.forLanguageTag("pl"))))
                .containsExactly("Cis", "Ćma", "Dąb", "Las", "Łoś", "Mech");
        assertThat(Stream.of("Öberg", "Zorn", "Ask").sorted(NameOrder.of(Locale.forLanguageTag("sv"))))
                .containsExactly("Ask", "Zorn", "Öberg");
        assertThat(Stream.of("Öberg", "Zorn", "Ask").sorted(NameOrder.of(Locale.GERMAN)))
                .containsExactly("Ask", "Öberg", "Zorn");
    }

    @ParameterizedTest
    @CsvSource({
        "Łódź, lodz",
        "Te Whare Kōrero, te whare korero",
        "Święcimir Ołów, swiecimir olow",
        "المرفأ, مرفا",
        "دار المدّ, دار مد",
        "العربيّة, عربيه",
        "Straße, strasse",
    })
    void namesAreFoundWithoutAccentsAndArticles(String name, String folded) {
        assertThat(SearchText.folded(name)).isEqualTo(folded);
        assertThat(SearchText.folded(folded)).as("once is enough").isEqualTo(folded);
    }
}
