package ample.ledger.core.edition;

import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.schedule.Instructor;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Rooms and people that are in two places at once. Cross-listed twins share their room and their people, and cancelled
 * sections need none. Exams are compared with exams only: in their week rooms and people are given out anew.
 *
 * <p>For each room or person the occurrences are sorted by date and start, and each is compared with those after it that
 * begin before it ends. Cost: sorting the occurrences, and the overlaps themselves.
 */
final class DoubleBookings {

    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    /** Two sections that meet in each other's time. */
    private record Pair(Section first, Section second) {}

    private DoubleBookings() {}

    static Stream<Warning> of(Schedule schedule) {
        TermCalendar calendar = schedule.term().calendar();
        return Stream.concat(
                twice(schedule, section -> Occurrence.of(section, calendar)),
                twice(schedule, section -> Occurrence.ofExams(section, calendar)));
    }

    private static Stream<Warning> twice(Schedule schedule, Function<Section, Stream<Occurrence>> held) {
        List<Occurrence> occurrences = schedule.sections().stream()
                .filter(section -> !section.cancelled())
                .flatMap(held)
                .sorted(Comparator.comparing(Occurrence::date)
                        .thenComparing(occurrence -> occurrence.time().start()))
                .toList();
        return Stream.concat(
                warnings(occurrences, Warning.Kind.ROOM_TWICE, DoubleBookings::room),
                warnings(occurrences, Warning.Kind.PERSON_TWICE, DoubleBookings::people));
    }

    private static Stream<String> room(Occurrence occurrence) {
        return occurrence.meeting().place() instanceof Place.Room room
                ? Stream.of(room.building().name() + " " + room.room())
                : Stream.empty();
    }

    private static Stream<String> people(Occurrence occurrence) {
        return occurrence.section().instructors().stream().map(Instructor::name);
    }

    private static Stream<Warning> warnings(
            List<Occurrence> occurrences, Warning.Kind kind, Function<Occurrence, Stream<String>> holders) {
        Map<String, List<Occurrence>> byHolder = new TreeMap<>();
        occurrences.forEach(occurrence -> holders.apply(occurrence)
                .forEach(holder -> byHolder.computeIfAbsent(holder, absent -> new ArrayList<>())
                        .add(occurrence)));
        return byHolder.entrySet().stream()
                .flatMap(entry -> overlaps(entry.getValue()).entrySet().stream()
                        .map(pair -> warning(kind, entry.getKey(), pair.getKey(), pair.getValue())));
    }

    private static Map<Pair, List<LocalDate>> overlaps(List<Occurrence> sorted) {
        Map<Pair, List<LocalDate>> overlaps = new HashMap<>();
        for (int i = 0; i < sorted.size(); i++) {
            Occurrence one = sorted.get(i);
            for (int j = i + 1; j < sorted.size() && one.overlaps(sorted.get(j)); j++) {
                Section other = sorted.get(j).section();
                if (!one.section().pool().code().equals(other.pool().code())) {
                    Pair pair = one.section().entry().compareTo(other.entry()) < 0
                            ? new Pair(one.section(), other)
                            : new Pair(other, one.section());
                    overlaps.computeIfAbsent(pair, absent -> new ArrayList<>()).add(one.date());
                }
            }
        }
        return overlaps;
    }

    private static Warning warning(Warning.Kind kind, String holder, Pair pair, List<LocalDate> dates) {
        long count = dates.stream().distinct().count();
        return Warning.ofSections(
                kind,
                "%s, on %d %s, the first %s."
                        .formatted(holder, count, count == 1 ? "date" : "dates", DATE.format(dates.get(0))),
                pair.first(),
                pair.second());
    }
}
