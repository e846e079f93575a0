package ample.ledger.core.plan;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static ample.ledger.core.plan.PlansOfTheKernel.ANYBODY;
import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.attendance;
import static ample.ledger.core.plan.PlansOfTheKernel.exam;
import static ample.ledger.core.plan.PlansOfTheKernel.obstacles;
import static ample.ledger.core.plan.PlansOfTheKernel.plan;
import static ample.ledger.core.plan.PlansOfTheKernel.week;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Building;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Term;
import ample.ledger.core.schedule.TermCode;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import net.sf.geographiclib.Geodesic;
import org.junit.jupiter.api.Test;

class ObstaclesTest {

    @Test
    void aWeekThatStandsHasNone() {
        assertThat(obstacles("NUMB 112 T2", "MYCO 101 X1z")).isEmpty();
    }

    @Test
    void aClashIsMendedByOtherSectionsOfTheSameCourse() {
        PlannedWeek week = week("TIDE 214 T1", "TIDE 214 T1-a", "RHET 205 T2", "NUMB 112 F1");
        List<Obstacle> found = Obstacles.of(week, ANYBODY);

        assertThat(found)
                .filteredOn(Obstacle.SameTime.class::isInstance)
                .isNotEmpty()
                .allSatisfy(clash -> assertThat(Obstacles.remedies(clash, week))
                        .isNotEmpty()
                        .allSatisfy(swap -> {
                            Plan mended = week.plan().replacing(picks(swap.out()), picks(swap.in()));
                            assertThat(Obstacles.of(week(mended), ANYBODY)).hasSizeLessThan(found.size());
                        }));
    }

    @Test
    void aBusyTimeClashesByDatesToo() {
        BusyTime shift = new BusyTime("shift", SectionBuilder.weekly("Mon", "8:30-12:00", 1));
        BusyTime before =
                new BusyTime("training", new Timing.Once(LocalDate.of(2031, 9, 1), TimeRange.of("8:00", "18:00")));
        Plan plan = plan("NUMB 112 T2").busy(none -> List.of(shift, before));

        List<Obstacle> found = Obstacles.of(week(plan), ANYBODY);

        assertThat(found).singleElement().isInstanceOfSatisfying(Obstacle.SameTime.class, same -> {
            assertThat(same.clash().other()).isEqualTo(shift);
            assertThat(same.clash().minutes()).isEqualTo(50);
            assertThat(same.clash().minutesByDate())
                    .as(
                            "Harvest Week has no class, and Tuesday the 16th is taught as a Monday, but is none for the shift")
                    .doesNotContainKeys(LocalDate.of(2031, 10, 27), LocalDate.of(2031, 12, 16));
        });
    }

    /** Common practice, no source: half-term sections in one slot, in different halves, do not clash. */
    @Test
    void twoHalvesInOneSlotStand() {
        Section first = kernel("CART 210 F1");
        assertThat(first.span().code()).isEqualTo("first-half");
        assertThat(obstacles("LOOM 180m Y1", "LOOM 180m Y2"))
                .as("the same course, but not at the same time")
                .singleElement()
                .isInstanceOf(Obstacle.SameCourse.class);
    }

    @Test
    void travelIsMeasuredAgainstTheTimeThereIs() {
        assertThat(obstacles("TIDE 214 T1", "TIDE 214 T1-a", "GLAC 240d F3e", "GLAC 240d F3e-a"))
                .filteredOn(Obstacle.NoTimeToTravel.class::isInstance)
                .singleElement()
                .isInstanceOfSatisfying(Obstacle.NoTimeToTravel.class, none -> {
                    assertThat(none.travel().minutes()).isEqualTo(40);
                    assertThat(none.travel().way()).isEqualTo(new PostedSchedules.Way(55, "shuttle"));
                    assertThat(none.travel().dates().size()).isEqualTo(13);
                });
    }

