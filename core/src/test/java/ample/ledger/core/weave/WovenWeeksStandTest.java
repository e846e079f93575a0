package ample.ledger.core.weave;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.PlainPerson;
import ample.ledger.core.fixtures.RandomPeople;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.FullSection;
import ample.ledger.core.plan.Judgement;
import ample.ledger.core.plan.Obstacle;
import ample.ledger.core.plan.Obstacles;
import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.reading.Readings;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.lifecycle.AfterContainer;

/** A woven week has nothing against it that another choice of sections could mend. */
class WovenWeeksStandTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();
    private static final PostedSchedules POSTED = Schedules.alone(KERNEL);
    private static final SeasonCode SEASON = new SeasonCode("autumn-2031");

    private static int weeks;

    @Property(tries = 300)
    void nothingIsInTheWayOfAWovenWeek(@ForAll("people") PlainPerson person, @ForAll Random dice) {
        Readings readings = new Readings(KERNEL, person.person());
        Function<Attendance, StatusReading> reading =
                one -> readings.of(one.section(), one.section().pool());
        List<Course> courses = new ArrayList<>(KERNEL.courses());
        Collections.shuffle(courses, dice);
        List<Demand.Want> wants = courses.subList(0, 3).stream()
                .map(course -> new Demand.Want(List.of(course), dice.nextBoolean()))
                .toList();
        WeaveRequest request = WeaverTest.request(wants, one -> !FullSection.lacksSeat(reading.apply(one)), Set.of());

        for (Weave woven :
                Weaver.weave(request, SEASON, POSTED, 5, Watch.NOBODY).best()) {
            Plan plan = Plan.empty("1", SEASON, "Plan A")
                    .adding(woven.sections().stream()
                            .map(one ->
                                    new Pick(KERNEL.term().code(), one.section().entry(), Standing.TAKEN))
                            .toList());
            Judgement judgement = Judgement.of(
                    PlannedWeek.of(plan, List.of(), POSTED),
                    new Obstacles.Student(Optional.empty(), KERNEL.term(), person.student()),
                    reading);
            assertThat(judgement.full()).isEmpty();
            assertThat(judgement.stopping())
                    .allSatisfy(obstacle -> assertThat(obstacle)
                            .isInstanceOfAny(Obstacle.LacksPrerequisite.class, Obstacle.OverLoad.class));
            weeks++;
        }
    }

    @AfterContainer
    static void thereWereWeeks() {
        assertThat(weeks).isGreaterThan(200);
    }

    @Provide
    Arbitrary<PlainPerson> people() {
        return RandomPeople.of(KERNEL);
    }
}
