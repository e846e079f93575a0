package ample.ledger.core.browse.index;

import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.reading.Status;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/**
 * The seats of one edition as they stand at one moment. Immutable; a change makes another view, which shares what did not
 * change and costs what did, beside copying a few bitmaps.
 */
public final class SeatView {

    /** What counts as no seats at all, not even none left: a cancelled section, a queue longer than accepted. */
    private static final int OUT = -1;

    /** Columns of seats over companions that are kept, whatever queues are asked for. */
    private static final int MOST_COLUMNS = 8;

    private final Ground ground;
    private final SeatAccount[] accounts;
    private final FacetIndex statuses;
    private final SlicedColumn leastOpen;
    private final SlicedColumn mostWaiting;

    /** By the most people waiting that are accepted: the seats of each section, counted over its companions. */
    private final Map<Integer, SlicedColumn> overCompanions;

    /**
     * What seats stand on, and does not change with them.
     *
     * @param alternatives for each section and each other place of its complete sets, the sections that can fill it; of
     *     sections that share a pool the first
     */
    private record Ground(
            Candidates layout,
            List<Section> sections,
            LocalDate today,
            Map<String, int[]> sectionsOfPool,
            int[][][] alternatives) {}

    private SeatView(
            Ground ground,
            SeatAccount[] accounts,
            FacetIndex statuses,
            SlicedColumn leastOpen,
            SlicedColumn mostWaiting,
            Map<Integer, SlicedColumn> overCompanions) {
        this.ground = ground;
        this.accounts = accounts;
        this.statuses = statuses;
        this.leastOpen = leastOpen;
        this.mostWaiting = mostWaiting;
        this.overCompanions = overCompanions;
    }

    /** As posted, on {@code today}. */
    static SeatView of(Candidates layout, List<Section> sections, LocalDate today) {
        Map<String, int[]> ofPool = new HashMap<>();
        for (int section = 0; section < sections.size(); section++) {
            int position = section;
            ofPool.merge(
                    sections.get(section).pool().code(),
                    new int[] {section},
                    (some, one) -> IntStream.concat(Arrays.stream(some), IntStream.of(position))
                            .toArray());
        }
        Ground ground = new Ground(layout, sections, today, ofPool, alternatives(layout, sections));
        SeatAccount[] accounts = sections.stream()
                .map(section -> SeatAccount.of(section.pool(), today))
                .toArray(SeatAccount[]::new);
        FacetIndex statuses = new FacetIndex(
                layout,
                Status.OF_SEATS.stream().map(Status::code).toList(),
                section -> List.of(status(sections.get(section), accounts[section])),
                true);
        return new SeatView(
                ground,
                accounts,
                statuses,
                SlicedColumn.of(layout, position -> leastOpen(ground, accounts, position)),
                SlicedColumn.of(layout, position -> mostWaiting(ground, accounts, position)),
                new ConcurrentHashMap<>());
    }

    private static String status(Section section, SeatAccount account) {
        return Status.of(section, account).code();
    }

    private static int[][][] alternatives(Candidates layout, List<Section> sections) {
        int[][][] alternatives = new int[sections.size()][][];
        for (int section = 0; section < alternatives.length; section++) {
            Map<String, Map<String, Integer>> byPlace = new LinkedHashMap<>();
            int self = section;
            layout.ofSection(section)
                    .forEach(position -> Arrays.stream(layout.setAt(position))
                            .filter(member -> member != self)
                            .forEach(member -> byPlace.computeIfAbsent(
                                            place(sections.get(member)), absent -> new LinkedHashMap<>())
                                    .putIfAbsent(sections.get(member).pool().code(), member)));
            alternatives[section] = byPlace.values().stream()
                    .map(members -> members.values().stream()
                            .mapToInt(Integer::intValue)
                            .toArray())
                    .toArray(int[][]::new);
        }
        return alternatives;
    }

