package ample.ledger.core.weave;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WishTest {

    private static final DateRange FIRST = new DateRange(SectionBuilder.TERM.first(), LocalDate.of(2031, 10, 24));
    private static final DateRange SECOND = new DateRange(LocalDate.of(2031, 11, 3), SectionBuilder.TERM.last());

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "free-any|days free",
                "free-fri|Fri free",
                "free-mon-fri|Mon, Fri free",
                "from-10:00|nothing before 10:00",
                "until-16:30|nothing after 16:30",
                "few-gaps|few gaps",
                "one-campus|one campus a day",
                "seats-to-spare|seats to spare",
                "short-days|short days",
                "lunch|lunch kept free",
                "who-Ada Reed|with Ada Reed"
            })
    void aWishIsReadFromItsCodeAndSaidInWords(String code, String words) {
        assertThat(Wish.parse(code)).hasValueSatisfying(wish -> {
            assertThat(wish.code()).isEqualTo(code);
            assertThat(wish.inWords(ClockStyle.HOURS_24)).isEqualTo(words);
        });
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "free-", "free-someday", "from-", "from-25:00", "until-x", "who-", "few gaps", "seats"})
    void whatIsNoWishIsNone(String code) {
        assertThat(Wish.parse(code)).isEmpty();
    }

    /** The points of one day by hand: 9:00–9:50 at one campus, 11:00–12:20 at another, 12:20–18:10 at the first. */
    @ParameterizedTest
    @CsvSource({
        "free-any, 240",
        "free-mon, 240",
        "free-tue, 0",
        "from-10:00, 60",
        "from-9:00, 0",
        "until-18:00, 10",
        "few-gaps, 70",
        "one-campus, 120",
        "short-days, 190",
        "lunch, 60",
        "seats-to-spare, 0"
    })
    void theDayIsCountedAsItsDefinitionSays(String code, int points) {
        Wish wish = Wish.parse(code).orElseThrow();
        long[] day = {
            Wishing.pack(9 * 60, 9 * 60 + 50, 0),
            Wishing.pack(11 * 60, 12 * 60 + 20, 1),
            Wishing.pack(12 * 60 + 20, 18 * 60 + 10, 0)
        };

        assertThat(new Wishing(List.of(wish)).points(wish, DayOfWeek.MONDAY, day, day.length, 0))
                .isEqualTo(points);
        assertThat(new Wishing(List.of(wish)).points(wish, DayOfWeek.MONDAY, day, 0, 0))
                .isZero();
    }

    @Test
    void eachWishWeighsTwiceTheNext() {
        Wishing three = new Wishing(List.of(Wish.Plain.LUNCH, Wish.Plain.FEW_GAPS, Wish.Plain.SHORT_DAYS));

        assertThat(Stream.of(0, 1, 2).map(three::weight)).containsExactly(4, 2, 1);
        assertThat(three.allWeights()).isEqualTo(7);
        assertThat(new Wishing(List.of()).allWeights()).isEqualTo(1);
    }

    @Test
    void halvesOfATermAreTypicalWeeksOfTheirOwn() {
        Section whole = SectionBuilder.section("TIDE 101")
                .entry("41001")
                .meets("Mon", "9:00-9:50")
                .build();
        Section first = SectionBuilder.section("TIDE 102")
                .entry("41002")
                .runs("a", FIRST)
                .meets("Tue", "9:00-9:50")
                .build();
        Section second = SectionBuilder.section("TIDE 103")
                .entry("41003")
                .runs("b", SECOND)
                .meets("Wed", "9:00-9:50")
                .build();
        Section once = SectionBuilder.section("TIDE 104")
                .entry("41004")
                .meetsOnce(FIRST.first(), "8:00-9:00")
                .build();
        Schedule schedule = Schedules.of(whole, first, second, once);

        TypicalWeeks both = new TypicalWeeks(Attendance.of(schedule.sections(), schedule), SectionBuilder.TERM);
        TypicalWeeks one = new TypicalWeeks(Attendance.of(List.of(whole), schedule), SectionBuilder.TERM);

        assertThat(both.weeksOf())
                .as("first half, the week between, second half")
                .containsExactly(7, 1, 7);
        assertThat(one.weeksOf()).containsExactly(15);
        assertThat(both.footprint(Attendance.of(List.of(first), schedule), 0).cells())
                .containsExactly(1);
        assertThat(both.footprint(Attendance.of(List.of(second), schedule), 0).cells())
                .containsExactly(16);
        assertThat(both.footprint(Attendance.of(List.of(whole), schedule), 0).cells())
                .containsExactly(0, 7, 14);
        assertThat(both.footprint(Attendance.of(List.of(once), schedule), 0).cells())
                .isEmpty();
    }
}
