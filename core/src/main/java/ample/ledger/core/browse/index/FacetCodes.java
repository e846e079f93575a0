package ample.ledger.core.browse.index;

import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.schedule.Building;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** How facets read the codes of a section, and name the values that there are. */
final class FacetCodes {

    private FacetCodes() {}

    /** Which values a section has, by their codes. */
    interface Codes {
        Stream<String> of(Section section, Schedule schedule);
    }

    /** The same of what all sections of a course share. */
    interface CodesOfCourse {
        Stream<String> of(Course course, Schedule schedule);
    }

    /** The one value that a section has by a record. */
    interface ByRecord {
        Coded of(Section section, RecordReading reading);
    }

    static <E extends Coded> Function<Schedule, Stream<Facet.Value>> valuesOf(E[] values, Function<E, String> label) {
        return schedule -> Arrays.stream(values).map(value -> new Facet.Value(value.code(), label.apply(value)));
    }

    static ByRecord byRecord(ByRecord value) {
        return value;
    }

    static Codes ofCourse(CodesOfCourse codes) {
        return (section, schedule) -> codes.of(section.course(), schedule);
    }

    static Codes ofSection(Function<Section, Stream<String>> codes) {
        return (section, schedule) -> codes.apply(section);
    }

    /** "3" of 3.0, "1.5" of 1.50. */
    static String code(BigDecimal credits) {
        return credits.signum() == 0 ? "0" : credits.stripTrailingZeros().toPlainString();
    }

    static <T> Stream<Facet.Value> named(List<T> items, Function<T, String> code, Function<T, String> name) {
        return items.stream().map(item -> new Facet.Value(code.apply(item), name.apply(item)));
    }

    static Optional<Building> building(Place place) {
        if (place instanceof Place.Room room) {
            return Optional.of(room.building());
        }
        return place instanceof Place.RoomToBeAnnounced known ? Optional.of(known.building()) : Optional.empty();
    }

    static Stream<Facet.Value> withToBeAnnounced(Stream<Facet.Value> known) {
        return Stream.concat(known, Stream.of(new Facet.Value(Facet.TO_BE_ANNOUNCED, "to be announced")));
    }
}
