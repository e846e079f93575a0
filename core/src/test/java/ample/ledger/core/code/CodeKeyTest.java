package ample.ledger.core.code;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.code.CodeKey.Entry;
import ample.ledger.core.code.CodeKey.Part;
import ample.ledger.core.code.CodeKey.Times;
import ample.ledger.core.fixtures.Schedules;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.StringLength;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class CodeKeyTest {

    private static final CodeKey PUBLISHED = Schedules.kernelSchedule().codeKey();

    @Test
    void takesACourseCodeApart() {
        assertThat(read(PUBLISHED, "course", "GLAC 240d"))
                .isEqualTo("GLAC = Glaciology | 2 = second year | 40 = course in the field"
                        + " | d = double: runs through two terms");
    }

    @Test
    void takesASectionCodeApart() {
        assertThat(read(PUBLISHED, "section", "F3e-a"))
                .isEqualTo("F = Upper Fell campus | 3 = third section here | e = evening: starts 17:00 or later"
                        + " | a = companion a: taken with its lecture");
    }

    @Test
    void marksWhatTheKeyDoesNotExplain() {
        assertThat(read(PUBLISHED, "section", "Q7e"))
                .isEqualTo("Q = ? | 7 = seventh section here" + " | e = evening: starts 17:00 or later");
        assertThat(read(PUBLISHED, "course", "GLAC 240xx")).endsWith("| xx = ?");
        assertThat(read(PUBLISHED, "room", "204")).isEqualTo("204 = ?");
    }

    /** Quite another institution's key: the program knows none of its letters either. */
    @Test
    void readsAnotherInstitutionsKey() {
        var key = new CodeKey(
                List.of(
                        entry(1, "department", Times.ONE, "31", "Ice and Rivers"),
                        entry(2, "dash", Times.ONE, "-", null),
                        entry(3, "level", Times.ONE, "2", "second year"),
                        entry(4, "course", Times.ONE, "[0-9]{2}", "course {value}"),
                        entry(5, "slash", Times.ONE, "/", null),
                        entry(6, "kind", Times.ONE, "B", "lab"),
                        entry(7, "point", Times.ONE, "\\.", null),
                        entry(8, "section", Times.ONE, "[0-9]+", "{ordinal} section"),
                        entry(9, "plus", Times.OPTIONAL, "\\+", null),
                        entry(10, "flag", Times.ANY, "e", "evening"),
                        entry(10, "flag", Times.ANY, "k", "in the kiln house")),
                Map.of());

        assertThat(read(key, "course", "31-210/B.4+ek"))
                .isEqualTo("31 = Ice and Rivers | 2 = second year | 10 = course 10 | B = lab | 4 = fourth section"
                        + " | e = evening | k = in the kiln house");
    }

    /** Invented: letters before digits, the letters telling the part of the day. */
    @Test
    void readsLettersBeforeDigits() {
        var key = new CodeKey(
                List.of(
                        entry(1, "time of day", Times.ONE, "EV", "in the evening"),
                        entry(1, "time of day", Times.ONE, "M", "in the morning"),
                        entry(2, "section", Times.ONE, "[0-9]{2}", "number {value}"),
                        entry(3, "group", Times.OPTIONAL, "[a-f]", "group {value}")),
                Map.of());

        assertThat(read(key, "course", "EV03")).isEqualTo("EV = in the evening | 03 = number 03");
        assertThat(read(key, "course", "M12c")).isEqualTo("M = in the morning | 12 = number 12 | c = group c");
        assertThat(read(key, "course", "E03")).isEqualTo("E = ? | 03 = number 03");
    }

    /** Invented: flags that may stand or not, in any order. */
    @Test
    void readsOptionalFlagsInAnyOrder() {
        var key = new CodeKey(
                List.of(
                        entry(1, "section", Times.ONE, "[0-9]+", "{ordinal} section"),
                        entry(2, "flag", Times.ANY, "w", "on the water"),
                        entry(2, "flag", Times.ANY, "n", "at night"),
                        entry(2, "flag", Times.ANY, "q", "quiet")),
                Map.of());

        assertThat(read(key, "course", "4")).isEqualTo("4 = fourth section");
        assertThat(read(key, "course", "4wq")).isEqualTo("4 = fourth section | w = on the water | q = quiet");
        assertThat(read(key, "course", "4qnw"))
                .isEqualTo("4 = fourth section | q = quiet | n = at night | w = on the water");
        assertThat(read(key, "course", "4qzw")).isEqualTo("4 = fourth section | q = quiet | z = ? | w = on the water");
    }

    @Property
    void thePartsPutTogetherAreTheCode(
            @ForAll @StringLength(max = 12) @CharRange(from = 'A', to = 'z') @CharRange(from = '0', to = '9')
                    String code) {
        assertThat(PUBLISHED.takeApart("section", code).stream().map(Part::text).collect(Collectors.joining()))
                .isEqualTo(code);
    }

    private static String read(CodeKey key, String sort, String code) {
        return key.takeApart(sort, code).stream()
                .filter(part -> !part.punctuation())
                .map(part -> part.text() + " = " + part.meaning().orElse("?"))
                .collect(Collectors.joining(" | "));
    }

    private static Entry entry(int position, String segment, Times times, String value, @Nullable String meaning) {
        return new Entry("course", position, segment, times, Pattern.compile(value), Optional.ofNullable(meaning));
    }
}