    /** Karney's geodesics on the WGS 84 ellipsoid, as GeographicLib reckons them; 3.5 feet a second is the MUTCD's pedestrian (from memory). */
    @Test
    void distancesAreThoseOfGeographicLibWithinAHundredthAndAHalf() {
        List<Building> buildings = KERNEL.sections().stream()
                .flatMap(section -> attendance(section.toString()).stays().stream())
                .flatMap(stay -> stay.spot().stream())
                .flatMap(spot -> spot.building().stream())
                .distinct()
                .toList();
        assertThat(buildings).hasSizeGreaterThan(5);
        for (Building one : buildings) {
            for (Building other : buildings) {
                double exact = Geodesic.WGS84.Inverse(
                                one.latitude(), one.longitude(), other.latitude(), other.longitude())
                        .s12;
                assertThat(Distance.metres(one, other)).isBetween(exact * 0.994, exact * 1.006 + 1e-6);
                assertThat(Distance.minutesToWalk(one, other))
                        .isBetween((int) Math.floor(exact * 0.99 / 64.008), (int) Math.ceil(exact * 1.01 / 64.008));
            }
        }
    }

    @Test
    void twinsEquivalentsAndOneCourseTwiceAreTold() {
        assertThat(obstacles("GLAC 240d F3e", "GLAC 240d F3e-a", "LIMN 244d F3e", "LIMN 244d F3e-b"))
                .hasAtLeastOneElementOfType(Obstacle.SharedListing.class)
                .noneMatch(Obstacle.SameCourse.class::isInstance);
        assertThat(obstacles("MYCO 144m Y1", "MYCO 245 Y1"))
                .filteredOn(Obstacle.CreditOnce.class::isInstance)
                .hasSize(1);
        assertThat(obstacles("NUMB 112 T1", "NUMB 112 T2"))
                .filteredOn(Obstacle.SameCourse.class::isInstance)
                .hasSize(1);
    }

    /** Common practice, no source: a group of one lecture may not be combined with another. */
    @Test
    void companionsAreMissedAndForeignOnesTold() {
        assertThat(obstacles("TIDE 214 T1", "TIDE 214 T2-a"))
                .filteredOn(obstacle ->
                        obstacle instanceof Obstacle.LacksCompanion || obstacle instanceof Obstacle.LacksLead)
                .containsExactlyInAnyOrder(
                        new Obstacle.LacksCompanion(attendance("TIDE 214 T1"), "lab"),
                        new Obstacle.LacksLead(attendance("TIDE 214 T2-a"), List.of(attendance("TIDE 214 T1"))));
        PlannedWeek lone = week("LIMN 130 F1");
        Obstacle lacks = new Obstacle.LacksCompanion(attendance("LIMN 130 F1"), "lab");
        assertThat(Obstacles.of(lone, ANYBODY)).contains(lacks);
        assertThat(Obstacles.remedies(lacks, lone)).isNotEmpty().allSatisfy(swap -> {
            assertThat(swap.out()).isEmpty();
            assertThat(swap.in()).singleElement().matches(lab -> !lab.leads());
        });
    }

    /** An exam at the time of a class of its own course is the teachers' to see to; of another it clashes. */
    @Test
    void examsClashWithEachOtherAndWithWhatIsHeldInOtherCourses() {
        LocalDate day = LocalDate.of(2031, 12, 15);
        Section[] sections = {
            section("TIDE 101")
                    .entry("41001")
                    .meets("Mon", "9:00-11:00")
                    .exam(day, "9:00-11:00")
                    .build(),
            section("TIDE 101")
                    .entry("41002")
                    .code("T1-a")
                    .companion("lab", Optional.of("41001"))
                    .meets("Mon", "11:30-12:20")
                    .exam(day, "10:00-11:00")
                    .build(),
            section("TIDE 102")
                    .entry("41003")
                    .meets("Mon", "8:00-8:50")
                    .exam(day, "10:30-12:00")
                    .build()
        };
        PostedSchedules posted = new PostedSchedules(List.of(Schedules.of(sections)));

        assertThat(Obstacles.of(week(posted, sections[0], sections[1]), ANYBODY))
                .as("two exams at once, though of one course")
                .filteredOn(Obstacle.SameTime.class::isInstance)
                .hasSize(1);
        assertThat(Obstacles.of(week(posted, sections[0], sections[2]), ANYBODY))
                .filteredOn(Obstacle.SameTime.class::isInstance)
                .singleElement()
                .isInstanceOfSatisfying(
                        Obstacle.SameTime.class,
                        same -> assertThat(same.clash().exam()).isTrue());
    }

