package ample.ledger.core.browse.index;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import java.math.BigDecimal;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The words of two colleges that are browsed together. */
class VocabularyTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();
    private static final Schedule QUARTER = ScheduleBundle.read(
                    Schedules.repository().resolve("demo/bundles/quarter-autumn-2031"))
            .schedule();
    private static final Vocabulary BOTH = Vocabulary.of(List.of(KERNEL, QUARTER));

    @Test
    void everyValueOfEachCollegeIsThereOnceByItsCode() {
        for (Facet facet : Facet.values()) {
            List<String> codes =
                    BOTH.values(facet).stream().map(Facet.Value::code).toList();
            assertThat(codes).as(facet.toString()).doesNotHaveDuplicates();
            for (Schedule schedule : List.of(KERNEL, QUARTER)) {
                assertThat(codes)
                        .as(facet.toString())
                        .containsAll(Vocabulary.of(schedule).values(facet).stream()
                                .map(Facet.Value::code)
                                .toList());
            }
        }
    }

    @Test
    void whatGoesByOneCodeUnderTwoNamesIsCalledByBoth() {
        assertThat(BOTH.values(Facet.CAMPUS)).extracting(Facet.Value::code).contains("tidewall", "pans");
        for (Facet facet : Facet.values()) {
            for (Facet.Value value : BOTH.values(facet)) {
                Set<String> names = names(facet, value.code());
                assertThat(value.name()).isEqualTo(String.join(" / ", names));
            }
        }
    }

    private static Set<String> names(Facet facet, String code) {
        Set<String> names = new LinkedHashSet<>();
        for (Schedule schedule : List.of(KERNEL, QUARTER)) {
            Vocabulary.of(schedule).value(facet, code).ifPresent(value -> names.add(value.name()));
        }
        return names;
    }

    @Test
    void levelsAndCreditsAreInTheOrderOfTheirSizeAndPeopleInThatOfTheirNames() {
        for (Facet facet : List.of(Facet.LEVEL, Facet.CREDITS)) {
            assertThat(BOTH.values(facet))
                    .extracting(value -> new BigDecimal(value.code()))
                    .isSorted();
        }
        assertThat(BOTH.values(Facet.INSTRUCTOR))
                .filteredOn(value -> !value.code().equals(Facet.TO_BE_ANNOUNCED))
                .extracting(Facet.Value::name)
                .isSorted();
        assertThat(BOTH.values(Facet.INSTRUCTOR).stream()
                        .map(Facet.Value::code)
                        .toList()
                        .indexOf(Facet.TO_BE_ANNOUNCED))
                .as("what is not known yet stands last")
                .isEqualTo(BOTH.values(Facet.INSTRUCTOR).size() - 1);
    }

    @Test
    void coursesAndSectionsOfBothAreFound() {
        assertThat(BOTH.course("tide", "214"))
                .hasValueSatisfying(course -> assertThat(course.title()).isEqualTo("Estuary Hydraulics"));
        assertThat(BOTH.course("11", "185"))
                .hasValueSatisfying(course -> assertThat(course.title()).isEqualTo("Brine and Sun"));
        assertThat(BOTH.course("TIDE", "999")).isEmpty();
        assertThat(BOTH.hasEntry(new EntryNumber("40101"))).isTrue();
        assertThat(BOTH.hasEntry(new EntryNumber("70014"))).isTrue();
        assertThat(BOTH.hasEntry(new EntryNumber("99999"))).isFalse();
        assertThat(BOTH.sections())
                .hasSize(KERNEL.sections().size() + QUARTER.sections().size());
        assertThat(BOTH.courses())
                .hasSize(KERNEL.courses().size() + QUARTER.courses().size());
    }

    @Test
    void oneIsCalledByItsTermAndSeveralByTheirSeason() {
        assertThat(Vocabulary.of(KERNEL).name()).isEqualTo(KERNEL.term().name());
        assertThat(BOTH.name()).isEqualTo(KERNEL.term().season().name());
        assertThat(BOTH.remote(Set.of("anywhere"))).isTrue();
        assertThat(BOTH.remote(Set.of("anywhere", "pans"))).isFalse();
        assertThatThrownBy(() -> Vocabulary.of(List.of())).isInstanceOf(IllegalArgumentException.class);
    }
}
