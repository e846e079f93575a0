package ample.ledger.core.requirement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Prerequisite.AtLeast;
import ample.ledger.core.schedule.Prerequisite.CreditsEarned;
import ample.ledger.core.schedule.Prerequisite.Passed;
import ample.ledger.core.schedule.Prerequisite.Permission;
import ample.ledger.core.schedule.Prerequisite.Placement;
import ample.ledger.core.schedule.Prerequisite.Standing;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PrerequisiteNotationTest {

    @Test
    void andBindsTighterThanOr() {
        assertThat(PrerequisiteNotation.parse("GLAC 120 or LIMN 130 with C and NUMB 112 alongside"))
                .isEqualTo(new AtLeast(
                        1,
                        List.of(
                                passed("GLAC", "120"),
                                new AtLeast(
                                        2,
                                        List.of(
                                                new Passed(new CourseCode("LIMN", "130"), Optional.of("C"), false),
                                                new Passed(new CourseCode("NUMB", "112"), Optional.empty(), true))))));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "(GLAC 120 with C or LIMN 130 with C) AND (TIDE 110 or placement \"Tide test\") | (GLAC 120 with C or LIMN 130 with C) and (TIDE 110 or placement \"Tide test\")",
                "one of (GLAC 120, LIMN 130)           | GLAC 120 or LIMN 130",
                "all of (GLAC 120, standing 2)         | GLAC 120 and standing 2",
                "2 of (GLAC 205,NUMB 210 with B+,LIMN 222) | 2 of (GLAC 205, NUMB 210 with B+, LIMN 222)",
                "((credits 30))                        | credits 30",
                "31 210 with 7 or permission \"the head\" | 31 210 with 7 or permission \"the head\"",
                "NUMB 115 alongside                    | NUMB 115 alongside",
            })
    void readsWhatRegistrarsWrite(String text, String written) {
        assertThat(PrerequisiteNotation.parse(text)).hasToString(written);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''                          | 1  | Here is the end where a course, which is a subject and a number",
                "GLAC                        | 5  | Here is the end where the number of the course",
                "GLAC 120 with               | 14 | where a grade should be",
                "GLAC 120 LIMN 130           | 10 | Here is “LIMN” where \"and\", \"or\" or the end should be.",
                "(GLAC 120 or LIMN 130       | 22 | Here is the end where \")\" should be.",
                "GLAC 120 or                 | 12 | Here is the end where a course",
                "GLAC 120)                   | 9  | Here is “)” where \"and\", \"or\" or the end should be.",
                "3 of (GLAC 120, LIMN 130)   | 1  | It asks for 3 of 2; write a number from 1 to 2.",
                "1 of (GLAC 120)             | 1  | A choice needs at least two parts",
                "some of (GLAC 120, TIDE 1)  | 1  | \"all\", \"one\" or a number before \"of\"",
                "placement Tide test         | 11 | words in quotation marks, as in placement",
                "placement \"  \"            | 11 | words in quotation marks",
                "placement \"Tide            | 11 | words in quotation marks",
                "standing two                | 10 | a number, as in standing 2",
                "credits 0                   | 9  | The number must be at least 1",
                "glac 120                    | 1  | Here is “glac” where a course, which is a subject and a number",
            })
    void pointsAtThePlaceAndSaysWhatWouldBeRight(String text, int character, String sentence) {
        var wrong = catchThrowableOfType(NotationException.class, () -> PrerequisiteNotation.parse(text));
        assertThat(wrong.sentence()).isEqualTo(wrong.getMessage()).contains("At character " + (wrong.at() + 1) + ":");

        assertThat(wrong).hasMessageContaining(sentence).hasMessageStartingWith("At character " + character + ": ");
    }

    @Test
    void refusesBracketsWithoutEnd() {
        assertThat(catchThrowableOfType(NotationException.class, () -> PrerequisiteNotation.parse("(".repeat(9_000))))
                .hasMessageContaining("nested more than 40 deep");
    }

    @Property(tries = 500)
    void whatIsWrittenReadsBack(@ForAll("prerequisites") Prerequisite prerequisite) {
        assertThat(PrerequisiteNotation.parse(prerequisite.toString())).isEqualTo(prerequisite);
    }

    /** Whatever the text, the answer is an expression or a sentence about it. */
    @Property(tries = 1000)
    void neverFailsOtherwise(@ForAll("scraps") String text) {
        try {
            assertThat(PrerequisiteNotation.parse(text).toString()).isNotEmpty();
        } catch (NotationException e) {
            assertThat(e.at()).isBetween(0, text.length());
        }
    }

    @Provide
    Arbitrary<String> scraps() {
        Arbitrary<String> known = Arbitraries.of(
                "(", ")", ",", "of", "2", "all", "or", "and", "GLAC", "120", "with", "C", "\"x\"", "\"", "standing");
        return Arbitraries.oneOf(known, Arbitraries.strings().ofMaxLength(4))
                .list()
                .ofMaxSize(12)
                .map(scraps -> String.join(" ", scraps));
    }

    @Provide
    Arbitrary<Prerequisite> prerequisites() {
        Arbitrary<String> words = Arbitraries.strings().alpha().ofMinLength(1).ofMaxLength(12);
        Arbitrary<Prerequisite> single = Arbitraries.oneOf(
                Combinators.combine(
                                Arbitraries.of("GLAC", "NUMB", "31"),
                                Arbitraries.of("120", "240d", "9"),
                                Arbitraries.of("A-", "C", "70").optional(),
                                Arbitraries.of(true, false))
                        .as((subject, number, grade, alongside) ->
                                new Passed(new CourseCode(subject, number), grade, alongside)),
                words.map(Placement::new),
                words.map(Permission::new),
                Arbitraries.integers().between(1, 6).map(Standing::new),
                Arbitraries.integers().between(1, 240).map(CreditsEarned::new));
        return Arbitraries.recursive(
                () -> single,
                inner -> inner.list()
                        .ofMinSize(2)
                        .ofMaxSize(4)
                        .flatMap(parts -> Arbitraries.integers()
                                .between(1, parts.size())
                                .map(count -> new AtLeast(count, parts))),
                0,
                3);
    }

    private static Prerequisite passed(String subject, String number) {
        return new Passed(new CourseCode(subject, number), Optional.empty(), false);
    }
}