    /** A class that is posted at the time of an exam of its own course will not be held, or the exam will not; a student is told. */
    @Test
    void aClassDuringAnExamOfItsOwnCourseIsToldAndStopsNothing() {
        LocalDate monday = LocalDate.of(2031, 12, 15);
        Section lead = section("TIDE 101")
                .entry("41001")
                .meets("Mon", "9:00-11:00")
                .exam(monday, "10:00-12:00")
                .build();
        Section lab = section("TIDE 101")
                .entry("41002")
                .code("T1-a")
                .companion("lab", Optional.of("41001"))
                .meets("Mon", "11:30-12:20")
                .build();
        Section other = section("TIDE 102")
                .entry("41003")
                .meets("Tue", "9:00-11:00")
                .exam(monday.plusDays(1), "11:00-12:00")
                .build();
        PostedSchedules posted = new PostedSchedules(List.of(Schedules.of(lead, lab, other)));

        assertThat(Obstacles.of(week(posted, lead, lab, other), ANYBODY))
                .filteredOn(Obstacle.DuringOwnExam.class::isInstance)
                .containsExactly(
                        new Obstacle.DuringOwnExam(
                                posted.attendance(lead, Schedules.of(lead)),
                                posted.attendance(lead, Schedules.of(lead)),
                                monday),
                        new Obstacle.DuringOwnExam(
                                posted.attendance(lead, Schedules.of(lead)),
                                posted.attendance(lab, Schedules.of(lead)),
                                monday))
                .noneMatch(Obstacle::stops);
    }

    @Test
    void examsOfADayAreCountedAndOtherCampusesTold() {
        LocalDate day = LocalDate.of(2031, 12, 15);
        Section[] three = {
            exam("TIDE 101", "41001", day, "9:00-11:00"),
            exam("TIDE 102", "41002", day, "13:00-15:00"),
            exam("TIDE 103", "41003", day, "16:00-18:00")
        };
        Schedule schedule = Schedules.of(three);
        PostedSchedules posted = new PostedSchedules(List.of(schedule));
        Obstacles.Student student = new Obstacles.Student(Optional.empty(), schedule.term(), Optional.empty());

        List<Obstacle> two = Obstacles.of(week(posted, three[0], three[1]), student);
        List<Obstacle> all = Obstacles.of(week(posted, three), student);

        assertThat(two).singleElement().isInstanceOf(Obstacle.ManyExams.class).matches(obstacle -> !obstacle.stops());
        assertThat(all).singleElement().isInstanceOf(Obstacle.ManyExams.class).matches(Obstacle::stops);
        assertThat(Obstacles.of(
                        week("NUMB 112 F1"),
                        new Obstacles.Student(
                                Optional.of(new CampusCode("tidewall")), KERNEL.term(), Optional.empty())))
                .singleElement()
                .isInstanceOfSatisfying(
                        Obstacle.OtherCampus.class,
                        other -> assertThat(other.home().name()).isEqualTo("Tidewall"));
    }

