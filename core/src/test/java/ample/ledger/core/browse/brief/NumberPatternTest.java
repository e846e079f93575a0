package ample.ledger.core.browse.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Schedule;
import java.util.List;
import java.util.Locale;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Course numbers as students ask for them. */
class NumberPatternTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();

    @Property
    void aPatternComesBackAsItIsWritten(@ForAll("patterns") NumberPattern pattern) {
        assertThat(NumberPattern.parse(pattern.toString())).contains(pattern);
    }

    @Property
    void aRangeHoldsTheNumbersBetweenItsEnds(
            @ForAll("patterns") NumberPattern pattern, @ForAll("codes") CourseCode code) {
        boolean inSubject = pattern.subject().isEmpty()
                || pattern.subject().equals(code.subject().toLowerCase(Locale.ROOT));
        boolean inRange = pattern.low() <= code.digits() && code.digits() <= pattern.high();
        boolean sameLetters =
                pattern.letters().isEmpty() || code.number().equalsIgnoreCase(code.digits() + pattern.letters());

        assertThat(pattern.matches(code)).isEqualTo(inSubject && inRange && sameLetters);
    }

    @Provide
    Arbitrary<NumberPattern> patterns() {
        Arbitrary<String> subjects = Arbitraries.of("", "tide", "glac", "numb");
        Arbitrary<Integer> numbers = Arbitraries.integers().between(1, 999);
        return Arbitraries.oneOf(
                Combinators.combine(subjects, numbers, Arbitraries.of("", "d", "m"))
                        .as((subject, number, letters) -> new NumberPattern(subject, number, number, letters)),
                Combinators.combine(subjects, numbers, numbers)
                        .as((subject, one, other) ->
                                new NumberPattern(subject, Math.min(one, other), Math.max(one, other), "")));
    }

    @Provide
    Arbitrary<CourseCode> codes() {
        return Arbitraries.of(KERNEL.courses()).map(Course::code);
    }

    @ParameterizedTest
    @CsvSource({
        "240, 240",
        "240D, 240d",
        "200-299, 200 to 299",
        "2xx, 200 to 299",
        "2XX, 200 to 299",
        "' glac 1xx ', GLAC 100 to 199",
    })
    void readsTheFormsStudentsType(String text, String words) {
        assertThat(NumberPattern.parse(text)).map(NumberPattern::inWords).contains(words);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "xx", "299-200", "-5", "12345678901", "tide:", "two hundred", "2-3-4"})
    void readsNothingIntoAnythingElse(String text) {
        assertThat(NumberPattern.parse(text)).isEmpty();
    }

    @Test
    void everyCourseIsMatchedByItsOwnNumberAndByAnyOfItsSubject() {
        for (Course course : KERNEL.courses()) {
            NumberPattern own = NumberPattern.exactly(course.code());
            assertThat(KERNEL.courses())
                    .filteredOn(other -> own.matches(other.code()))
                    .as(own.toString())
                    .contains(course)
                    .allMatch(other -> other.code().digits() == course.code().digits());
            assertThat(NumberPattern.any(course.code().subject().toLowerCase(Locale.ROOT))
                            .matches(course.code()))
                    .isTrue();
        }
    }

    @Test
    void refusesWhatNoCourseCanBe() {
        for (Runnable impossible : List.<Runnable>of(
                () -> new NumberPattern(300, 200, ""),
                () -> new NumberPattern(-1, 200, ""),
                () -> new NumberPattern(200, 300, "d"))) {
            assertThatIllegalArgumentException().isThrownBy(impossible::run);
        }
    }
}
