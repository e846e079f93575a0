package ample.ledger.core.requirement;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.StudentGroup;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a restriction says to a student of the second year of Glaciology, and to one of whom less is known. */
class EligibilityTest {

    private static final StudentRecord SECOND_YEAR = new StudentRecord(
            Set.of(),
            List.of(),
            Optional.of(BigDecimal.ZERO),
            Optional.of(2),
            Set.of(),
            Set.of(),
            Map.of(StudentGroup.About.PROGRAMME, Set.of("glaciology-major")));

    @ParameterizedTest
    @CsvSource({
        "true,  programme, glaciology-major;cartography-major, ALLOWED",
        "true,  programme, cartography-major, NOT_ALLOWED",
        "false, programme, glaciology-major,  NOT_ALLOWED",
        "false, programme, cartography-major, ALLOWED",
        "true,  level,     2;3,               ALLOWED",
        "true,  level,     3,                 NOT_ALLOWED",
        "false, level,     2,                 NOT_ALLOWED",
        "true,  campus,    tidewall,          NOT_SAID",
        "false, cohort,    a,                 NOT_SAID",
    })
    void aRuleIsJudgedByWhatTheRecordSays(boolean include, String about, String anyOf, Eligibility expected) {
        Restriction restriction = restriction(include, about, anyOf);

        assertThat(Eligibility.of(restriction, SECOND_YEAR::belongsTo, Schedules.TODAY))
                .isEqualTo(expected);
        assertThat(Eligibility.of(restriction, StudentRecord.NEW::belongsTo, Schedules.TODAY))
                .as("of a record that says nothing")
                .isEqualTo(Eligibility.NOT_SAID);
        assertThat(Eligibility.of(restriction, group -> Optional.empty(), Schedules.TODAY))
                .as("to nobody in particular")
                .isEqualTo(Eligibility.NOT_SAID);
    }

    @ParameterizedTest
    @CsvSource({"-1, PAST", "0, NOT_ALLOWED", "1, NOT_ALLOWED"})
    void aRestrictionHoldsThroughItsLastDay(int daysFromToday, Eligibility expected) {
        Restriction restriction = new Restriction(
                restriction(true, "level", "3").rule(),
                Optional.of(Schedules.TODAY.plusDays(daysFromToday)),
                "Third year only.");

        assertThat(Eligibility.of(restriction, SECOND_YEAR::belongsTo, Schedules.TODAY))
                .isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource("By the department.")
    void whatIsOnlySaidInWordsPeopleJudge(String sentence) {
        Restriction restriction = new Restriction(Optional.empty(), Optional.empty(), sentence);

        assertThat(Eligibility.of(restriction, SECOND_YEAR::belongsTo, Schedules.TODAY))
                .isEqualTo(Eligibility.FOR_PEOPLE);
    }

    private static Restriction restriction(boolean include, String about, String anyOf) {
        StudentGroup group =
                new StudentGroup(Coded.parse(StudentGroup.About.class, about).orElseThrow(), List.of(anyOf.split(";")));
        return new Restriction(Optional.of(new Restriction.Rule(include, group)), Optional.empty(), "");
    }
}
