package ample.ledger.core.watch;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.edition.SectionChange;
import ample.ledger.core.edition.SectionChange.What;
import ample.ledger.core.fixtures.RandomSchedules;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.plan.Obstacle;
import ample.ledger.core.plan.Obstacles;
import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.watch.EditionNotice.Changed;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

class EditionNoticesTest {

    private static final EntryNumber ONE = new EntryNumber("40101");
    private static final EntryNumber OTHER = new EntryNumber("40102");

    @Provide
    Arbitrary<Schedule> schedules() {
        return RandomSchedules.schedules();
    }

    /** Of every pair of editions, and of whatever a student plans, each section is told of that differs, and no other. */
    @Property(tries = 300)
    void whatIsToldIsWhatAPlainComparisonFinds(
            @ForAll("schedules") Schedule before, @ForAll("schedules") Schedule now, @ForAll long seed) {
        Random random = new Random(seed);
        Set<EntryNumber> planned = Stream.concat(before.sections().stream(), now.sections().stream())
                .map(Section::entry)
                .filter(entry -> random.nextInt(3) == 0)
                .collect(Collectors.toSet());
        Recipient who = student(plan(now, planned), List.of());

        List<Changed> told = told(before, now, who);

        assertThat(told)
                .extracting(changed -> changed.section().section().entry())
                .containsExactlyInAnyOrderElementsOf(planned.stream()
                        .filter(entry -> differs(before.section(entry), now.section(entry)))
                        .toList());
        PlannedWeek then =
                PlannedWeek.of(who.plans(), now.term().season().code(), new PostedSchedules(List.of(before)));
        PlannedWeek week = PlannedWeek.of(who.plans(), now.term().season().code(), new PostedSchedules(List.of(now)));
        Obstacles.Student student = new Obstacles.Student(Optional.empty(), now.term(), Optional.empty());
        Set<Obstacle> known = new HashSet<>(Obstacles.of(then, student));
        List<Obstacle> fresh = Obstacles.of(week, student).stream()
                .filter(obstacle -> obstacle instanceof Obstacle.SameTime && !known.contains(obstacle))
                .toList();
        assertThat(told.stream()
                        .flatMap(changed -> changed.obstacles().stream())
                        .filter(Obstacle.SameTime.class::isInstance)
                        .collect(Collectors.toSet()))
                .as("clashes that are new, of what has moved")
                .isSubsetOf(fresh);
        told.stream()
                .filter(changed -> changed.changes().stream().anyMatch(change -> change.what() == What.MOVED))
                .forEach(changed -> assertThat(changed.obstacles())
                        .containsAll(fresh.stream()
                                .filter(obstacle -> obstacle.about().contains(changed.section()))
                                .toList()));
    }

    /** What a section says of itself, compared by hand; a section that is new concerns nobody who only plans. */
    private static boolean differs(Optional<Section> before, Optional<Section> now) {
        if (before.isEmpty() || now.isEmpty()) {
            return before.isPresent();
        }
        return !facts(before.get()).equals(facts(now.get()))
                || now.get().pool().capacity() < before.get().pool().capacity()
                || !restrictions(before.get()).containsAll(restrictions(now.get()));
    }

    private static List<Object> facts(Section section) {
        return List.of(
                section.cancelled(),
                section.course().title(),
                section.code(),
                section.timings(),
                section.span().dates(),
                section.meetings().stream().map(Meeting::place).collect(Collectors.toSet()),
                section.campus().code(),
                section.instructors());
    }

    private static List<Restriction> restrictions(Section section) {
        List<Restriction> all = new ArrayList<>(section.restrictions());
        all.addAll(section.course().rules().restrictions());
        return all;
    }

    private static List<Changed> told(Schedule before, Schedule now, Recipient who) {
        return notices(before, now, who).stream()
                .filter(Changed.class::isInstance)
                .map(Changed.class::cast)
                .toList();
    }

    private static List<EditionNotice> notices(Schedule before, Schedule now, Recipient who) {
        return new EditionNotices(
                        EditionCorrection.of(before, now),
                        new PostedSchedules(List.of(before)),
                        new PostedSchedules(List.of(now)))
                .of(who);
    }

    private static PlanBook plan(Schedule schedule, Set<EntryNumber> entries) {
        Plan plan = Plan.empty("1", schedule.term().season().code(), "Plan A")
                .with(entries.stream()
                        .sorted()
                        .limit(Plan.MOST_PICKS)
                        .map(entry -> new Pick(schedule.term().code(), entry, Standing.TAKEN))
                        .toList());
        return PlanBook.EMPTY.putting("planned", plan);
    }

