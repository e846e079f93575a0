package ample.ledger.core.weave;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.fixtures.RandomSchedules;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

class WeaverTest {

    private static final SeasonCode AUTUMN = new SeasonCode("autumn-2031");

    private static final List<Wish> WISHES = List.of(
            new Wish.DaysFree(Days.ALL),
            new Wish.DaysFree(Days.of(DayOfWeek.MONDAY)),
            new Wish.NotBefore(LocalTime.of(10, 0)),
            new Wish.NotAfter(LocalTime.of(14, 30)),
            Wish.Plain.FEW_GAPS,
            Wish.Plain.SHORT_DAYS,
            Wish.Plain.LUNCH,
            Wish.Plain.SEATS_TO_SPARE,
            new Wish.TaughtBy("Ada Reed"));

    /** As its definition reads: every choice of sets tried, date by date and minute by minute. */
    @Property(tries = 1200)
    void countsAndBestWeeksAreThoseOfTryingThemAll(@ForAll("schedules") Schedule schedule, @ForAll Random dice) {
        List<Wish> wishes = new ArrayList<>(WISHES);
        Collections.shuffle(wishes, dice);
        List<Demand.Want> wants = schedule.courses().stream()
                .filter(course -> schedule.sectionsOf(course.code()).size() > 0)
                .limit(3)
                .map(course -> new Demand.Want(List.of(course), true))
                .toList();
        Map<Section, Integer> seats = new HashMap<>();
        schedule.sections().forEach(section -> seats.put(section, dice.nextInt(5)));
        WeaveRequest request = new WeaveRequest(
                wants,
                List.of(),
                List.of(),
                List.of(),
                dice.nextBoolean()
                        ? WeekHours.NONE
                        : WeekHours.parse("mon:9:00-9:45").orElseThrow(),
                List.of(),
                Optional.empty(),
                wishes.subList(0, dice.nextInt(4)),
                attendance -> seats.get(attendance.section()),
                dice.nextBoolean() ? Optional.empty() : Optional.of(attendance -> seats.get(attendance.section()) > 0),
                Set.of());

        Weaver.Woven woven = Weaver.weave(request, AUTUMN, posted(schedule), 20, Watch.NOBODY);
        Map<Object, Long> all = new PlainWeaving(schedule, request).all();

        assertThat(woven.count().exact() && woven.proven()).isTrue();
        assertThat(woven.count().choices())
                .as(() -> woven.best().stream()
                        .map(week -> week.sections().stream()
                                .map(one -> one + " " + one.section().timings())
                                .toList()
                                .toString())
                        .collect(Collectors.joining("\n")))
                .isEqualTo(all.size());
        assertThat(woven.best())
                .extracting(Weave::points)
                .isEqualTo(all.values().stream().sorted().limit(20).toList());
        if (all.isEmpty()) {
            Impossibility why = Weaver.whyNone(request, AUTUMN, posted(schedule));
            assertThat(why.conflicts()).isNotEmpty();
        }
    }

    @Provide
    Arbitrary<Schedule> schedules() {
        return RandomSchedules.schedules()
                .filter(schedule -> !schedule.sections().isEmpty());
    }

    @Example
    void weeksThatDifferOnlyInSectionsOfTheSameTimesAreOneWithItsVariants() {
        Schedule schedule = Schedules.of(
                one("TIDE 214", 1).meets("Mon Wed", "9:00-9:50").build(),
                one("TIDE 214", 2).meets("Mon Wed", "9:00-9:50").build(),
                one("TIDE 214", 3).meets("Tue", "9:00-9:50").build(),
                one("LIMN 130", 4).meets("Tue", "9:30-10:20").build());

        Weaver.Woven woven = weave(schedule, List.of());

        assertThat(woven.count()).isEqualTo(new Compatibility.Count(1, 2, true));
        assertThat(woven.best()).singleElement().satisfies(week -> {
            assertThat(week.variantCount()).isEqualTo(2);
            assertThat(week.sections()).hasSize(2);
        });
    }

    @Example
    void theBestWeekSaysHowFarItIsFromEachWish() {
        Schedule schedule = Schedules.of(
                one("TIDE 214", 1).meets("Mon Fri", "9:00-9:50").build(),
                one("TIDE 214", 2).meets("Mon Tue", "8:00-8:50").build(),
                one("LIMN 130", 3).meets("Mon", "11:50-12:40").build());
        Wish free = new Wish.DaysFree(Days.of(DayOfWeek.FRIDAY));
        Wish late = new Wish.NotBefore(LocalTime.of(9, 0));

        List<Weave> best = weave(schedule, List.of(free, late)).best();

        assertThat(best).hasSize(2);
        assertThat(best.get(0).measures()).containsExactly(new Weave.Measure(free, 0), new Weave.Measure(late, 120));
        assertThat(best.get(0).points()).as("an hour twice, for fifteen weeks").isEqualTo(120L * 15);
        assertThat(best.get(1).points()).as("a day, and twice that").isEqualTo(2L * 240 * 15);
    }

