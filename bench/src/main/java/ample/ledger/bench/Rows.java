package ample.ledger.bench;

import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Overlaps;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.reading.Readings;
import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.Building;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The rows that the peers get: each section in each of its complete sets, with everything that a condition asks for worked
 * out beforehand, as a team would that knows the questions. Made from the records alone, without the ledger's index.
 */
final class Rows {

    /**
     * What is asked of a section, or of a set taken as one.
     *
     * @param start minutes from midnight; 1,440 where there is no set time
     * @param end minutes from midnight; 0 where there is none
     */
    record When(int days, int start, int end, int first, int last, int weeks, WeekHours hours) {

        boolean untimed() {
            return days == 0;
        }

        private When with(When other) {
            return new When(
                    days | other.days,
                    Math.min(start, other.start),
                    Math.max(end, other.end),
                    Math.min(first, other.first),
                    Math.max(last, other.last),
                    Math.max(weeks, other.weeks),
                    hours.plus(other.hours));
        }
    }

    /** A section in one of its sets. */
    record Row(int section, int[] members, When itself, When set, int leastOpen, int mostWaiting) {}

    final Schedule schedule;
    final List<Section> sections;
    final List<Row> rows = new ArrayList<>();
    final Map<Facet, Map<String, Integer>> places = new HashMap<>();
    final Map<Facet, int[][]> values = new HashMap<>();
    final int[] rank;
    final int[] spread;
    final int[] spreadOfUnqueued;
    private final Readings readings;
    private final RecordReading byRecord;
    private final StatusReading[] seats;

    Rows(Schedule schedule) {
        this.schedule = schedule;
        this.sections = schedule.sections();
        this.readings = Asker.readings(schedule);
        this.byRecord = Asker.byRecord(schedule);
        this.seats = sections.stream()
                .map(section -> readings.of(section, section.pool()))
                .toArray(StatusReading[]::new);
        for (Facet facet : Facet.values()) {
            Map<String, Integer> known = new LinkedHashMap<>();
            facet.values(schedule).forEach(value -> known.put(value.code(), known.size()));
            places.put(facet, known);
            values.put(
                    facet,
                    sections.stream()
                            .map(section -> codes(facet, section)
                                    .distinct()
                                    .mapToInt(known::get)
                                    .toArray())
                            .toArray(int[][]::new));
        }
        completeSets();
        this.rank = rank();
        this.spread = spread(Integer.MAX_VALUE);
        this.spreadOfUnqueued = spread(0);
    }

    private void completeSets() {
        Map<Section, Integer> place = new HashMap<>();
        sections.forEach(section -> place.put(section, place.size()));
        List<When> itself = sections.stream().map(Rows::when).toList();
        Overlaps overlaps = new Overlaps(schedule.term().calendar());
        for (Section lead : sections) {
            if (lead.companion().isEmpty()) {
                Map<String, List<Section>> choices = schedule.companionsOf(lead).stream()
                        .collect(Collectors.groupingBy(
                                companion -> companion.companion().orElseThrow().choice()));
                List<List<Section>> sets = List.of(List.of(lead));
                for (List<Section> choice : choices.values()) {
                    sets = sets.stream()
                            .flatMap(set -> choice.stream()
                                    .filter(companion -> set.stream()
                                            .allMatch(member -> overlaps.dates(member.timings(), companion.timings())
                                                    .isEmpty()))
                                    .map(companion -> Stream.concat(set.stream(), Stream.of(companion))
                                            .toList()))
                            .toList();
                }
                for (List<Section> set : sets) {
                    int[] members = set.stream().mapToInt(place::get).toArray();
                    When together = set.stream()
                            .map(member -> itself.get(place.get(member)))
                            .reduce(When::with)
                            .orElseThrow();
                    int leastOpen = set.stream()
                            .mapToInt(member -> member.cancelled() ? -1 : seats[place.get(member)].open())
                            .min()
                            .orElseThrow();
                    int mostWaiting = set.stream()
                            .mapToInt(member -> seats[place.get(member)].seats().waiting())
                            .max()
                            .orElseThrow();
                    for (int member : members) {
                        rows.add(new Row(member, members, itself.get(member), together, leastOpen, mostWaiting));
                    }
                }
            }
        }
        rows.sort(Comparator.comparingInt(Row::section));
    }

    private static When when(Section section) {
        int start = section.timings().stream()
                .flatMap(timing -> timing.time().stream())
                .mapToInt(time -> time.startMinute())
                .min()
                .orElse(24 * 60);
        int end = section.timings().stream()
                .flatMap(timing -> timing.time().stream())
                .mapToInt(time -> time.endMinute())
                .max()
                .orElse(0);
        return new When(
                section.days().mask(),
                start,
                end,
                (int) section.span().dates().first().toEpochDay(),
                (int) section.span().dates().last().toEpochDay(),
                section.span().dates().weeks(),
                WeekHours.of(section.timings()));
    }

