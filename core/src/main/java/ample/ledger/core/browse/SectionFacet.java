package ample.ledger.core.browse;

import ample.ledger.core.schedule.Building;
import ample.ledger.core.schedule.Instructor;
import ample.ledger.core.schedule.Kind;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/** A facet of the section alone: its companions may have other values. */
public enum SectionFacet implements Facet {
    /** What it mainly is, and what its meetings are. */
    KIND(
            Condition.Topic.KIND,
            "kind",
            "kinds",
            "of kind",
            section -> Stream.concat(
                            Stream.of(section.kind()),
                            section.meetings().stream().map(Meeting::kind))
                    .map(Kind::code)
                    .distinct()
                    .toList(),
            schedule -> Arrays.stream(Kind.values())
                    .map(kind -> new Value(kind.code(), kind.label().toLowerCase(Locale.ROOT)))
                    .toList()),
    INSTRUCTOR(
            Condition.Topic.INSTRUCTOR,
            "instructor",
            "instructors",
            "taught by",
            section -> orToBeAnnounced(
                    section.instructors().stream().map(Instructor::code).toList()),
            schedule -> withToBeAnnounced(schedule.sections().stream()
                    .flatMap(section -> section.instructors().stream())
                    .distinct()
                    .sorted(Comparator.comparing(Instructor::name).thenComparing(Instructor::code))
                    .map(person -> new Value(person.code(), person.name())))),
    BUILDING(
            Condition.Topic.BUILDING,
            "building",
            "buildings",
            "meeting in",
            section -> section.meetings().stream()
                    .map(Meeting::place)
                    .flatMap(place -> place instanceof Place.ToBeAnnounced
                            ? Stream.of(SectionFacet.TO_BE_ANNOUNCED)
                            : building(place).map(Building::code).stream())
                    .distinct()
                    .toList(),
            schedule -> withToBeAnnounced(schedule.sections().stream()
                    .flatMap(section -> section.meetings().stream())
                    .flatMap(meeting -> building(meeting.place()).stream())
                    .distinct()
                    .sorted(Comparator.comparing(Building::name).thenComparing(Building::code))
                    .map(building -> new Value(building.code(), building.name()))));

    /** The code of a person or a place that is still to be announced. */
    public static final String TO_BE_ANNOUNCED = "to-be-announced";

    private final Traits traits;
    private final Function<Section, List<String>> codes;

    SectionFacet(
            Condition.Topic topic,
            String parameter,
            String plural,
            String lead,
            Function<Section, List<String>> codes,
            Function<Schedule, List<Value>> values) {
        this.traits = new Traits(topic, parameter, plural, lead, values);
        this.codes = codes;
    }

    @Override
    public Traits traits() {
        return traits;
    }

    @Override
    public SectionCondition.Having having(Set<String> wanted, Match match) {
        return new SectionCondition.Having(this, wanted, match);
    }

    /** The values that the section has. */
    List<String> codesOf(Section section) {
        return codes.apply(section);
    }

    private static Optional<Building> building(Place place) {
        if (place instanceof Place.Room room) {
            return Optional.of(room.building());
        }
        return place instanceof Place.RoomToBeAnnounced known ? Optional.of(known.building()) : Optional.empty();
    }

    private static List<String> orToBeAnnounced(List<String> codes) {
        return codes.isEmpty() ? List.of(TO_BE_ANNOUNCED) : codes;
    }

    private static List<Value> withToBeAnnounced(Stream<Value> known) {
        List<Value> values = new ArrayList<>(known.toList());
        values.add(new Value(TO_BE_ANNOUNCED, "to be announced"));
        return values;
    }
}
