package ample.ledger.web.browse;

import ample.ledger.core.browse.brief.Between;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Closed;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Dates;
import ample.ledger.core.browse.brief.NumberPattern;
import ample.ledger.core.browse.brief.Numbers;
import ample.ledger.core.browse.brief.Seats;
import ample.ledger.core.browse.brief.WeekPainting;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.term.Place;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * Conditions that students often ask for, of the topics whose values cannot be listed: they are offered ready made, each with
 * what it would give.
 */
final class OftenAsked {

    private static final int MOST_DATES = 6;

    private OftenAsked() {}

    static List<Condition> numbers() {
        return Stream.of(1, 2, 3, 4, 5, 6)
                .map(hundreds -> new NumberPattern(hundreds * 100, hundreds * 100 + 99, ""))
                .map(number -> (Condition) new Numbers(List.of(number)))
                .toList();
    }

    static List<Condition> seats() {
        return List.of(
                new Seats(1, OptionalInt.empty()),
                new Seats(1, OptionalInt.of(0)),
                new Seats(3, OptionalInt.of(0)),
                new Seats(5, OptionalInt.empty()));
    }

    static List<Condition> times() {
        return List.of(
                between(9, 0),
                between(10, 0),
                between(12, 0),
                between(17, 0),
                between(0, 12),
                between(0, 15),
                between(0, 17),
                between(9, 16));
    }

    /** @param to 0 for no end */
    private static Between between(int from, int to) {
        return new Between(hour(from), hour(to));
    }

    private static Optional<LocalTime> hour(int hour) {
        return hour == 0 ? Optional.empty() : Optional.of(LocalTime.of(hour, 0));
    }

    /** Half a term, the shortest spans, and each day on which spans begin later than the term. */
    static List<Condition> dates(Place place) {
        Stream<Condition> lengths = spans(place)
                .map(section -> section.span().dates().weeks())
                .distinct()
                .sorted()
                .limit(MOST_DATES / 2)
                .map(weeks -> new Dates(Optional.empty(), Optional.empty(), OptionalInt.of(weeks)));
        LocalDate first = place.terms().get(0).schedule().term().dates().first();
        Stream<Condition> starts = spans(place)
                .map(section -> section.span().dates().first())
                .filter(day -> day.isAfter(first))
                .distinct()
                .sorted()
                .limit(MOST_DATES)
                .map(day -> new Dates(Optional.of(day), Optional.empty(), OptionalInt.empty()));
        return Stream.concat(lengths, starts).toList();
    }

    private static Stream<Section> spans(Place place) {
        return place.terms().stream().flatMap(posted -> posted.schedule().sections().stream());
    }

    /** What more could be closed: Fridays, mornings, evenings. */
    static List<Condition> closed(Brief brief) {
        return Stream.of("fri", "mon", "0:00-9:00", "12:00-13:00", "17:00-24:00")
                .map(stretch -> WeekHours.parse(stretch).orElseThrow())
                .flatMap(hours -> WeekPainting.close(brief, hours).condition(Closed.class).stream())
                .map(closed -> (Condition) new Closed(closed.hours()))
                .toList();
    }
}
