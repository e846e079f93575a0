package ample.ledger.core.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.SEASON;
import static ample.ledger.core.plan.PlansOfTheKernel.TERM;
import static ample.ledger.core.plan.PlansOfTheKernel.attendance;
import static ample.ledger.core.plan.PlansOfTheKernel.obstacles;
import static ample.ledger.core.plan.PlansOfTheKernel.plan;
import static ample.ledger.core.plan.PlansOfTheKernel.week;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Section;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

/** What holds of the obstacles of every plan, and of everything that is offered to mend one. */
class RemedyLawsTest {

    private static final Obstacles.Student OF_TIDEWALL =
            new Obstacles.Student(Optional.of(new CampusCode("tidewall")), KERNEL.term(), Optional.empty());

    /** The laws hold of nothing where nothing is found: enough of these plans have something to mend, and a remedy. */
    @Example
    void thereAreObstaclesAndRemediesToJudge() {
        Random dice = new Random(20);
        int clashes = 0;
        int mended = 0;
        for (int i = 0; i < 300; i++) {
            List<Pick> picks = Stream.generate(() ->
                            KERNEL.sections().get(dice.nextInt(KERNEL.sections().size())))
                    .limit(6)
                    .distinct()
                    .map(RemedyLawsTest::pick)
                    .toList();
            PlannedWeek week = week(Plan.empty("1", SEASON, "Plan A").adding(picks));
            for (Obstacle obstacle : Obstacles.of(week, OF_TIDEWALL)) {
                if (obstacle instanceof Obstacle.SameTime) {
                    clashes++;
                    mended += Obstacles.remedies(obstacle, week).isEmpty() ? 0 : 1;
                }
            }
        }
        assertThat(clashes).isGreaterThan(100);
        assertThat(mended).as("clashes that another section mends").isGreaterThan(30);
    }

    @Property(tries = 400)
    void aRemedyIsRidOfItsObstacleAndBringsNoneOfTimeOrTravel(@ForAll("plans") Plan plan) {
        PlannedWeek before = week(plan);
        for (Obstacle obstacle : Obstacles.of(before, OF_TIDEWALL)) {
            for (Swap swap : Obstacles.remedies(obstacle, before)) {
                PlannedWeek after = week(plan.replacing(picks(swap.out()), picks(swap.in())));
                List<Obstacle> left = Obstacles.of(after, OF_TIDEWALL);

                assertThat(left).as("%s, mended by %s", obstacle, swap).doesNotContain(obstacle);
                assertThat(apart(after)).as("%s, mended by %s", obstacle, swap).isSubsetOf(apart(before));
            }
        }
    }

    @Property(tries = 200)
    void aPlanWithOneSectionLessHasNoObstacleThatWasNotThereButOfWhatBelongsTogether(@ForAll("plans") Plan plan) {
        List<Obstacle> before = Obstacles.of(week(plan), OF_TIDEWALL);
        for (Pick pick : plan.picks()) {
            List<Obstacle> after = Obstacles.of(week(plan.removing(pick::equals)), OF_TIDEWALL);

            assertThat(after)
                    .filteredOn(obstacle -> !(obstacle instanceof Obstacle.LacksLead
                            || obstacle instanceof Obstacle.LacksCompanion
                            || obstacle instanceof Obstacle.LacksCorequisite
                            || obstacle instanceof Obstacle.LacksPrerequisite
                            || obstacle instanceof Obstacle.OverLoad
                            || obstacle instanceof Obstacle.ManyExams))
                    .isSubsetOf(before);
        }
    }

    @Property(tries = 200)
    void thoseThatStopThePlanComeFirstAndEachIsToldOnce(@ForAll("plans") Plan plan) {
        List<Obstacle> found = Obstacles.of(week(plan), OF_TIDEWALL);

        assertThat(found).doesNotHaveDuplicates();
        assertThat(found).extracting(Obstacle::stops).isSortedAccordingTo((one, other) -> Boolean.compare(other, one));
    }

    @Provide
    Arbitrary<Plan> plans() {
        return Arbitraries.of(KERNEL.sections())
                .list()
                .ofMaxSize(7)
                .map(sections -> Plan.empty("1", SEASON, "Plan A")
                        .adding(sections.stream().map(RemedyLawsTest::pick).toList()));
    }

    @Test
    void ofTwoThatDoNotGoTogetherEitherCanBeLeftOut() {
        for (PlannedWeek week : List.of(
                week("GLAC 240d F3e", "LIMN 244d F3e"),
                week("MYCO 144m Y1", "MYCO 245 Y1"),
                week("NUMB 112 T1", "NUMB 112 T2"))) {
            Attendance one = week.taken().get(0);
            Attendance other = week.taken().get(1);
            assertThat(Obstacles.of(week, OF_TIDEWALL))
                    .filteredOn(obstacle -> obstacle instanceof Obstacle.SharedListing
                            || obstacle instanceof Obstacle.CreditOnce
                            || obstacle instanceof Obstacle.SameCourse)
                    .singleElement()
                    .satisfies(obstacle -> assertThat(Obstacles.remedies(obstacle, week))
                            .containsExactly(new Swap(List.of(other), List.of()), new Swap(List.of(one), List.of())));
        }
    }

    @Test
    void aCancelledSectionIsReplacedByOneThatIsHeld() {
        PlannedWeek week = week("LIMN 380 F2");
        Obstacle cancelled = new Obstacle.IsCancelled(attendance("LIMN 380 F2"));

        assertThat(Obstacles.remedies(cancelled, week)).isNotEmpty().allSatisfy(swap -> {
            assertThat(swap.out()).containsExactly(attendance("LIMN 380 F2"));
            assertThat(swap.in()).isNotEmpty().noneMatch(one -> one.section().cancelled());
        });
        assertThat(Obstacles.remedies(new Obstacle.NoLongerPosted(PlansOfTheKernel.unknown()), week))
                .as("of what is gone nobody knows of which course it was")
                .isEmpty();
    }

    @Test
    void aCorequisiteIsMendedByACompleteSetOfItsCourse() {
        PlannedWeek week = week("TIDE 214 T1", "TIDE 214 T1-a");
        Obstacle lacks = obstacles("TIDE 214 T1", "TIDE 214 T1-a").get(0);

        assertThat(Obstacles.remedies(lacks, week)).isNotEmpty().allSatisfy(swap -> {
            assertThat(swap.out()).isEmpty();
            assertThat(swap.in())
                    .allMatch(one -> one.section().course().code().equals(PlansOfTheKernel.code("NUMB", "210")));
            assertThat(Obstacles.of(week(plan("TIDE 214 T1", "TIDE 214 T1-a").adding(picks(swap.in()))), OF_TIDEWALL))
                    .noneMatch(Obstacle.LacksCorequisite.class::isInstance);
        });
    }

    /** The pairs of courses that cannot both be gone to; one that cannot already may go on so at another hour. */
    private static Set<Set<CourseCode>> apart(PlannedWeek week) {
        return week.attended().stream()
                .flatMap(one -> week.attended().stream()
                        .filter(other -> !one.sameCourse(other) && !week.fits(List.of(one), List.of(other)))
                        .map(other -> Set.of(course(one), course(other))))
                .collect(Collectors.toSet());
    }

    private static CourseCode course(Attendance attendance) {
        return attendance.section().course().code();
    }

    private static Pick pick(Section section) {
        return new Pick(TERM, section.entry(), Standing.TAKEN);
    }

    private static List<Pick> picks(List<Attendance> attendances) {
        return attendances.stream().map(one -> pick(one.section())).toList();
    }
}
