package ample.ledger.core.browse.index;

import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.reading.Status;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.util.ArrayList;
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
            Map<String, List<SectionAt>> sectionsOfPool,
            List<List<List<SectionAt>>> alternatives) {

        Section section(SectionAt at) {
            return sections.get(at.place());
        }
    }

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
        Map<String, List<SectionAt>> ofPool = new HashMap<>();
        for (int section = 0; section < sections.size(); section++) {
            ofPool.computeIfAbsent(sections.get(section).pool().code(), absent -> new ArrayList<>())
                    .add(new SectionAt(section));
        }
        Ground ground = new Ground(layout, sections, today, ofPool, alternatives(layout, sections));
        SeatAccount[] accounts = sections.stream()
                .map(section -> SeatAccount.of(section.pool(), today))
                .toArray(SeatAccount[]::new);
        FacetIndex statuses = new FacetIndex(
                layout,
                Status.OF_SEATS.stream().map(Status::code).toList(),
                section -> List.of(status(sections.get(section.place()), accounts[section.place()])),
                true);
        return new SeatView(
                ground,
                accounts,
                statuses,
                SlicedColumn.of(layout, candidate -> leastOpen(ground, accounts, candidate)),
                SlicedColumn.of(layout, candidate -> mostWaiting(ground, accounts, candidate)),
                new ConcurrentHashMap<>());
    }

    private static String status(Section section, SeatAccount account) {
        return Status.of(section, account).code();
    }

    private static List<List<List<SectionAt>>> alternatives(Candidates layout, List<Section> sections) {
        return IntStream.range(0, sections.size())
                .mapToObj(SectionAt::new)
                .map(section -> alternatives(layout, sections, section))
                .toList();
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

    /** This view with other counts for some pools. Pools that the edition does not have are passed over. */
    SeatView with(Map<String, SeatPool.Count> counts) {
        SeatAccount[] now = accounts.clone();
        Set<SectionAt> changed = new HashSet<>();
        counts.forEach((pool, count) -> {
            for (SectionAt section : ground.sectionsOfPool().getOrDefault(pool, List.of())) {
                SeatPool posted = ground.section(section).pool();
                now[section.place()] = SeatAccount.of(
                        new SeatPool(posted.code(), posted.capacity(), posted.waitlistCapacity(), posted.held(), count),
                        ground.today());
                changed.add(section);
            }
        });
        List<CandidateAt> candidates =
                changed.stream().flatMap(ground.layout()::together).distinct().toList();
        Map<Integer, SlicedColumn> spread = new ConcurrentHashMap<>();
        overCompanions.forEach((waiting, column) -> spread.put(
                waiting, column.with(candidates, candidate -> overCompanions(ground, now, candidate, waiting))));
        return new SeatView(
                ground,
                now,
                statuses.with(changed, section -> status(ground.section(section), now[section.place()])),
                leastOpen.with(candidates, candidate -> leastOpen(ground, now, candidate)),
                mostWaiting.with(candidates, candidate -> mostWaiting(ground, now, candidate)),
                spread);
    }

    /** The seat account of a section. */
    SeatAccount account(SectionAt section) {
        return accounts[section.place()];
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
                    SlicedColumn.of(ground.layout(), candidate -> overCompanions(ground, accounts, candidate, waiting));
            if (overCompanions.size() < MOST_COLUMNS) {
                overCompanions.put(waiting, column);
            }
        }
        return column.atLeast(atLeast);
    }

    /** The seats of a section counted over its companions; {@code OUT} for none at all. */
    int overCompanions(SectionAt section, int waiting) {
        return overCompanionsOf(ground, accounts, section, waiting);
    }

    private static int overCompanions(Ground ground, SeatAccount[] accounts, CandidateAt candidate, int waiting) {
        return overCompanionsOf(ground, accounts, ground.layout().sectionOf(candidate), waiting);
    }

    private static int overCompanionsOf(Ground ground, SeatAccount[] accounts, SectionAt section, int waiting) {
        int seats = open(ground, accounts, section, waiting);
        for (List<SectionAt> place : ground.alternatives().get(section.place())) {
            int together = OUT;
            for (SectionAt alternative : place) {
                int open = open(ground, accounts, alternative, waiting);
                together = open == OUT ? together : Math.max(together, 0) + open;
            }
            seats = Math.min(seats, together);
        }
        return seats;
    }

    private static int open(Ground ground, SeatAccount[] accounts, SectionAt section, int waiting) {
        SeatAccount account = accounts[section.place()];
        boolean out = ground.section(section).cancelled() || account.waiting() > waiting;
        return out ? OUT : account.open();
    }

    /** The sections that can fill the other places of the sets of {@code section}. */
    Stream<SectionAt> alternatives(SectionAt section) {
        return ground.alternatives().get(section.place()).stream().flatMap(List::stream);
    }

    /** The fewest seats open in one of these sections; less than 0 where one is cancelled. */
    int leastOpen(List<SectionAt> set) {
        return leastOpen(ground, accounts, set);
    }

    private static int leastOpen(Ground ground, SeatAccount[] accounts, CandidateAt candidate) {
        return leastOpen(ground, accounts, ground.layout().setOf(candidate));
    }

    private static int leastOpen(Ground ground, SeatAccount[] accounts, List<SectionAt> set) {
        return set.stream()
                .mapToInt(section -> open(ground, accounts, section, Integer.MAX_VALUE))
                .min()
                .orElseThrow();
    }

    private static int mostWaiting(Ground ground, SeatAccount[] accounts, CandidateAt candidate) {
        return ground.layout().setOf(candidate).stream()
                .mapToInt(section -> accounts[section.place()].waiting())
                .max()
                .orElseThrow();
    }
}
