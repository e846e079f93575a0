package ample.ledger.web.term;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.clearInvocations;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import ample.ledger.core.browse.quick.QuickFind;
import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Term;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.Editions;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class TermsTest {

    private static final Instant EVENING = Instant.parse("2031-06-17T20:00:00Z");

    private final Editions editions = mock();
    private final Clock clock = mock();
    private final Terms terms = new Terms(editions, mock(LatestSeats.class), clock);

    @BeforeEach
    void postTheFirstEditionInTheEvening() {
        when(clock.instant()).thenReturn(EVENING);
        when(editions.schedule(any())).thenReturn(Schedules.kernelSchedule());
        current(1);
        terms.refresh();
    }

    @Test
    void anEditionIsIndexedOnce() {
        terms.refresh();
        assertThat(terms.get(new TermCode("autumn-2031"))).isSameAs(terms.get(new TermCode("autumn-2031")));

        verify(editions, times(1)).schedule(any());
    }

    @Test
    void theNextEditionIsSeenOnceThereIsNewsOfIt() {
        terms.get(new TermCode("autumn-2031"));
        current(2);
        terms.refresh();

        assertThat(terms.get(new TermCode("autumn-2031")).edition().number()).isEqualTo(2);
    }

    /** Else the first who ask for a new edition wait for a second. */
    @Test
    void whatIsFoundByIsWorkedOutBeforeATermIsShownAndOnceForEachEdition() {
        TermCode autumn = new TermCode("autumn-2031");
        Places places = new Places(terms, clock);
        List<Integer> shownMeanwhile = new ArrayList<>();
        terms.beforeItIsShown(
                posted -> shownMeanwhile.add(terms.get(autumn).edition().number()));
        QuickFind first = places.place(autumn).quickFind();
        current(2);
        when(editions.history(autumn)).thenReturn(List.of(edition(2), edition(1)));
        terms.refresh();
        QuickFind next = places.place(autumn).quickFind();
        terms.compareEditions();

        assertThat(shownMeanwhile).first().isEqualTo(1);
        assertThat(next).isNotSameAs(first);
        assertThat(places.place(autumn).quickFind())
                .as("with what the editions changed")
                .isSameAs(next);
        assertThat(places.place(autumn).terms()).containsExactly(terms.get(autumn));
    }

    /** Seats are held until a day, so they are counted anew when the institution's clocks pass midnight. */
    @Test
    void seatsAreCountedAnewEachDay() {
        assertThat(terms.get(new TermCode("autumn-2031")).index().today()).hasToString("2031-06-17");
        when(clock.instant()).thenReturn(Instant.parse("2031-06-17T23:30:00Z"));
        terms.refresh();

        assertThat(terms.get(new TermCode("autumn-2031")).index().today())
                .as("half past midnight in the institution's summer")
                .hasToString("2031-06-18");
    }

    @Test
    void whatEveryEditionChangedIsSaidAndComparedOnce() {
        Section monday =
                section("TIDE 214").entry("40001").meets("Mon", "9:30-10:50").build();
        Section tuesday =
                section("TIDE 214").entry("40001").meets("Tue", "9:30-10:50").build();
        Section taught = section("TIDE 214")
                .entry("40001")
                .meets("Tue", "9:30-10:50")
                .taughtBy("Haldor")
                .build();
        when(editions.history(new TermCode("autumn-2031"))).thenReturn(List.of(edition(3), edition(2), edition(1)));
        when(editions.schedule(edition(1))).thenReturn(Schedules.of(monday));
        when(editions.schedule(edition(2))).thenReturn(Schedules.of(tuesday));
        when(editions.schedule(edition(3))).thenReturn(Schedules.of(taught));
        clearInvocations(editions);
        current(3);
        terms.refresh();
        terms.compareEditions();
        terms.compareEditions();

        ChangeWords words = new ChangeWords(terms.get(new TermCode("autumn-2031")), ClockStyle.HOURS_24);
        assertThat(words.of(taught.entry())).isEqualTo("was without an announced instructor");
        assertThat(words.ofAllEditions(taught.entry()))
                .containsExactly(
                        "Edition 3, Tue 17 Jun, 20:00: was without an announced instructor",
                        "Edition 2, Tue 17 Jun, 20:00: was Mon 9:30–10:50");
        verify(editions, times(1)).schedule(edition(1));
    }

    /** "Both terms" runs into spring: its free week is free for who takes the class, from the moment it is posted. */
    @Test
    void aSpanThatRunsIntoAnotherTermFollowsItsCalendarOnceItIsPosted() {
        Schedule autumn = Schedules.kernelSchedule();
        LocalDate lambing = LocalDate.of(2032, 3, 8);
        Term spring = new Term(
                new TermCode("spring-2032"),
                "Spring 2032",
                autumn.term().season(),
                new DateRange(LocalDate.of(2032, 1, 12), LocalDate.of(2032, 4, 30)),
                new TermCalendar(List.of(
                        new TermCalendar.ExceptionalDay(lambing, Optional.empty(), "Lambing Week"),
                        new TermCalendar.ExceptionalDay(LocalDate.of(2031, 10, 20), Optional.empty(), "not its own"))));
        Edition posted = new Edition(9, "halvermere", spring.code(), 1, EVENING, "", "", "");
        when(editions.schedule(posted))
                .thenReturn(new Schedule(
                        autumn.institution(), spring, autumn.codeKey(), autumn.lists(), List.of(), List.of()));
        assertThat(timetableOfAutumn(lambing)).isPresent();

        when(editions.allCurrent()).thenReturn(List.of(edition(1), posted));
        terms.refresh();

        assertThat(timetableOfAutumn(lambing)).isEmpty();
        assertThat(timetableOfAutumn(LocalDate.of(2031, 10, 20)))
                .as("on its own dates its own calendar counts")
                .isPresent();
        assertThat(timetableOfAutumn(LocalDate.of(2031, 10, 27))).isEmpty();

        current(1);
        terms.refresh();
        assertThat(timetableOfAutumn(lambing)).as("taken out again").isPresent();
    }

    private Optional<DayOfWeek> timetableOfAutumn(LocalDate date) {
        return terms.get(new TermCode("autumn-2031"))
                .schedule()
                .term()
                .calendar()
                .timetableOf(date);
    }

    @Test
    void aTermThatWasNeverPostedIsUnknown() {
        assertThatExceptionOfType(UnknownTermException.class)
                .isThrownBy(() -> terms.get(new TermCode("spring-1999")))
                .matches(unknown -> unknown.code().equals("spring-1999"));
        verify(editions, times(1)).allCurrent();
    }

    private void current(int number) {
        when(editions.allCurrent()).thenReturn(List.of(edition(number)));
    }

    private static Edition edition(int number) {
        return new Edition(number, "halvermere", new TermCode("autumn-2031"), number, EVENING, "", "", "");
    }
}
