package ample.ledger.core.readiness;

import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.POSTED;
import static ample.ledger.core.plan.PlansOfTheKernel.attendance;
import static ample.ledger.core.plan.PlansOfTheKernel.week;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.CompleteSets;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.PlansOfTheKernel;
import ample.ledger.core.plan.SubmissionOrder.Why;
import ample.ledger.core.readiness.Readiness.Line;
import ample.ledger.core.readiness.Readiness.Remedy;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.rules.Book;
import ample.ledger.core.registrar.rules.Registrant;
import ample.ledger.core.registrar.rules.Rules;
import ample.ledger.core.registrar.rules.StudentsOnFile;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Section;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class ReadinessTest {

    private static final Instant BEFORE = Instant.parse("2031-06-09T12:00:00Z");
    private static final Instant OPEN = Instant.parse("2031-06-20T12:00:00Z");
    private static final StudentFile FILE = StudentsOnFile.with(
            StudentsOnFile.file(
                    "maris",
                    "tidal-engineering",
                    "NUMB 112 B",
                    "GLAC 120 A-",
                    "TIDE 110 B+",
                    "LIMN 130 B",
                    "RHET 101 A"),
            "autumn-2031",
            Optional.empty(),
            Optional.of(18));
    private static final Registrant MARIS = Registrant.of(FILE, POSTED);

    @Test
    void whatPassesWithTheOpeningIsToldApart() {
        Readiness readiness = of(BEFORE, "MYCO 101 X1z");

        Line line = readiness.lines().get(0);
        assertThat(line.now().orElseThrow().isRefusedFor(Reason.NOT_YET_OPEN)).isTrue();
        assertThat(line.goesThrough()).isTrue();
        assertThat(readiness.isOpen(BEFORE)).isFalse();
        assertThat(readiness.opens(BEFORE)).contains(line.opened());
        assertThat(line.opened()).isAfter(BEFORE);
        assertThat(line.remedies()).isEmpty();
    }

    @Test
    void theOrderIsTheOneThatWorks() {
        Readiness readiness = of(OPEN, "TIDE 214 T1", "TIDE 214 T1-a", "MYCO 101 X1z", "NUMB 210 T1", "NUMB 210 T1-a");

        assertThat(readiness.lines())
                .extracting(line -> line.step().lead().toString())
                .containsSubsequence("NUMB 210 T1", "TIDE 214 T1");
        assertThat(readiness.lines()).allMatch(Line::goesThrough);
        assertThat(readiness.why()).anyMatch(Why.TakenWith.class::isInstance);
        assertThat(readiness.requests()).hasSize(3);
    }

    @Test
    void anotherOrderIsJudgedAsItStands() {
        PlannedWeek week = week("TIDE 214 T1", "TIDE 214 T1-a", "NUMB 210 T1", "NUMB 210 T1-a");
        Steps steps = steps(week, Registration.nothing(OPEN)).inOrder(Entry.of(List.of(attendance("TIDE 214 T1"))));

        Readiness readiness = Readiness.of(steps, foretold(Registration.nothing(OPEN)), OPEN);

        assertThat(readiness.lines().get(0).now().orElseThrow().isRefusedFor(Reason.COREQUISITE))
                .isTrue();
        assertThat(readiness.lines().get(1).goesThrough()).isTrue();
    }

    @Test
    void aFullSectionCanBeWaitedFor() {
        Line line = of(OPEN, "TIDE 110 T2").lines().get(0);

        assertThat(line.refused()).isTrue();
        assertThat(line.remedies())
                .filteredOn(Remedy.Wait.class::isInstance)
                .singleElement()
                .satisfies(
                        wait -> assertThat(((Remedy.Wait) wait).place().place()).isEqualTo(8));
        assertThat(line.remedies()).anyMatch(Remedy.Instead.class::isInstance);
    }

    @Test
    void whatIsHadAlreadyIsNotAskedForAgain() {
        Registration has = new Registration(
                OPEN, Entry.of(List.of(attendance("NUMB 210 T1"), attendance("NUMB 210 T1-a"))), List.of(), List.of());
        PlannedWeek week = week("NUMB 210 T1", "NUMB 210 T1-a", "TIDE 214 T1", "TIDE 214 T1-a");

        Steps steps = steps(week, has);

        assertThat(steps.requests())
                .containsExactly(
                        Request.register(Entry.of(List.of(attendance("TIDE 214 T1"), attendance("TIDE 214 T1-a")))));
        assertThat(steps.why()).noneMatch(Why.TakenWith.class::isInstance);
        assertThat(Readiness.of(steps, foretold(has), OPEN).lines()).allMatch(line -> !line.refused());
    }

    @Test
    void anotherSectionOfWhatIsHadIsASwap() {
        Registration has = new Registration(OPEN, Entry.of(List.of(attendance("CART 210 F1"))), List.of(), List.of());
        Attendance other = POSTED.setsOf(PlansOfTheKernel.code("CART", "210"), KERNEL).stream()
                .map(set -> set.get(0))
                .filter(one -> !one.toString().equals("CART 210 F1"))
                .findFirst()
                .orElseThrow();

        assertThat(steps(week(other.toString()), has).requests())
                .containsExactly(Request.swap(has.registered(), Entry.of(List.of(other))));
    }

    /** On a state that nothing else changes, what is foretold is what is answered; and each remedy does what it says. */
    @Property(tries = 400)
    void whatIsForetoldIsAnswered(@ForAll Random dice) {
        Instant now = dice.nextInt(4) == 0 ? BEFORE : OPEN;
        PlannedWeek week = randomWeek(dice);
        Rules rules = new Rules(POSTED, Duration.ofHours(24), name -> Optional.empty());
        Book book = rules.book();
        // Something that the student has already.
        randomWeek(dice).taken().stream()
                .filter(Attendance::leads)
                .limit(2)
                .forEach(one -> rules.submit(book, MARIS, Request.register(List.of(Entry.of(one))), OPEN));
        Registration has = book.registration("maris", now);
        Steps steps = steps(week, has);

        Readiness readiness = Readiness.of(steps, foretold(has, rules), now);

        for (Line line : readiness.lines()) {
            if (line.step().request().isPresent()) {
                Answer answer = rules.submit(book, MARIS, line.step().request().get(), now)
                        .answer();
                assertThat(line.now()).contains(answer);
            }
        }
        readiness
                .lines()
                .forEach(line -> line.remedies().forEach(remedy -> mends(line, remedy, week, has, rules, now)));
    }

    private static void mends(Line line, Remedy remedy, PlannedWeek week, Registration has, Rules rules, Instant now) {
        List<Attendance> planned = new ArrayList<>(week.taken());
        if (remedy instanceof Remedy.Instead instead) {
            planned.removeAll(instead.out());
            planned.addAll(0, instead.in());
        } else if (remedy instanceof Remedy.LeaveOut out) {
            planned.removeAll(out.others());
        } else {
            return;
        }
        Steps steps = steps(week(names(planned)), has);
        assertThat(Readiness.of(steps, foretold(has, rules), now).lines())
                .filteredOn(after -> after.step().lead().sameCourse(line.step().lead()))
                .as("%s with %s", line.step(), remedy)
                .noneMatch(Line::refused);
    }

    private static String[] names(List<Attendance> some) {
        return some.stream().map(Object::toString).distinct().toArray(String[]::new);
    }

    private static PlannedWeek randomWeek(Random dice) {
        List<String> names = new ArrayList<>();
        for (int i = 0; i < 1 + dice.nextInt(5); i++) {
            Course course = KERNEL.courses().get(dice.nextInt(KERNEL.courses().size()));
            List<List<Section>> sets = CompleteSets.of(KERNEL, course.code());
            if (!sets.isEmpty() && names.stream().noneMatch(name -> name.startsWith(course.written()))) {
                sets.get(dice.nextInt(sets.size())).forEach(section -> names.add(section.toString()));
            }
        }
        if (names.size() > 1 && dice.nextInt(5) == 0) {
            names.remove(dice.nextInt(names.size()));
        }
        return week(names.toArray(String[]::new));
    }

    private static Readiness of(Instant now, String... names) {
        Registration nothing = Registration.nothing(now);
        return Readiness.of(steps(week(Arrays.copyOf(names, names.length)), nothing), foretold(nothing), now);
    }

    private static Steps steps(PlannedWeek week, Registration has) {
        return Steps.of(week, has, one -> one.section().pool().capacity());
    }

    private static Foretold foretold(Registration has) {
        return foretold(has, new Rules(POSTED, Duration.ofHours(24), name -> Optional.empty()));
    }

    private static Foretold foretold(Registration has, Rules rules) {
        return new Foretold(POSTED, MARIS, has, rules::posted);
    }
}
