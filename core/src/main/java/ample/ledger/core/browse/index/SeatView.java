package ample.ledger.core.browse.index;

import ample.ledger.core.reading.Person;
import ample.ledger.core.reading.Readings;
import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The seats of one edition as they stand at one moment for one person, or for nobody in particular. Immutable; a change makes another view,
 * which shares what did not change and costs what did, beside copying a few bitmaps.
 */
public final class SeatView {

    /** What counts as no seats at all, not even none left: a cancelled section, a queue longer than accepted. */
    private static final int OUT = -1;

    /** Columns of seats over companions that are kept, whatever queues are asked for. */
    private static final int MOST_COLUMNS = 8;

    private final Ground ground;
    private final Readings person;
    private final StatusReading[] readings;
    private final FacetIndex statuses;
    private final SlicedColumn leastOpen;
    private final SlicedColumn mostWaiting;

    /** By the most people waiting that are accepted: the seats of each section, counted over its companions. */
    private final Map<Integer, SlicedColumn> overCompanions;

    /**
     * What seats stand on, the same for everybody at any moment.
     *
     * @param alternatives for each section and each other place of its complete sets, the sections that can fill it; of
     *     sections that share a pool the first
     */
    record Ground(
            Candidates layout,
            List<Section> sections,
            Map<String, List<SectionAt>> sectionsOfPool,
            List<List<List<SectionAt>>> alternatives) {

        static Ground of(Candidates layout, List<Section> sections) {
            Map<String, List<SectionAt>> ofPool = new HashMap<>();
            for (int section = 0; section < sections.size(); section++) {
                ofPool.computeIfAbsent(sections.get(section).pool().code(), absent -> new ArrayList<>())
                        .add(new SectionAt(section));
            }
            return new Ground(
                    layout,
                    sections,
                    ofPool,
                    IntStream.range(0, sections.size())
                            .mapToObj(SectionAt::new)
                            .map(section -> alternatives(layout, sections, section))
                            .toList());
        }

        private static List<List<SectionAt>> alternatives(Candidates layout, List<Section> sections, SectionAt self) {
            Map<String, Map<String, SectionAt>> byPlace = new LinkedHashMap<>();
            layout.of(self)
                    .flatMap(candidate -> layout.setOf(candidate).stream())
                    .filter(member -> !member.equals(self))
                    .forEach(member -> {
                        Section section = sections.get(member.place());
                        byPlace.computeIfAbsent(place(section), absent -> new LinkedHashMap<>())
                                .putIfAbsent(section.pool().code(), member);
                    });
            return byPlace.values().stream()
                    .map(members -> List.copyOf(members.values()))
                    .toList();
        }

        /** What a section is in a complete set: the one that leads, or one of a choice of companions. */
        private static String place(Section section) {
            return section.companion().map(companion -> companion.choice()).orElse("");
        }

        Section section(SectionAt at) {
            return sections.get(at.place());
        }
    }

    private SeatView(
            Ground ground,
            Readings person,
            StatusReading[] readings,
            FacetIndex statuses,
            SlicedColumn leastOpen,
            SlicedColumn mostWaiting,
            Map<Integer, SlicedColumn> overCompanions) {
        this.ground = ground;
        this.person = person;
        this.readings = readings;
        this.statuses = statuses;
        this.leastOpen = leastOpen;
        this.mostWaiting = mostWaiting;
        this.overCompanions = overCompanions;
    }

    /**
     * For {@code person}. Cost: one reading of each section.
     *
     * @param counts of the pools that stand otherwise than posted
     */
    static SeatView of(Ground ground, Schedule schedule, Person person, Map<String, SeatPool.Count> counts) {
        Candidates layout = ground.layout();
        Readings reader = new Readings(schedule, person);
        StatusReading[] readings = ground.sections().stream()
                .map(section -> reader.of(section, standing(section.pool(), counts)))
                .toArray(StatusReading[]::new);
        FacetIndex statuses = FacetIndex.ofOneValue(
                layout,
                Arrays.stream(Status.values()).map(Status::code).toList(),
                section -> readings[section.place()].status().code());
        return new SeatView(
                ground,
                reader,
                readings,
                statuses,
                SlicedColumn.of(layout, candidate -> leastOpen(ground, readings, candidate)),
                SlicedColumn.of(layout, candidate -> mostWaiting(ground, readings, candidate)),
                new ConcurrentHashMap<>());
    }

