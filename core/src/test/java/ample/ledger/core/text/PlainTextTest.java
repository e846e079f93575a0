package ample.ledger.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;

class PlainTextTest {

    @Example
    void controlCharactersGoAndLinesStay() {
        assertThat(PlainText.of("a\u0000b\u0007\r\nc\td\u0085\ud800")).isEqualTo("ab\nc\td");
        assertThat(PlainText.onOneLine("Choir\r\nSat\tnoon")).isEqualTo("Choir Sat noon");
        assertThat(PlainText.of("Māori ع 🐝")).isEqualTo("Māori ع 🐝");
    }

    /** PostgreSQL keeps it, and no line of a log is forged by it, whatever came in. */
    @Property
    void nothingIsLeftThatCannotBeKept(@ForAll @CharRange(from = '\u0000', to = '\uffff') String text) {
        String plain = PlainText.of(text);

        assertThat(plain.chars().filter(Character::isISOControl).filter(c -> c != '\n' && c != '\t'))
                .isEmpty();
        assertThat(new String(
                        plain.getBytes(java.nio.charset.StandardCharsets.UTF_8),
                        java.nio.charset.StandardCharsets.UTF_8))
                .isEqualTo(plain);
        assertThat(PlainText.of(plain)).isSameAs(plain);
        assertThat(PlainText.onOneLine(text)).doesNotContain("\n", "\t").hasSameSizeAs(plain);
    }
}
