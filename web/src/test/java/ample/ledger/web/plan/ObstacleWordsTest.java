package ample.ledger.web.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.ANYBODY;
import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.exam;
import static ample.ledger.core.plan.PlansOfTheKernel.plan;
import static ample.ledger.core.plan.PlansOfTheKernel.unknown;
import static ample.ledger.core.plan.PlansOfTheKernel.week;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.plan.FullSection;
import ample.ledger.core.plan.Obstacles;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.plan.WeekPage.Trouble;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.util.LinkedMultiValueMap;

class ObstacleWordsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "TIDE 214 T1,RHET 205 T2|TIDE 214 T1 and RHET 205 T2 are held at the same time: 80 minutes shared, 7 times on Mondays, the first on Mon 8 Sep.",
                "TIDE 214 T1,GLAC 240d F3e-a|From TIDE 214 T1 (until 12:20) to GLAC 240d F3e-a (from 13:00) it takes 55 minutes by shuttle, and there are 40: 13 times, the first on Wed 10 Sep.",
                "NUMB 112 T1,NUMB 112 T2|NUMB 112 T1 and NUMB 112 T2 are the same course; one of them is enough.",
                "GLAC 240d F3e,LIMN 244d F3e|GLAC 240d F3e and LIMN 244d F3e are one class posted under two subjects: credit counts once, under the subject you register in.",
                "LIMN 130 F1|LIMN 130 F1 needs a lab with it.",
                "TIDE 214 T1-a|TIDE 214 T1-a must be taken with another section of its course, and none is in this plan.",
                "TIDE 214 T1,TIDE 214 T2-a|TIDE 214 T2-a does not go with TIDE 214 T1: it belongs to another.",
                "TIDE 214 T1|TIDE 214 T1: Take with NUMB 210, or after it.",
                "LIMN 380 F2|LIMN 380 F2 is cancelled."
            })
    void everyObstacleIsSaidInASentence(String sections, String sentence) {
        assertThat(troubles(week(plan(sections.split(","))), ANYBODY))
                .extracting(Trouble::words)
                .contains(sentence);
    }

    @Test
    void busyTimesCampusesAndWhatIsGoneAreSaidToo() {
        BusyTime shift = new BusyTime("Ferry crew", SectionBuilder.weekly("Tue", "12:00-17:00", 1));
        PlannedWeek week = week(plan("NUMB 112 F1").adding(List.of(unknown())).busy(none -> List.of(shift)));

        // Of fifteen Tuesdays one is in Harvest Week, and one is taught as a Monday.
        assertThat(troubles(
                        week,
                        new Obstacles.Student(
                                Optional.of(new CampusCode("tidewall")), KERNEL.term(), Optional.empty())))
                .extracting(Trouble::words)
                .containsExactly(
                        "Entry number 99999 is no longer posted.",
                        "NUMB 112 F1 and your “Ferry crew” are held at the same time: 50 minutes shared, 12 times on Tuesdays, the first on Tue 9 Sep.",
                        "NUMB 112 F1 is at Upper Fell, not at the home campus Tidewall.");
    }

    @Test
    void whatIsNoLongerPostedCanBeTakenOut() {
        PlannedWeek week = week(plan().adding(List.of(unknown())));

        assertThat(troubles(week, ANYBODY))
                .singleElement()
                .satisfies(gone -> assertThat(gone.remedies())
                        .containsExactly(new WeekPage.Remedy(List.of(), "without 99999", "", "99999", "")));
    }

    @Test
    void remediesSayWhatComesForWhatAndWhen() {
        PlannedWeek week = week("TIDE 214 T1", "TIDE 214 T1-a", "RHET 205 T2");
        Trouble clash = troubles(week, ANYBODY).get(0);

        assertThat(clash.remedies())
                .hasSize(3)
                .contains(new WeekPage.Remedy(
                        List.of(new WeekPage.Numbered("40716", "/autumn-2031/section/40716")),
                        "RHET 205 T1 instead of RHET 205 T2 (no seat open)",
                        "Mon Thu 14:00–16:40",
                        "40723",
                        "40716"));
        assertThat(clash.none()).isEmpty();
    }

    @Test
    void examsOfOneDayAndExamsAtTheTimeOfAClassAreSaid() {
        LocalDate day = LocalDate.of(2031, 12, 15);
        Schedule schedule = Schedules.of(
                exam("TIDE 101", "41001", day, "9:00-11:00"),
                exam("TIDE 102", "41002", day, "13:00-15:00"),
                SectionBuilder.section("TIDE 103")
                        .entry("41003")
                        .meets("Mon", "14:00-15:30")
                        .build());
        PlannedWeek all =
                week(new PostedSchedules(List.of(schedule)), schedule.sections().toArray(Section[]::new));

        assertThat(troubles(all, new Obstacles.Student(Optional.empty(), schedule.term(), Optional.empty())))
                .extracting(Trouble::words)
                .containsExactly(
                        "An exam: TIDE 102 T1 and TIDE 103 T1 are held at the same time: 60 minutes shared, once, on Mon 15 Dec.",
                        "Two exams on Mon 15 Dec: TIDE 101 T1 at 9:00, TIDE 102 T1 at 13:00.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0 | TIDE 110 T2 has no open seat. Select it to join the waitlist.",
                "1 | TIDE 110 T2 has no open seat, and one person waits. Select it to join the waitlist.",
                "7 | TIDE 110 T2 has no open seat, and 7 people wait. Select it to join the waitlist."
            })
    void aFullSectionSaysHowManyWait(int waiting, String sentence) {
        PlannedWeek week = week("TIDE 110 T2");
        FullSection full = new FullSection(
                week.taken().get(0),
                new StatusReading(
                        Status.FULL_WAITLIST_OPEN,
                        List.of(),
                        new SeatAccount(20, 20, List.of(), 0, waiting, 10),
                        List.of(),
                        List.of()),
                List.of());

        Trouble trouble = words(week).trouble(full, "");

        assertThat(trouble.words()).isEqualTo(sentence);
        assertThat(trouble.none()).isEqualTo("No other section of its course that fits has a seat.");
    }

    private static List<Trouble> troubles(PlannedWeek week, Obstacles.Student student) {
        ObstacleWords words = words(week);
        return Obstacles.of(week, student).stream().map(words::trouble).toList();
    }

    private static ObstacleWords words(PlannedWeek week) {
        return new ObstacleWords(
                week,
                WeekAsk.of(new TermCode("autumn-2031"), new LinkedMultiValueMap<>()),
                ClockStyle.HOURS_24,
                attendance -> Schedules.readings(attendance.schedule())
                        .of(attendance.section(), attendance.section().pool()));
    }
}