    private static Recipient student(PlanBook plans, List<Watch> watches, Recipient.FittedBrief... briefs) {
        return new Recipient(
                plans,
                Registration.nothing(Instant.EPOCH),
                watches,
                List.of(briefs),
                Optional.empty(),
                Optional.empty());
    }

    private static SectionBuilder tides() {
        return section("TIDE 214").entry("40101").meets("Mon", "9:30-10:50").seats(30, 3, 0);
    }

    private static SectionBuilder ice() {
        return section("GLAC 120").entry("40102").meets("Mon", "11:00-12:20");
    }

    @Test
    void aMoveIntoAClashIsToldOnceAndOffersAnotherSection() {
        SectionBuilder second = section("TIDE 214").entry("40103").code("T2").meets("Tue", "9:30-10:50");
        Schedule before = Schedules.of(tides().build(), ice().build(), second.build());
        Schedule now = Schedules.of(
                tides().meets("Mon", "11:30-12:50").seats(28, 3, 0).build(),
                ice().seats(1, 0, 0).build(),
                second.build());

        List<Changed> told = told(before, now, student(plan(now, Set.of(ONE, OTHER)), List.of()));

        assertThat(told).hasSize(2);
        assertThat(told.get(1).obstacles()).singleElement().isInstanceOf(Obstacle.SameTime.class);
        assertThat(told.get(1).why()).containsExactly(Concern.Why.PLANNED);
        assertThat(told.get(1).remedies())
                .anySatisfy(swap -> assertThat(swap.in())
                        .extracting(in -> in.section().code())
                        .containsExactly("T2"));
        assertThat(told.get(0).obstacles()).as("what has not moved itself").isEmpty();
    }

    @Test
    void aWatchTellsWhatItIsAskedTo() {
        Schedule before = Schedules.of(tides().build(), ice().build());
        Schedule now = Schedules.of(
                tides().taughtBy("Okonjo-Reyes").build(),
                ice().build(),
                section("TIDE 214").entry("40103").code("T2").build());
        Watched.OfSection one = new Watched.OfSection(now.term().code(), ONE);
        Watched.OfCourse course = new Watched.OfCourse(now.term().code(), new CourseCode("TIDE", "214"));

        assertThat(entries(before, now, new Watch(one, Set.of(Tell.NAMED), 1))).containsExactly("40101");
        assertThat(entries(before, now, new Watch(one, Set.of(Tell.CANCELLED, Tell.SEAT), 1)))
                .isEmpty();
        assertThat(entries(before, now, new Watch(course, Set.of(Tell.CHANGED), 1)))
                .containsExactly("40101", "40103");
        assertThat(entries(before, Schedules.of(ice().build()), new Watch(one, Set.of(Tell.CANCELLED), 1)))
                .containsExactly("40101");
    }

    private static List<String> entries(Schedule before, Schedule now, Watch watch) {
        return told(before, now, student(PlanBook.EMPTY, List.of(watch))).stream()
                .map(changed -> changed.section().section().entry().digits())
                .toList();
    }

    @Test
    void briefsTellWhatFitsNowAndWhatNoLongerDoes() {
        Schedule before = Schedules.of(tides().build(), ice().build());
        Schedule now = Schedules.of(tides().meets("Mon", "8:00-9:20").build(), ice().build());
        Recipient.FittedBrief late = new Recipient.FittedBrief("Not before 9", Set.of(ONE), Set.of(OTHER));
        Watch watch = new Watch(new Watched.OfBrief(now.term().code(), "Not before 9"), Set.of(Tell.FITS), 1);

        List<EditionNotice> notices = notices(before, now, student(plan(now, Set.of(ONE)), List.of(watch), late));

        assertThat(((Changed) notices.get(0)).briefs()).containsExactly("Not before 9");
        assertThat(((EditionNotice.Fits) notices.get(1)).sections())
                .extracting(found -> found.section().entry())
                .containsExactly(OTHER);
    }

    @Test
    void whatIsRegisteredConcernsToo() {
        Schedule before = Schedules.of(tides().build());
        Schedule now = Schedules.of(tides().cancelled().build());
        Registration has = new Registration(
                Instant.EPOCH, List.of(new Entry(now.term().code().text(), "40101")), List.of(), List.of());

        List<Changed> told = told(
                before,
                now,
                new Recipient(PlanBook.EMPTY, has, List.of(), List.of(), Optional.empty(), Optional.empty()));

        assertThat(told).singleElement().satisfies(changed -> {
            assertThat(changed.why()).containsExactly(Concern.Why.REGISTERED);
            assertThat(changed.changes()).extracting(SectionChange::what).contains(What.CANCELLED);
        });
    }
}
