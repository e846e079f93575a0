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
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** How facets read the codes of a section, and name the values that there are. */
final class FacetCodes {

    private static final String CREDITS_OR_RANGE = "[0-9]{1,4}(\\.[0-9]{1,2})?(-[0-9]{1,4}(\\.[0-9]{1,2})?)?";

    private FacetCodes() {}

    /**
     * How an address asks for a facet.
     *
     * @param name of the parameter
     * @param meaning of what stands there, a phrase with a capital
     */
    record Asked(String name, String meaning) {}

    static Asked asked(String name, String meaning) {
        return new Asked(name, meaning);
    }

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

    /** What a section has of a facet: by what is posted, by a record, or by the moment, where both are empty. */
    record Source(Optional<Codes> posted, Optional<ByRecord> byRecord) {}

    static Source byRecord(ByRecord value) {
        return new Source(Optional.empty(), Optional.of(value));
    }

    static Source ofMoment() {
        return new Source(Optional.empty(), Optional.empty());
    }

    static Source ofCourse(CodesOfCourse codes) {
        return new Source(Optional.of((section, schedule) -> codes.of(section.course(), schedule)), Optional.empty());
    }

    static Source ofSection(Function<Section, Stream<String>> codes) {
        return new Source(Optional.of((section, schedule) -> codes.apply(section)), Optional.empty());
    }

    /** The value of a facet that {@code code} means though no section has it; see {@link Facet#possible}. */
    static Optional<Facet.Value> possible(Facet facet, String code) {
        if (facet == Facet.LANGUAGE) {
            Locale language = Locale.forLanguageTag(code);
            boolean known = Arrays.asList(Locale.getISOLanguages()).contains(language.getLanguage());
            return Optional.of(language)
                    .filter(some -> known)
                    .map(some -> new Facet.Value(some.toLanguageTag(), some.getDisplayName(Locale.ENGLISH)));
        }
        if (facet == Facet.LEVEL) {
            return Optional.of(code).filter(year -> year.matches("[1-9]")).map(year -> new Facet.Value(year, year));
        }
        return Optional.of(code)
                .filter(credits -> facet == Facet.CREDITS && credits.matches(CREDITS_OR_RANGE))
                .map(credits -> new Facet.Value(credits, credits.replace("-", " to ") + " credits"));
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
