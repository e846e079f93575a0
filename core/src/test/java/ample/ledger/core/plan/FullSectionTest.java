package ample.ledger.core.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.attendance;
import static ample.ledger.core.plan.PlansOfTheKernel.plan;
import static ample.ledger.core.plan.PlansOfTheKernel.week;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.reading.Readings;
import ample.ledger.core.reading.StatusReading;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;

/** What of a plan can only be waited for, or not be had. */
class FullSectionTest {

    private static final Predicate<Attendance> NOTHING = one -> false;

    @Test
    void aFullSectionIsToldUnlessItIsWaitedFor() {
        Readings readings = Schedules.readings(KERNEL);
        Function<Attendance, StatusReading> seats = attendance ->
                readings.of(attendance.section(), attendance.section().pool());
        Plan plan = plan("TIDE 110 T2", "MYCO 101 X1z");

        assertThat(FullSection.of(week(plan), seats, NOTHING)).singleElement().satisfies(full -> {
            assertThat(full.attendance()).hasToString("TIDE 110 T2");
            assertThat(full.reading().seats().waiting()).isEqualTo(7);
            assertThat(full.instead())
                    .isNotEmpty()
                    .allSatisfy(swap -> assertThat(swap.in())
                            .allMatch(one -> seats.apply(one).open() > 0));
        });
        assertThat(FullSection.of(
                        week(plan.adding(List.of(PlansOfTheKernel.pick("TIDE 110 T2", Standing.WAITED_FOR)))),
                        seats,
                        NOTHING))
                .isEmpty();
        assertThat(FullSection.of(week(plan), seats, one -> true))
                .as("the student has a seat in each")
                .isEmpty();
    }
}
