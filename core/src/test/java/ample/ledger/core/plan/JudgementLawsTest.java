package ample.ledger.core.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.POSTED;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.PlainPerson;
import ample.ledger.core.fixtures.PlainTogether;
import ample.ledger.core.fixtures.RandomPeople;
import ample.ledger.core.reading.Readings;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.requirement.StudentRecord.Part;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Grade;
import ample.ledger.core.schedule.GradeScale;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.lifecycle.AfterContainer;

/** A week said to stand has nothing against it by a plain reading of all rules, and the other way round. */
class JudgementLawsTest {

    private static final PlainTogether TOGETHER = new PlainTogether(KERNEL);

    private static int standing;
    private static int refused;

    @Property(tries = 4000)
    void aWeekIsSaidToStandJustWhenItWill(@ForAll("people") PlainPerson somebody, @ForAll Random dice) {
        PlainPerson person =
                new PlainPerson(KERNEL, somebody.student().map(record -> with(record, dice)), somebody.now());
        List<Section> taken = week(dice);
        PlainWeek plain = new PlainWeek(KERNEL, TOGETHER, person, taken);
        Readings readings = new Readings(KERNEL, person.person());

        Judgement judgement = Judgement.of(
                PlansOfTheKernel.week(POSTED, taken.toArray(Section[]::new)),
                new Obstacles.Student(Optional.empty(), KERNEL.term(), person.student()),
                attendance ->
                        readings.of(attendance.section(), attendance.section().pool()));

        assertThat(judgement.stands())
                .as(() -> taken + " of " + person + ": " + judgement)
                .isEqualTo(plain.stands());
        standing += plain.stands() ? 1 : 0;
        refused += plain.stands() ? 0 : 1;
    }

    @AfterContainer
    static void thereWereEnoughOfBoth() {
        assertThat(standing).isGreaterThan(200);
        assertThat(refused).isGreaterThan(200);
    }

    /** The complete sets of some courses; sometimes a section more, or less. */
    private static List<Section> week(Random dice) {
        List<Section> week = new ArrayList<>();
        int courses = 1 + dice.nextInt(3);
        while (courses > 0) {
            Course course = KERNEL.courses().get(dice.nextInt(KERNEL.courses().size()));
            List<List<Section>> sets = CompleteSets.of(KERNEL, course.code());
            if (!sets.isEmpty()) {
                sets.get(dice.nextInt(sets.size())).stream()
                        .filter(section -> !week.contains(section))
                        .forEach(week::add);
            }
            courses--;
        }
        if (dice.nextInt(6) == 0) {
            Section more = KERNEL.sections().get(dice.nextInt(KERNEL.sections().size()));
            if (!week.contains(more)) {
                week.add(more);
            }
        }
        if (week.size() > 1 && dice.nextInt(6) == 0) {
            week.remove(dice.nextInt(week.size()));
        }
        return week;
    }

    /** A record of whose parts some are known, with courses passed, failed and going on. */
    private static StudentRecord with(StudentRecord record, Random dice) {
        List<Optional<Grade>> grades = List.of(
                GradeScale.LETTERS.parse("A"),
                GradeScale.LETTERS.parse("C"),
                GradeScale.LETTERS.parse("F"),
                Optional.empty());
        List<StudentRecord.Taken> taken = KERNEL.courses().stream()
                .filter(course -> dice.nextInt(3) > 0)
                .map(course -> new StudentRecord.Taken(course.code(), grades.get(dice.nextInt(grades.size()))))
                .toList();
        return new StudentRecord(
                dice.nextBoolean() ? EnumSet.allOf(Part.class) : Set.of(),
                taken,
                record.creditsEarned(),
                record.level(),
                record.placements(),
                record.permissions(),
                record.groups());
    }

    @Provide
    Arbitrary<PlainPerson> people() {
        return RandomPeople.of(KERNEL);
    }
}
