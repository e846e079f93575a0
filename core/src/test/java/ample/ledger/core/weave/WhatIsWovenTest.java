package ample.ledger.core.weave;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;

/** Which sections a week is woven of. */
class WhatIsWovenTest {

    private static final SeasonCode AUTUMN = new SeasonCode("autumn-2031");

    private static final Schedule SCHEDULE = Schedules.of(
            section("TIDE 214")
                    .code("A")
                    .entry("40001")
                    .meets("Mon", "9:00-9:50")
                    .build(),
            section("TIDE 214")
                    .code("B")
                    .entry("40002")
                    .meets("Tue", "9:00-9:50")
                    .build(),
            section("TIDE 214")
                    .code("C")
                    .entry("40003")
                    .meets("Wed", "9:00-9:50")
                    .cancelled()
                    .build());

    @Test
    void withoutASeatItIsLeftOutUnlessAskedFor() {
        assertThat(woven(Optional.of(one -> one.section().code().equals("A")))).containsExactly("TIDE 214 A");
        assertThat(woven(Optional.empty())).contains("TIDE 214 A", "TIDE 214 B");
    }

    @Test
    void whatIsCancelledNeverIs() {
        assertThat(woven(Optional.empty())).doesNotContain("TIDE 214 C");
    }

    private static List<String> woven(Optional<Predicate<Attendance>> seated) {
        WeaveRequest request = new WeaveRequest(
                List.of(new Demand.Want(SCHEDULE.courses(), true)),
                List.of(),
                List.of(),
                List.of(),
                WeekHours.NONE,
                List.of(),
                Optional.empty(),
                List.of(),
                attendance -> 3,
                seated,
                Set.of());
        return Weaver.weave(request, AUTUMN, new PostedSchedules(List.of(SCHEDULE)), 9, Watch.NOBODY).best().stream()
                .flatMap(week -> week.sections().stream())
                .map(Object::toString)
                .toList();
    }
}
