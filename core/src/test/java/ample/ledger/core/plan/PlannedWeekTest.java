package ample.ledger.core.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.SEASON;
import static ample.ledger.core.plan.PlansOfTheKernel.pick;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a plan holds, and what runs on into it from the plan of another season. */
class PlannedWeekTest {

    private static final Schedule SPRING = ScheduleBundle.read(
                    Schedules.repository().resolve("demo/bundles/spring-2032"))
            .schedule();
    private static final SeasonCode NEXT = SPRING.term().season().code();
    private static final PostedSchedules POSTED = new PostedSchedules(List.of(KERNEL, SPRING));

    private static final Pick OF_BOTH_TERMS = pick("GLAC 240d F3e", Standing.TAKEN);
    private static final Pick OF_AUTUMN = pick("NUMB 112 T1", Standing.TAKEN);

    @Test
    void aCourseOfTwoTermsGoesOnInTheNext() {
        PlanBook book =
                PlanBook.EMPTY.changing(SEASON, "taken in", plan -> plan.adding(List.of(OF_BOTH_TERMS, OF_AUTUMN)));

        PlannedWeek spring = PlannedWeek.of(book, NEXT, POSTED);

        assertThat(spring.taken()).isEmpty();
        assertThat(spring.goingOn()).extracting(Object::toString).containsExactly("GLAC 240d F3e");
        assertThat(spring.attended()).isEqualTo(spring.goingOn());
        assertThat(spring.standing(spring.goingOn().get(0))).isEmpty();
        assertThat(PlannedWeek.of(book, SEASON, POSTED).goingOn()).isEmpty();
    }

    @Test
    void whatIsOnlyWaitedForOrBesideDoesNotGoOn() {
        for (Standing standing : List.of(Standing.WAITED_FOR, Standing.BESIDE)) {
            PlanBook book = PlanBook.EMPTY.changing(
                    SEASON, "taken in", plan -> plan.adding(List.of(pick("GLAC 240d F3e", standing))));
            assertThat(PlannedWeek.of(book, NEXT, POSTED).attended()).isEmpty();
        }
    }

    @Test
    void onlyThePlanThatIsLookedAtGoesOn() {
        PlanBook book = PlanBook.EMPTY
                .changing(SEASON, "taken in", plan -> plan.adding(List.of(OF_BOTH_TERMS)))
                .beginning(SEASON, "Plan B");

        assertThat(PlannedWeek.of(book, NEXT, POSTED).goingOn()).isEmpty();
        assertThat(PlannedWeek.of(book.looking(SEASON, "1"), NEXT, POSTED).goingOn())
                .hasSize(1);
    }

    @Test
    void whatGoesOnIsNeitherChangedNorToldToBeOfAnotherCalendar() {
        PlanBook book = PlanBook.EMPTY.changing(SEASON, "taken in", plan -> plan.adding(List.of(OF_BOTH_TERMS)));
        PlannedWeek spring = PlannedWeek.of(book, NEXT, POSTED);
        Attendance goesOn = spring.goingOn().get(0);

        assertThat(Obstacles.of(spring, new Obstacles.Student(Optional.empty(), SPRING.term(), Optional.empty())))
                .noneMatch(Obstacle.OtherCalendar.class::isInstance);
        assertThat(Swap.of(goesOn, spring)).as("it cannot be changed any more").isEmpty();
    }

    @Test
    void eachStandsWhereItsStandingSays() {
        Plan plan = PlansOfTheKernel.plan("NUMB 112 T1")
                .adding(List.of(
                        pick("TIDE 110 T2", Standing.WAITED_FOR),
                        pick("MYCO 101 X1z", Standing.BESIDE),
                        PlansOfTheKernel.unknown()));

        PlannedWeek week = PlannedWeek.of(plan, List.of(), POSTED);

        assertThat(week.taken()).extracting(Object::toString).containsExactly("NUMB 112 T1");
        assertThat(week.waitedFor()).extracting(Object::toString).containsExactly("TIDE 110 T2");
        assertThat(week.beside()).extracting(Object::toString).containsExactly("MYCO 101 X1z");
        assertThat(week.missing()).containsExactly(PlansOfTheKernel.unknown());
        assertThat(week.attended()).extracting(Object::toString).containsExactly("NUMB 112 T1", "TIDE 110 T2");
        assertThat(week.attended(PlansOfTheKernel.code("TIDE", "110"))).hasSize(1);
        assertThat(week.standing(week.beside().get(0))).contains(Standing.BESIDE);
    }

    @Test
    void coursesAreFoundHoweverTheyAreWritten() {
        assertThat(POSTED.coursesWritten("tide214", SEASON))
                .singleElement()
                .satisfies(course -> assertThat(course.title()).isEqualTo("Estuary Hydraulics"));
        assertThat(POSTED.coursesWritten(" TIDE 2 14 ", SEASON)).hasSize(1);
        assertThat(POSTED.coursesWritten("TIDE 21", SEASON)).isEmpty();
        assertThat(POSTED.coursesWritten("TIDE 214", new SeasonCode("summer-2099")))
                .isEmpty();
    }
}