    private Stream<String> codes(Facet facet, Section section) {
        return switch (facet) {
            case SUBJECT -> Stream.of(section.course().code().subject());
            case DEPARTMENT -> schedule.subject(section.course().code().subject()).orElseThrow().department().stream();
            case PROGRAMME -> section.course().programmes().stream();
            case LEVEL -> Stream.of(String.valueOf(section.course().level()));
            case CREDITS ->
                Stream.of(section.course().credits().stripTrailingZeros().toPlainString());
            case REQUIREMENT -> section.course().requirements().stream();
            case PREREQUISITE ->
                Stream.of(section.course().rules().prerequisites().isEmpty() ? "no-prerequisite" : "prerequisite");
            case KIND ->
                Stream.concat(
                                Stream.of(section.kind()),
                                section.meetings().stream().map(Meeting::kind))
                        .map(kind -> kind.code());
            case INSTRUCTOR ->
                section.instructors().isEmpty()
                        ? Stream.of(Facet.TO_BE_ANNOUNCED)
                        : section.instructors().stream().map(person -> person.code());
            case BUILDING -> section.meetings().stream().map(Meeting::place).flatMap(Rows::building);
            case CAMPUS -> Stream.of(section.campus().code().text());
            case SPAN -> Stream.of(section.span().code());
            case DELIVERY -> Stream.of(section.delivery().code());
            case LANGUAGE -> Stream.of(section.language().toLanguageTag());
            case MATERIALS -> Stream.of(section.freeMaterials() ? "free" : "paid");
            case STILL_OWED -> Stream.of(byRecord.stillOwed(section.course()).code());
            case MAY_TAKE -> Stream.of(byRecord.mayTake(section).may().code());
            case ON_RECORD -> Stream.of(byRecord.onRecord(section.course()).code());
            case STATUS ->
                Stream.of(readings.of(section, section.pool()).status().code());
        };
    }

    private static Stream<String> building(Place place) {
        if (place instanceof Place.Room room) {
            return Stream.of(room.building()).map(Building::code);
        }
        if (place instanceof Place.RoomToBeAnnounced known) {
            return Stream.of(known.building().code());
        }
        return place instanceof Place.ToBeAnnounced ? Stream.of(Facet.TO_BE_ANNOUNCED) : Stream.empty();
    }

    private int[] rank() {
        Integer[] order = new Integer[sections.size()];
        int[] first = new int[order.length];
        for (int section = 0; section < order.length; section++) {
            order[section] = section;
            first[section] = sections.get(section).timings().stream()
                    .flatMap(timing -> timing.time().stream()
                            .flatMap(time -> timing.days().list().stream()
                                    .map(day -> day.getValue() * 24 * 60 + ClockTime.minuteOfDay(time.start()))))
                    .min(Comparator.naturalOrder())
                    .orElse(Integer.MAX_VALUE);
        }
        Arrays.sort(order, Comparator.comparingInt(section -> first[section]));
        int[] ranks = new int[order.length];
        for (int place = 0; place < order.length; place++) {
            ranks[order[place]] = place;
        }
        return ranks;
    }

    /** The seats of each section counted over its companions. */
    private int[] spread(int waiting) {
        Map<Integer, Map<String, Map<String, Integer>>> alternatives = new HashMap<>();
        for (Row row : rows) {
            for (int member : row.members()) {
                String place = member == row.section()
                        ? "itself"
                        : sections.get(member)
                                .companion()
                                .map(companion -> companion.choice())
                                .orElse("lead");
                alternatives
                        .computeIfAbsent(row.section(), absent -> new HashMap<>())
                        .computeIfAbsent(place, absent -> new HashMap<>())
                        .putIfAbsent(sections.get(member).pool().code(), member);
            }
        }
        int[] spread = new int[sections.size()];
        alternatives.forEach((section, byPlace) -> spread[section] = byPlace.values().stream()
                .mapToInt(some -> some.values().stream()
                        .filter(one -> !sections.get(one).cancelled()
                                && seats[one].seats().waiting() <= waiting)
                        .mapToInt(one -> seats[one].open())
                        .reduce((one, other) -> one + other)
                        .orElse(-1))
                .min()
                .orElse(-1));
        return spread;
    }

    /** The places of the values that a row has; of a facet of sets those of every member. */
    Set<Integer> values(Facet facet, Row row) {
        Set<Integer> found = new TreeSet<>();
        int[] of = facet.scope() == Facet.Scope.SET ? row.members() : new int[] {row.section()};
        for (int section : of) {
            for (int value : values.get(facet)[section]) {
                found.add(value);
            }
        }
        return found;
    }

    /** The places of these codes. */
    Set<Integer> places(Facet facet, Set<String> codes) {
        return codes.stream().map(places.get(facet)::get).collect(Collectors.toCollection(HashSet::new));
    }
}
