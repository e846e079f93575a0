package ample.ledger.web.words;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.words.SeatWords.Pip;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeatWordsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "40 | 34 | 0  | 6 of 40 open               | Open. 6 seats are yours to take.",
                "12 | 11 | 9  | 1 of 12 open, 9 waiting    | Open. One seat is yours to take.",
                "20 | 20 | 0  | Full, waitlist open        | Full. 10 places of the waitlist are free; nobody is waiting.",
                "20 | 20 | 9  | Full, waitlist open 9 waiting | Full. 1 place of the waitlist is free; 9 people are waiting.",
                "20 | 20 | 10 | Full 10 waiting            | Full, and so is its waitlist.",
                "30 | 31 | 10 | Full 1 over-enrolled       | Full, and so is its waitlist.",
            })
    void saysHowSeatsStand(int capacity, int enrolled, int waiting, String line, String sentence) {
        SeatWords words = words(section("RHET 101").seats(capacity, enrolled, waiting));

        assertThat((words.figure() + " " + words.rest()).strip()).isEqualTo(line);
        assertThat(words.sentence()).isEqualTo(sentence);
    }

    @Test
    void theAccountAddsUpToTheSeatsOpen() {
        assertAddsUp(words(section("GLAC 240d").seats(30, 22, 0).held("Glaciology majors", 5, Schedules.TODAY)));
        assertAddsUp(words(section("CART 331").seats(18, 10, 5).promised(3)));
        assertAddsUp(words(section("TIDE 235").seats(30, 31, 0)));
        assertAddsUp(words(section("LIMN 380").seats(14, 0, 0).cancelled()));
    }

    @Test
    void oneSeatLeftIsAlwaysSeen() {
        assertThat(words(section("GLAC 120").seats(120, 119, 0)).pips())
                .hasSize(20)
                .containsOnlyOnce(Pip.OPEN)
                .endsWith(Pip.OPEN);
        assertThat(words(section("RHET 101").seats(3, 1, 0).held("majors", 1, Schedules.TODAY))
                        .pips())
                .containsExactly(Pip.TAKEN, Pip.HELD, Pip.OPEN);
        assertThat(words(section("RHET 101").seats(4, 9, 0)).pips()).isEqualTo(Collections.nCopies(4, Pip.TAKEN));
        assertThat(words(section("RHET 101").seats(4, 0, 0).cancelled()).pips()).isEmpty();
    }

    @Test
    void twinsAreNamedWhereTheirSeatsAreCounted() {
        var twin = section("LIMN 244d").code("F3e").build();

        assertThat(of(section("GLAC 240d").build(), List.of(twin))
                        .account()
                        .get(0)
                        .label())
                .isEqualTo("Room for, shared with LIMN 244d F3e");
    }

    private static void assertAddsUp(SeatWords words) {
        int sum = words.account().stream()
                .map(line -> line.figure().replace("−", "-"))
                .collect(Collectors.summingInt(Integer::parseInt));
        assertThat(sum).isEqualTo(Integer.parseInt(words.open()));
    }

    private static SeatWords words(SectionBuilder section) {
        return of(section.build(), List.of());
    }

    private static SeatWords of(Section section, List<Section> twins) {
        return SeatWords.of(section, SeatAccount.of(section.pool(), Schedules.TODAY), twins);
    }
}