    /** What a section is in a complete set: the one that leads, or one of a choice of companions. */
    private static String place(Section section) {
        return section.companion().map(companion -> companion.choice()).orElse("");
    }

    /** This view with other counts for some pools. Pools that the edition does not have are passed over. */
    SeatView with(Map<String, SeatPool.Count> counts) {
        SeatAccount[] now = accounts.clone();
        Set<Integer> changed = new HashSet<>();
        counts.forEach((pool, count) -> {
            for (int section : ground.sectionsOfPool().getOrDefault(pool, new int[0])) {
                SeatPool posted = ground.sections().get(section).pool();
                now[section] = SeatAccount.of(
                        new SeatPool(posted.code(), posted.capacity(), posted.waitlistCapacity(), posted.held(), count),
                        ground.today());
                changed.add(section);
            }
        });
        int[] sections = changed.stream().mapToInt(Integer::intValue).toArray();
        int[] positions = Arrays.stream(sections)
                .flatMap(ground.layout()::together)
                .distinct()
                .toArray();
        Map<Integer, SlicedColumn> spread = new ConcurrentHashMap<>();
        overCompanions.forEach((waiting, column) -> spread.put(
                waiting, column.with(positions, position -> overCompanions(ground, now, position, waiting))));
        return new SeatView(
                ground,
                now,
                statuses.with(sections, section -> status(ground.sections().get(section), now[section])),
                leastOpen.with(positions, position -> leastOpen(ground, now, position)),
                mostWaiting.with(positions, position -> mostWaiting(ground, now, position)),
                spread);
    }

    /** The seat account of a section. */
    SeatAccount account(int section) {
        return accounts[section];
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
            column = SlicedColumn.of(ground.layout(), position -> overCompanions(ground, accounts, position, waiting));
            if (overCompanions.size() < MOST_COLUMNS) {
                overCompanions.put(waiting, column);
            }
        }
        return column.atLeast(atLeast);
    }

    /** The seats of a section counted over its companions; {@code OUT} for none at all. */
    int overCompanions(int section, int waiting) {
        return overCompanionsOf(ground, accounts, section, waiting);
    }

    private static int overCompanions(Ground ground, SeatAccount[] accounts, int position, int waiting) {
        return overCompanionsOf(ground, accounts, ground.layout().sectionAt(position), waiting);
    }

    private static int overCompanionsOf(Ground ground, SeatAccount[] accounts, int section, int waiting) {
        int seats = open(ground, accounts, section, waiting);
        for (int[] place : ground.alternatives()[section]) {
            int together = OUT;
            for (int alternative : place) {
                int open = open(ground, accounts, alternative, waiting);
                together = open == OUT ? together : Math.max(together, 0) + open;
            }
            seats = Math.min(seats, together);
        }
        return seats;
    }

    private static int open(Ground ground, SeatAccount[] accounts, int section, int waiting) {
        boolean out = ground.sections().get(section).cancelled() || accounts[section].waiting() > waiting;
        return out ? OUT : accounts[section].open();
    }

    /** The sections that can fill the other places of the sets of {@code section}. */
    IntStream alternatives(int section) {
        return Arrays.stream(ground.alternatives()[section]).flatMapToInt(Arrays::stream);
    }

    /** The fewest seats open in one of these sections; less than 0 where one is cancelled. */
    int leastOpen(int[] set) {
        return leastOpen(ground, accounts, set);
    }

    private static int leastOpen(Ground ground, SeatAccount[] accounts, int position) {
        return leastOpen(ground, accounts, ground.layout().setAt(position));
    }

    private static int leastOpen(Ground ground, SeatAccount[] accounts, int[] set) {
        return Arrays.stream(set)
                .map(section -> open(ground, accounts, section, Integer.MAX_VALUE))
                .min()
                .orElseThrow();
    }

    private static int mostWaiting(Ground ground, SeatAccount[] accounts, int position) {
        return Arrays.stream(ground.layout().setAt(position))
                .map(section -> accounts[section].waiting())
                .max()
                .orElseThrow();
    }
}
