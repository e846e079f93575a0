package ample.ledger.web.words;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.words.SeatWords.Pip;
import java.util.Collections;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeatWordsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "40 | 34 | 0  | 6 of 40 open               | Open. 6 seats are free.",
                "12 | 11 | 9  | 1 of 12 open, 9 waiting    | Open. 1 seat is free.",
                "20 | 20 | 0  | Full, waitlist open nobody waiting | Full. 10 places of the waitlist are free; nobody is waiting.",
                "20 | 20 | 9  | Full, waitlist open 9 waiting | Full. 1 place of the waitlist is free; 9 people are waiting.",
                "20 | 20 | 10 | Full waitlist full, 10 waiting | Full, and the waitlist is full: 10 people are waiting.",
                "30 | 31 | 10 | Full 1 over-enrolled, waitlist full, 10 waiting | Full, and the waitlist is full: 10 people are waiting.",
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
        assertAddsUp(words(section("GLAC 390").seats(14, 2, 0).needs("permission \"the department\"")));
        assertAddsUp(words(section("GLAC 390").seats(14, 2, 0).restricted("glaciology", true)));
    }

    /** To a guest nothing is theirs, and nothing not theirs, that depends on who they are. */
    @Test
    void whatIsNotKnownOfWhoAsksIsNotClaimed() {
        SeatWords restricted = words(section("GLAC 390").seats(14, 2, 0).restricted("glaciology", true));
        SeatWords held = words(section("GLAC 390").seats(14, 2, 0).held("Glaciology majors", 12, Schedules.TODAY));

        assertThat(restricted.figure() + " " + restricted.rest()).isEqualTo("12 of 14 open to students of glaciology");
        assertThat(restricted.openTo()).isEqualTo("Open to students of glaciology");
        assertThat(held.figure() + " " + held.rest()).isEqualTo("12 of 14 open to Glaciology majors");
        assertThat(held.openTo()).isEqualTo("Open to everybody");
        assertThat(held.open()).isEqualTo("0");
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
        Section one = section("GLAC 240d").entry("40001").listed("both", true).build();
        Section other = section("LIMN 244d")
                .entry("40002")
                .listed("both", false)
                .code("F3e")
                .build();

        assertThat(of(one, Schedules.of(one, other)).account().get(0).label())
                .isEqualTo("Capacity, shared with LIMN 244d F3e");
    }

    private static void assertAddsUp(SeatWords words) {
        int sum = words.account().stream()
                .map(line -> line.figure().replace("−", "-"))
                .collect(Collectors.summingInt(Integer::parseInt));
        assertThat(sum).isEqualTo(Integer.parseInt(words.open()));
    }

    private static SeatWords words(SectionBuilder section) {
        Section built = section.build();
        return of(built, Schedules.of(built));
    }

    private static SeatWords of(Section section, Schedule schedule) {
        return SeatWords.of(
                section,
                Schedules.readings(schedule).of(section, section.pool()),
                Schedules.readings(schedule).person(),
                schedule);
    }
}
