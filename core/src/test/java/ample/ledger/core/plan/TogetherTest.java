package ample.ledger.core.plan;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.PlainTogether;
import ample.ledger.core.fixtures.RandomSchedules;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

/** What a plan is told of and what is never woven are the same. */
class TogetherTest {

    private static final Section TIDE = section("TIDE 214")
            .entry("40001")
            .meets("Mon", "9:00-9:50")
            .listed("A", true)
            .build();

    private static final Section TWIN = section("LIMN 130")
            .entry("40002")
            .meets("Tue", "9:00-9:50")
            .listed("A", false)
            .build();

    private static final Section ONCE = section("NUMB 112")
            .entry("40003")
            .meets("Wed", "9:00-9:50")
            .creditOnceWith("LIMN 130")
            .build();

    private static final Section LATER =
            section("CART 105").entry("40004").meets("Mon", "9:30-10:20").build();

    private static final Section FREE =
            section("MYCO 101").entry("40005").meets("Thu", "9:00-9:50").build();

    private static final Schedule SCHEDULE = Schedules.of(TIDE, TWIN, ONCE, LATER, FREE);
    private static final PostedSchedules POSTED = new PostedSchedules(List.of(SCHEDULE));

    @Test
    void ofTwoSectionsWhatAPlanIsToldOfIsNotPossible() {
        List<Attendance> all = Attendance.of(SCHEDULE.sections(), SCHEDULE);
        Obstacles.Student student = new Obstacles.Student(Optional.empty(), SCHEDULE.term(), Optional.empty());
        int apart = 0;
        for (Attendance one : all) {
            for (Attendance other : all) {
                if (!one.equals(other)) {
                    boolean stops =
                            Obstacles.of(PlansOfTheKernel.week(POSTED, one.section(), other.section()), student)
                                    .stream()
                                    .anyMatch(Obstacle::stops);
                    assertThat(Together.possible(List.of(one), List.of(other), POSTED))
                            .as(one + " and " + other)
                            .isEqualTo(!stops);
                    apart += stops ? 1 : 0;
                }
            }
        }
        assertThat(apart).as("twins, credit once, one hour; either way").isEqualTo(6);
    }

    @Test
    void saysWhy() {
        assertThat(ruledOut(TIDE, TWIN)).containsInstanceOf(Obstacle.SharedListing.class);
        assertThat(ruledOut(TWIN, ONCE)).containsInstanceOf(Obstacle.CreditOnce.class);
        assertThat(ruledOut(ONCE, TWIN)).containsInstanceOf(Obstacle.CreditOnce.class);
        assertThat(ruledOut(TIDE, FREE)).isEmpty();
    }

    @Test
    void saysWhatKeepsTwoSectionsApart() {
        assertThat(apart(TIDE, LATER)).contains(Apart.SAME_TIME);
        assertThat(apart(TIDE, TWIN)).contains(Apart.ONE_CLASS);
        assertThat(apart(TWIN, ONCE)).contains(Apart.CREDIT_ONCE);
        assertThat(apart(TIDE, section("TIDE 214").entry("40006").code("T2").build()))
                .contains(Apart.SAME_COURSE);
        assertThat(apart(TIDE, FREE)).isEmpty();
        assertThat(apart(TIDE, TIDE)).as("itself").isEmpty();
        assertThat(Together.apart(
                        PlansOfTheKernel.attendance("TIDE 214 T1"),
                        PlansOfTheKernel.attendance("GLAC 240d F3e-a"),
                        PlansOfTheKernel.POSTED))
                .as("the shuttle takes 55 minutes, and there are 40")
                .contains(Apart.TOO_FAR);
        assertThat(Apart.values())
                .extracting(Apart::phrase)
                .doesNotHaveDuplicates()
                .noneMatch(String::isEmpty);
    }

    /** What a section keeps out of a plan, against a plain reading date by date; asked for twice, of more sections than are remembered. */
    @Property(tries = 60)
    void whatKeepsApartIsWhatAPlainReadingFinds(@ForAll("schedules") Schedule schedule) {
        PostedSchedules posted = new PostedSchedules(List.of(schedule));
        PlainTogether plain = new PlainTogether(schedule);
        for (int turn = 0; turn < 2; turn++) {
            for (Section one : schedule.sections()) {
                BitSet apart = posted.apartFrom(posted.attendance(one, schedule), schedule);
                for (int place = 0; place < schedule.sections().size(); place++) {
                    Section other = schedule.sections().get(place);
                    assertThat(apart.get(place)).as(one + " and " + other).isEqualTo(plain.apart(one, other));
                }
                apart.clear();
            }
        }
    }

    @Provide
    static Arbitrary<Schedule> schedules() {
        return RandomSchedules.schedules();
    }

    private static Optional<Apart> apart(Section one, Section other) {
        return Together.apart(new Attendance(one, SCHEDULE), new Attendance(other, SCHEDULE), POSTED);
    }

    private static Optional<Obstacle> ruledOut(Section one, Section other) {
        return Together.ruledOut(new Attendance(one, SCHEDULE), new Attendance(other, SCHEDULE));
    }
}