    @Test
    void examsAndCampusesAreMendedByOtherSectionsWhereThereAre() {
        LocalDate day = LocalDate.of(2031, 12, 15);
        Schedule schedule = Schedules.of(
                exam("TIDE 101", "41001", day, "9:00-11:00"),
                exam("TIDE 101", "41002", day.plusDays(1), "9:00-11:00"),
                exam("TIDE 102", "41003", day, "13:00-15:00"));
        PlannedWeek week = week(
                new PostedSchedules(List.of(schedule)),
                schedule.sections().get(0),
                schedule.sections().get(2));
        Obstacle many = Obstacles.of(week, new Obstacles.Student(Optional.empty(), schedule.term(), Optional.empty()))
                .get(0);

        assertThat(Obstacles.remedies(many, week))
                .singleElement()
                .satisfies(swap -> assertThat(swap.in())
                        .extracting(one -> one.section().entry().digits())
                        .containsExactly("41002"));
        Obstacles.Student harbour =
                new Obstacles.Student(Optional.of(new CampusCode("tidewall")), KERNEL.term(), Optional.empty());
        assertThat(Obstacles.remedies(Obstacles.of(week("NUMB 112 F1"), harbour).get(0), week("NUMB 112 F1")))
                .extracting(swap -> swap.in().get(0).toString())
                .containsExactlyInAnyOrder("NUMB 112 T1", "NUMB 112 T2");
    }

    /** Another college's calendar is only to be known: holidays and dates that bind are not the student's own. */
    @Test
    void anotherCalendarIsToldAndStopsNothing() {
        Term elsewhere = new Term(
                new TermCode("autumn-quarter-2031"),
                "Autumn quarter 2031",
                KERNEL.term().season(),
                KERNEL.term().dates(),
                KERNEL.term().calendar());
        List<Obstacle> found =
                Obstacles.of(week("NUMB 112 T1"), new Obstacles.Student(Optional.empty(), elsewhere, Optional.empty()));

        assertThat(found)
                .containsExactly(new Obstacle.OtherCalendar(attendance("NUMB 112 T1"), elsewhere))
                .noneMatch(Obstacle::stops);
        assertThat(Obstacles.of(
                        week("NUMB 112 F1"),
                        new Obstacles.Student(
                                Optional.of(new CampusCode("tidewall")), KERNEL.term(), Optional.empty())))
                .isNotEmpty()
                .noneMatch(Obstacle::stops);
    }

    @Test
    void whatIsCancelledOrGoneIsTold() {
        Plan plan = plan("LIMN 380 F2").adding(List.of(PlansOfTheKernel.unknown()));

        assertThat(Obstacles.of(week(plan), ANYBODY))
                .hasAtLeastOneElementOfType(Obstacle.IsCancelled.class)
                .contains(new Obstacle.NoLongerPosted(PlansOfTheKernel.unknown()));
    }

    /** Whatever fits a week can be taken without a new obstacle of time or travel. */
    @Test
    void everySwapThatIsOfferedFits() {
        PlannedWeek week = week("NUMB 112 F1", "CART 210 F1", "MYCO 101 Y1", "RHET 205 T2");
        for (Attendance member : week.attended()) {
            for (Swap swap : Swap.of(member, week)) {
                Plan after = week.plan().replacing(picks(swap.out()), picks(swap.in()));
                long before = timeOrTravel(week);
                assertThat(timeOrTravel(week(after))).as(swap.toString()).isLessThanOrEqualTo(before);
            }
        }
    }

    private static long timeOrTravel(PlannedWeek week) {
        return Obstacles.of(week, ANYBODY).stream()
                .filter(obstacle ->
                        obstacle instanceof Obstacle.SameTime || obstacle instanceof Obstacle.NoTimeToTravel)
                .count();
    }

    private static Section kernel(String name) {
        return PlansOfTheKernel.section(name);
    }

    private static List<Pick> picks(List<Attendance> attendances) {
        return attendances.stream()
                .map(attendance ->
                        new Pick(attendance.term().code(), attendance.section().entry(), Standing.TAKEN))
                .toList();
    }
}