    /** Each institution names its pools for itself. */
    @Example
    void classesOfTwoInstitutionsGoTogetherWhateverTheirPoolsAreCalled() {
        Section tide =
                one("TIDE 214", 1).meets("Mon", "9:00-9:50").listed("A", true).build();
        Section twin =
                one("LIMN 130", 2).meets("Mon", "9:00-9:50").listed("A", false).build();
        Section there =
                one("NUMB 112", 3).meets("Tue", "9:00-9:50").listed("A", true).build();
        Schedule here = Schedules.of(tide, twin);
        Schedule other = Schedules.of("autumn-quarter-2031", List.of(there));
        Demand.Want own = want(here, true, "TIDE 214");

        Weaver.Woven both = Weaver.weave(
                WeaveRequest.of(List.of(own, want(other, true, "NUMB 112")), List.of()),
                AUTUMN,
                new PostedSchedules(List.of(here, other)),
                5,
                Watch.NOBODY);
        Weaver.Woven twins = Weaver.weave(
                WeaveRequest.of(List.of(own, want(here, true, "LIMN 130")), List.of()),
                AUTUMN,
                posted(here),
                5,
                Watch.NOBODY);

        assertThat(both.count().choices()).isEqualTo(1);
        assertThat(twins.count().choices()).as("one class posted twice").isZero();
    }

    @Example
    void optionalWantsAreLeftOutOnlyWhereTheyDoNotGo() {
        Schedule schedule = Schedules.of(
                one("TIDE 214", 1).meets("Mon", "9:00-9:50").build(),
                one("LIMN 130", 2).meets("Mon", "9:30-10:20").build(),
                one("NUMB 112", 3).meets("Tue", "9:30-10:20").build());
        List<Demand.Want> wants = List.of(
                want(schedule, true, "TIDE 214"), want(schedule, false, "LIMN 130"), want(schedule, false, "NUMB 112"));

        Weaver.Woven woven = Weaver.weave(WeaveRequest.of(wants, List.of()), AUTUMN, posted(schedule), 5, Watch.NOBODY);

        assertThat(woven.count().choices()).isEqualTo(2);
        assertThat(woven.best().get(0).sections())
                .extracting(Object::toString)
                .containsExactly("TIDE 214 S1", "NUMB 112 S3");
    }

    @Example
    void ofSeveralCoursesOneIsTaken() {
        Schedule schedule = Schedules.of(
                one("TIDE 214", 1).meets("Mon", "9:00-9:50").build(),
                one("LIMN 130", 2).meets("Tue", "9:30-10:20").build());

        WeaveRequest either = WeaveRequest.of(List.of(want(schedule, true, "TIDE 214", "LIMN 130")), List.of());
        Weaver.Woven woven = Weaver.weave(either, AUTUMN, posted(schedule), 5, Watch.NOBODY);

        assertThat(woven.best())
                .extracting(week -> week.sections().toString())
                .containsExactlyInAnyOrder("[TIDE 214 S1]", "[LIMN 130 S2]");
    }

    @Example
    void pinsRefusalsBusyTimesAndTheBriefAreKept() {
        Schedule schedule = Schedules.of(
                one("TIDE 214", 1).meets("Mon", "9:00-9:50").build(),
                one("TIDE 214", 2).meets("Tue", "9:00-9:50").build(),
                one("TIDE 214", 3).meets("Wed", "9:00-9:50").build(),
                one("TIDE 214", 4).meets("Thu", "9:00-9:50").build());
        BusyTime shift = new BusyTime("shift", SectionBuilder.weekly("Wed", "9:30-17:00", 1));
        List<Attendance> all = Attendance.of(schedule.sections(), schedule);

        assertThat(sections(schedule, List.of(), List.of(all.get(1)), List.of(shift), "S4"))
                .containsExactly("TIDE 214 S1");
        assertThat(sections(schedule, List.of(all.get(1)), List.of(), List.of(), ""))
                .containsExactly("TIDE 214 S2");
    }

