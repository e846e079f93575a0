package ample.ledger.core.edition;

import static ample.ledger.core.fixtures.SectionBuilder.TIDEWALL;
import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.edition.SectionChange.What;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class SectionChangesTest {

    private static final Supplier<SectionBuilder> BEFORE = () -> section("TIDE 214")
            .entry("40220")
            .titled("Estuary Hydraulics")
            .at(TIDEWALL)
            .meets("Mon Wed", "9:30-10:50")
            .taughtBy("Okonjo-Reyes")
            .seats(30, 12, 0);

    static Stream<Arguments> changes() {
        return Stream.of(
                change(List.of(), UnaryOperator.identity()),
                change(List.of(), section -> section.seats(30, 29, 4)),
                change(List.of(What.CANCELLED), SectionBuilder::cancelled),
                change(List.of(What.RENAMED), section -> section.titled("Estuaries")),
                change(List.of(What.FEWER_SEATS), section -> section.seats(28, 12, 0)),
                change(List.of(What.RESTRICTED), section -> section.restricted("glaciology", true)),
                change(List.of(What.MOVED), section -> section.meets("Fri", "14:00-15:00")),
                change(
                        List.of(What.PLACE),
                        section -> section.at(new Campus(new CampusCode("pans"), "The Pans", false))),
                change(
                        List.of(What.CANCELLED, What.PEOPLE),
                        section -> section.cancelled().taughtBy("Abara")));
    }

    private static Arguments change(List<What> what, UnaryOperator<SectionBuilder> change) {
        return Arguments.of(what, change);
    }

    @ParameterizedTest
    @MethodSource("changes")
    void namesWhatIsDifferent(List<What> what, UnaryOperator<SectionBuilder> change) {
        Schedule before = Schedules.of(BEFORE.get().build());
        Schedule now = Schedules.of(change.apply(BEFORE.get()).build());

        assertThat(SectionChanges.between(before, now).getOrDefault(new EntryNumber("40220"), List.of()))
                .extracting(SectionChange::what)
                .containsAll(what)
                .hasSameSizeAs(what);
    }

    @Test
    void aSectionThatWasNotThereIsAdded() {
        Schedule before = Schedules.of(BEFORE.get().build());
        Schedule now = Schedules.of(
                BEFORE.get().build(), section("GLAC 120").entry("40001").build());

        Map<EntryNumber, List<SectionChange>> changes = SectionChanges.between(before, now);

        assertThat(changes.keySet()).extracting(EntryNumber::digits).containsExactly("40001");
        assertThat(changes.values())
                .flatExtracting(each -> each)
                .extracting(SectionChange::what)
                .containsExactly(What.ADDED);
    }
}
