package ample.ledger.core.browse.answer;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.index.Order;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.fixtures.PlainPerson;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Section;
import java.util.Comparator;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OrderTest {

    private static final TermIndex INDEX = Schedules.indexOf(
            section("GLAC 110")
                    .entry("101")
                    .code("A")
                    .arrangedOnline("2")
                    .seats(10, 5, 0)
                    .build(),
            section("GLAC 110")
                    .entry("102")
                    .code("B")
                    .meets("Wed Fri", "9:00-9:50")
                    .seats(40, 30, 0)
                    .build(),
            section("MYCO 101")
                    .entry("103")
                    .code("A")
                    .meets("Fri Mon", "14:00-14:50")
                    .seats(0, 0, 0)
                    .build(),
            section("TIDE 101")
                    .entry("104")
                    .code("A")
                    .meets("Mon", "9:00-9:50")
                    .seats(50, 10, 0)
                    .cancelled()
                    .build(),
            section("TIDE 101")
                    .entry("105")
                    .code("B")
                    .meets("Mon", "9:00-9:50")
                    .seats(20, 15, 0)
                    .build());

    @ParameterizedTest
    @CsvSource({
        "COURSE, 101 102 103 104 105",
        "MEETING, 104 105 103 102 101",
        "OPEN_SEATS, 102 101 105 103 104",
        "SHARE_TAKEN, 101 102 105 103 104",
        "DATES, 101 102 103 104 105",
        "CAMPUS, 101 102 103 104 105",
    })
    void putsFirstWhatItSays(Order order, String entries) {
        assertThat(Findings.of(Schedules.now(INDEX), Brief.EVERYTHING).first(order, 10))
                .extracting(section -> section.entry().digits())
                .containsExactly(entries.split(" "));
    }

    /** The same orders by figures worked out section by section. */
    static Comparator<Section> comparator(Order order, PlainPerson person) {
        return switch (order) {
            case OPEN_SEATS ->
                Comparator.comparing(section -> section.cancelled()
                        ? 1
                        : -person.open(section, section.pool().count()));
            case SHARE_TAKEN ->
                Comparator.comparing(section -> section.cancelled()
                        ? Double.MAX_VALUE
                        : section.pool().count().enrolled()
                                / (double) section.pool().capacity());
            case CAMPUS ->
                Comparator.comparing(section -> person.schedule().campuses().indexOf(section.campus()));
            case DATES ->
                Comparator.comparing((Section section) -> section.span().dates().first())
                        .thenComparing(section -> section.span().dates().last());
            case COURSE -> Comparator.comparing(section -> section.course().code());
            case MEETING ->
                Comparator.comparing(section -> section.timings().stream()
                        .flatMap(timing -> timing.days().list().stream()
                                .map(day -> day.getValue() + " "
                                        + timing.time().orElseThrow().start()))
                        .sorted()
                        .findFirst()
                        .orElse("late"));
        };
    }
}