    @Example
    void saysWhichWantsCannotGoTogetherAndWhatWouldLoosenIt() {
        Schedule schedule = Schedules.of(
                one("TIDE 214", 1).meets("Mon", "9:00-9:50").build(),
                one("LIMN 130", 2).meets("Mon", "9:30-10:20").build(),
                one("NUMB 112", 3).meets("Tue", "8:00-9:20").build(),
                one("CART 105", 4).meets("Wed", "8:00-9:20").build());
        Demand.Want tide = want(schedule, true, "TIDE 214");
        Demand.Want limn = want(schedule, true, "LIMN 130");
        Demand.Want numb = want(schedule, true, "NUMB 112");
        WeaveRequest request = new WeaveRequest(
                List.of(tide, limn, numb, want(schedule, true, "CART 105")),
                List.of(),
                List.of(),
                List.of(),
                WeekHours.parse("tue:8:00-9:00").orElseThrow(),
                List.of(),
                Optional.empty(),
                List.of(),
                attendance -> 3,
                Optional.empty(),
                Set.of());

        Impossibility why = Weaver.whyNone(request, AUTUMN, posted(schedule));

        assertThat(why.conflicts()).hasSize(2);
        assertThat(why.conflicts().get(0).wants()).containsExactly(numb);
        assertThat(why.conflicts().get(0).because()).singleElement().isInstanceOf(Demand.Closed.class);
        assertThat(why.conflicts().get(1)).isEqualTo(new Impossibility.Conflict(List.of(tide, limn), List.of()));
        assertThat(why.loosenings())
                .as("one of the two courses, and with it the hour or the course that meets in it")
                .hasSize(4)
                .allSatisfy(loosening -> assertThat(loosening).hasSize(2));
    }

    @Example
    void whatIsAskedForBesideACourseIsWovenWithIt() {
        Schedule schedule = Schedules.of(
                one("TIDE 214", 1)
                        .takenWith("LIMN 130")
                        .meets("Mon", "9:00-9:50")
                        .build(),
                one("LIMN 130", 2).meets("Mon", "9:30-10:20").build(),
                one("LIMN 130", 3).meets("Tue", "9:30-10:20").build(),
                one("NUMB 112", 4)
                        .takenWith("LIMN 130")
                        .meets("Wed", "9:30-10:20")
                        .build());
        Demand.Want tide = want(schedule, true, "TIDE 214");
        Demand.Want numb = want(schedule, true, "NUMB 112");

        assertThat(woven(schedule, Set.of(), tide)).containsExactly("[TIDE 214 S1, LIMN 130 S3]");
        assertThat(woven(schedule, Set.of(), tide, want(schedule, false, "LIMN 130")))
                .as("wanted by itself, and then not left out")
                .containsExactly("[TIDE 214 S1, LIMN 130 S3]");
        assertThat(woven(schedule, Set.of(), tide, numb))
                .as("asked for by both")
                .containsExactly("[TIDE 214 S1, LIMN 130 S3, NUMB 112 S4]");
        assertThat(woven(schedule, Set.of(schedule.sections().get(1).course().code()), tide))
                .as("passed before")
                .containsExactly("[TIDE 214 S1]");
    }

    /** Of nothing but courses, for a student for whom some sections have a seat. */
    static WeaveRequest request(List<Demand.Want> wants, Predicate<Attendance> seated, Set<CourseCode> settled) {
        return new WeaveRequest(
                wants,
                List.of(),
                List.of(),
                List.of(),
                WeekHours.NONE,
                List.of(),
                Optional.empty(),
                List.of(),
                attendance -> 3,
                Optional.of(seated),
                settled);
    }

    private static List<String> woven(Schedule schedule, Set<CourseCode> settled, Demand.Want... wants) {
        WeaveRequest request = request(List.of(wants), attendance -> true, settled);
        return Weaver.weave(request, AUTUMN, posted(schedule), 9, Watch.NOBODY).best().stream()
                .map(week -> week.sections().toString())
                .toList();
    }

    private static List<String> sections(
            Schedule schedule, List<Attendance> pinned, List<Attendance> refused, List<BusyTime> busy, String not) {
        WeaveRequest request = new WeaveRequest(
                List.of(want(schedule, true, "TIDE 214")),
                pinned,
                refused,
                List.of(),
                WeekHours.NONE,
                busy,
                Optional.of(attendance -> !attendance.section().code().equals(not)),
                List.of(),
                attendance -> 3,
                Optional.empty(),
                Set.of());
        return Weaver.weave(request, AUTUMN, posted(schedule), 9, Watch.NOBODY).best().stream()
                .flatMap(week -> week.sections().stream())
                .map(Object::toString)
                .toList();
    }

    private static Weaver.Woven weave(Schedule schedule, List<Wish> wishes) {
        List<Demand.Want> wants = schedule.courses().stream()
                .map(course -> new Demand.Want(List.of(course), true))
                .toList();
        return Weaver.weave(WeaveRequest.of(wants, wishes), AUTUMN, posted(schedule), 20, Watch.NOBODY);
    }

    private static Demand.Want want(Schedule schedule, boolean required, String... courses) {
        return new Demand.Want(
                Stream.of(courses)
                        .map(code -> schedule.courses().stream()
                                .filter(course -> course.written().equals(code))
                                .findFirst()
                                .orElseThrow())
                        .toList(),
                required);
    }

    private static SectionBuilder one(String course, int number) {
        return section(course).entry("4000" + number).code("S" + number);
    }

    private static PostedSchedules posted(Schedule schedule) {
        return new PostedSchedules(List.of(schedule));
    }
}
