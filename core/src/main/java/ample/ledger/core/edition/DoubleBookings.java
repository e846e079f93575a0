package ample.ledger.core.edition;

import ample.ledger.core.calendar.Overlaps;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.schedule.Instructor;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Rooms and people that are in two places at once. Cross-listed twins share their room and their people, and cancelled
 * sections need none. Exams are compared with exams only: in their week rooms and people are given out anew.
 *
 * <p>Cost: for each room and person every pair of the sections that need it.
 */
final class DoubleBookings {

    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    /** When a section needs a room or a person. */
    private record Use(Section section, List<Timing> timings) {}

    private final Schedule schedule;
    private final Overlaps overlaps;

    private DoubleBookings(Schedule schedule) {
        this.schedule = schedule;
        this.overlaps = new Overlaps(schedule.term().calendar());
    }

    static Stream<Warning> of(Schedule schedule) {
        DoubleBookings bookings = new DoubleBookings(schedule);
        return Stream.concat(bookings.among(Section::meetings), bookings.among(Section::exams));
    }

    private Stream<Warning> among(Function<Section, List<Meeting>> held) {
        Map<String, List<Use>> rooms = new TreeMap<>();
        Map<String, List<Use>> people = new TreeMap<>();
        for (Section section : schedule.sections()) {
            if (!section.cancelled()) {
                List<Meeting> meetings = held.apply(section);
                for (Meeting meeting : meetings) {
                    if (meeting.place() instanceof Place.Room room) {
                        use(
                                rooms,
                                room.building().name() + " " + room.room(),
                                new Use(section, List.of(meeting.timing())));
                    }
                }
                for (Instructor person : section.instructors()) {
                    use(
                            people,
                            person.name(),
                            new Use(
                                    section,
                                    meetings.stream().map(Meeting::timing).toList()));
                }
            }
        }
        return Stream.concat(warnings(rooms, Warning.Kind.ROOM_TWICE), warnings(people, Warning.Kind.PERSON_TWICE));
    }

    private static void use(Map<String, List<Use>> uses, String holder, Use use) {
        uses.computeIfAbsent(holder, absent -> new ArrayList<>()).add(use);
    }

    private Stream<Warning> warnings(Map<String, List<Use>> uses, Warning.Kind kind) {
        List<Warning> warnings = new ArrayList<>();
        uses.forEach((holder, all) -> {
            for (int i = 0; i < all.size(); i++) {
                for (int j = i + 1; j < all.size(); j++) {
                    Use one = all.get(i);
                    Use other = all.get(j);
                    if (!one.section()
                            .pool()
                            .code()
                            .equals(other.section().pool().code())) {
                        Set<LocalDate> dates = overlaps.dates(one.timings(), other.timings());
                        if (!dates.isEmpty()) {
                            warnings.add(warning(kind, holder, one.section(), other.section(), dates));
                        }
                    }
                }
            }
        });
        return warnings.stream().distinct();
    }

    private static Warning warning(Warning.Kind kind, String holder, Section one, Section other, Set<LocalDate> dates) {
        boolean inOrder = one.entry().compareTo(other.entry()) < 0;
        return Warning.ofSections(
                kind,
                "%s, on %d %s, the first %s."
                        .formatted(
                                holder,
                                dates.size(),
                                dates.size() == 1 ? "date" : "dates",
                                DATE.format(dates.iterator().next())),
                inOrder ? one : other,
                inOrder ? other : one);
    }
}
