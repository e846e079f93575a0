package ample.ledger.core.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.week;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Schedule;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class PlanDateTest {

    @Test
    void openingDeadlinesAndExamsStandInOneOrder() {
        assertThat(said(week("TIDE 110 T1", "RHET 310 X1z", "LIMN 380 F2")))
                .as("the cancelled section binds nobody")
                .startsWith("2031-06-18T08:00 opens 1 to 29 credits")
                .contains(
                        "2031-09-19T00:00 Last day to add: TIDE 110",
                        "2031-10-06T00:00 Last day to add: RHET 310",
                        "2031-12-15T09:00 exam of TIDE 110 T1")
                .noneMatch(said -> said.contains("LIMN"))
                .isSortedAccordingTo(Comparator.comparing((String said) -> said.substring(0, 16)));
    }

    @Test
    void sectionsWithOneDeadlineShareIt() {
        assertThat(said(week("TIDE 110 T1", "GLAC 240d F3e", "GLAC 240d F3e-a", "NUMB 112 T1")))
                .filteredOn(said -> said.contains("Last day to add"))
                .containsExactly(
                        "2031-09-19T00:00 Last day to add: TIDE 110, NUMB 112",
                        "2031-09-26T00:00 Last day to add: GLAC 240d");
    }

    /** A course of both terms: its field day of September is no date of Spring, its exam of April no date of Autumn. */
    @Test
    void whatGoesOnHasOnlyTheExamsOfTheSeason() {
        Schedule autumn = Schedules.of(SectionBuilder.section("GLAC 240")
                .exam(LocalDate.of(2031, 12, 15), "9:00-12:00")
                .exam(LocalDate.of(2032, 4, 26), "9:00-12:00")
                .meetsOnce(LocalDate.of(2031, 9, 20), "8:00-16:00")
                .meetsOnce(LocalDate.of(2032, 4, 10), "8:00-16:00")
                .build());
        List<Attendance> goingOn = Attendance.of(autumn.sections(), autumn);
        PlannedWeek week = PlannedWeek.of(
                Plan.empty("1", PlansOfTheKernel.SEASON, "A"), goingOn, new PostedSchedules(List.of(autumn)));

        assertThat(said(week)).containsExactly("2031-12-15T09:00 exam of GLAC 240 T1");
        assertThat(goingOn.get(0).stays())
                .filteredOn(stay -> !stay.exam() && week.isInSeason(stay))
                .singleElement()
                .matches(stay -> stay.dates().contains(LocalDate.of(2031, 9, 20)));
    }

    private static List<String> said(PlannedWeek week) {
        return PlanDate.of(week, PlansOfTheKernel::notYetOpen).stream()
                .map(date -> date.at() + " " + words(date))
                .toList();
    }

    private static String words(PlanDate date) {
        if (date instanceof PlanDate.Opens opens) {
            return "opens " + opens.opening().name();
        }
        if (date instanceof PlanDate.Sits sits) {
            return "exam of " + sits.attendance();
        }
        PlanDate.Binds binds = (PlanDate.Binds) date;
        return binds.rule().name() + ": "
                + binds.sections().stream()
                        .map(bound -> bound.section().course().written())
                        .collect(Collectors.joining(", "));
    }
}