    private static SeatPool standing(SeatPool posted, Map<String, SeatPool.Count> counts) {
        SeatPool.Count count = counts.get(posted.code());
        return count == null ? posted : posted.standing(count);
    }

    /** This view with other counts for some pools. Pools that the edition does not have are passed over. */
    SeatView with(Map<String, SeatPool.Count> counts) {
        StatusReading[] now = readings.clone();
        Set<SectionAt> changed = new HashSet<>();
        for (String pool : counts.keySet()) {
            for (SectionAt at : ground.sectionsOfPool().getOrDefault(pool, List.of())) {
                Section section = ground.section(at);
                now[at.place()] = person.of(section, standing(section.pool(), counts));
                changed.add(at);
            }
        }
        List<CandidateAt> candidates =
                changed.stream().flatMap(ground.layout()::together).distinct().toList();
        Map<Integer, SlicedColumn> spread = new ConcurrentHashMap<>();
        overCompanions.forEach((waiting, column) -> spread.put(
                waiting, column.with(candidates, candidate -> overCompanions(ground, now, candidate, waiting))));
        return new SeatView(
                ground,
                person,
                now,
                statuses.with(changed, at -> now[at.place()].status().code()),
                leastOpen.with(candidates, candidate -> leastOpen(ground, now, candidate)),
                mostWaiting.with(candidates, candidate -> mostWaiting(ground, now, candidate)),
                spread);
    }

    /** What a section is to the person. */
    StatusReading reading(SectionAt section) {
        return readings[section.place()];
    }

    FacetIndex statuses() {
        return statuses;
    }

    /** The candidates with {@code atLeast} seats counted over companions, and a seat in each section of their set. */
    public CandidateSet takeable(int atLeast, int waiting) {
        return having(atLeast, waiting)
                .and(leastOpen.atLeast(Math.min(atLeast, 1)))
                .and(mostWaiting.atMost(waiting));
    }

    /** The candidates whose section has {@code atLeast} seats counted over companions, behind no longer queue. */
    public CandidateSet having(int atLeast, int waiting) {
        SlicedColumn column = overCompanions.get(waiting);
        if (column == null) {
            column =
                    SlicedColumn.of(ground.layout(), candidate -> overCompanions(ground, readings, candidate, waiting));
            if (overCompanions.size() < MOST_COLUMNS) {
                overCompanions.put(waiting, column);
            }
        }
        return column.atLeast(atLeast);
    }

    /** The seats of a section counted over its companions; {@code OUT} for none at all. */
    int overCompanions(SectionAt section, int waiting) {
        return overCompanionsOf(ground, readings, section, waiting);
    }

    private static int overCompanions(Ground ground, StatusReading[] readings, CandidateAt candidate, int waiting) {
        return overCompanionsOf(ground, readings, ground.layout().sectionOf(candidate), waiting);
    }

    private static int overCompanionsOf(Ground ground, StatusReading[] readings, SectionAt section, int waiting) {
        int seats = open(readings[section.place()], waiting);
        for (List<SectionAt> place : ground.alternatives().get(section.place())) {
            int together = OUT;
            for (SectionAt alternative : place) {
                int open = open(readings[alternative.place()], waiting);
                together = open == OUT ? together : Math.max(together, 0) + open;
            }
            seats = Math.min(seats, together);
        }
        return seats;
    }

    private static int open(StatusReading reading, int waiting) {
        boolean out = reading.status() == Status.CANCELLED || reading.seats().waiting() > waiting;
        return out ? OUT : reading.open();
    }

    /** The sections that can fill the other places of the sets of {@code section}. */
    Stream<SectionAt> alternatives(SectionAt section) {
        return ground.alternatives().get(section.place()).stream().flatMap(List::stream);
    }

    /** The fewest seats open in one of these sections; less than 0 where one is cancelled. */
    int leastOpen(List<SectionAt> set) {
        return leastOpen(readings, set);
    }

    private static int leastOpen(Ground ground, StatusReading[] readings, CandidateAt candidate) {
        return leastOpen(readings, ground.layout().setOf(candidate));
    }

    private static int leastOpen(StatusReading[] readings, List<SectionAt> set) {
        return set.stream()
                .mapToInt(section -> open(readings[section.place()], Integer.MAX_VALUE))
                .min()
                .orElseThrow();
    }

    private static int mostWaiting(Ground ground, StatusReading[] readings, CandidateAt candidate) {
        return ground.layout().setOf(candidate).stream()
                .mapToInt(section -> readings[section.place()].seats().waiting())
                .max()
                .orElseThrow();
    }
}
