package ample.ledger.web.term;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.edition.SectionChange;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.requirement.CourseGraph;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.store.Editions;
import ample.ledger.web.term.EditionComparisons.Correction;
import ample.ledger.web.words.Words;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The current edition of each term with its index, built once for each edition and day.
 *
 * <p>Requests are answered from what is in memory, and never ask the database: an address that nothing is posted for costs
 * no more than any other. {@link #refresh()}, which is called when the application starts and whenever there may be news, builds what is new
 * beside it and then puts it in its place, so that no request waits for it or is dropped.
 */
@Component
public class Terms {

    private final Editions editions;
    private final LatestSeats seats;
    private final Clock clock;
    private final EditionComparisons comparisons;
    private final Map<String, PostedTerm> latest = new ConcurrentHashMap<>();
    private final Map<String, Place> places = new ConcurrentHashMap<>();
    private volatile @Nullable Together together;
    private volatile long lastSeatChange;

    Terms(Editions editions, LatestSeats seats, Clock clock) {
        this.seats = seats;
        this.editions = editions;
        this.comparisons = new EditionComparisons(editions);
        this.clock = clock;
    }

    /**
     * A term as it is posted now.
     *
     * @param courses which of them lead to which
     * @param corrections what it and the editions before it changed, the latest first; empty until it is known
     */
    public record PostedTerm(
            Edition edition, TermIndex index, CourseGraph courses, Optional<List<Correction>> corrections) {

        /** What is different of this section from the edition before. */
        public List<SectionChange> changesOf(EntryNumber entry) {
            return corrections.stream()
                    .flatMap(List::stream)
                    .limit(1)
                    .flatMap(last -> last.changes().getOrDefault(entry, List.of()).stream())
                    .toList();
        }

        public Schedule schedule() {
            return index.schedule();
        }

        /** When the edition was posted, where the institution stands: "Tue 17 Jun, 9:41". */
        public String postedAt() {
            return postedAt(edition);
        }

        /** The same of an earlier one. */
        String postedAt(Edition some) {
            return Words.moment(some.postedAt().atZone(schedule().institution().zone()));
        }
    }

    /** All terms posted, by their first day, then by code. */
    public List<PostedTerm> all() {
        return latest.values().stream()
                .sorted(Comparator.comparing((PostedTerm posted) ->
                                posted.schedule().term().dates().first())
                        .thenComparing(posted -> posted.edition().term()))
                .toList();
    }

    /**
     * The term as it is posted now.
     *
     * @throws UnknownTermException when nothing is posted for it
     */
    public PostedTerm get(String code) {
        PostedTerm known = latest.get(code);
        if (known == null) {
            throw new UnknownTermException(code);
        }
        return known;
    }

    /**
     * The term by itself, to be browsed.
     *
     * @throws UnknownTermException when nothing is posted for it
     */
    public Place place(String code) {
        PostedTerm posted = get(code);
        return places.compute(
                code,
                (same, known) -> known != null && known.terms().equals(List.of(posted)) ? known : Place.of(posted));
    }

    /**
     * All terms of a season together, to be browsed.
     *
     * @throws UnknownTermException when nothing is posted for it
     */
    public Place season(String code) {
        List<PostedTerm> terms = ofSeason(code);
        if (terms.isEmpty()) {
            throw new UnknownTermException(code);
        }
        return places.compute(
                "season/" + code,
                (same, known) -> known != null && known.terms().equals(terms) ? known : Place.ofSeason(code, terms));
    }

    /**
     * What the head of a page of {@code place} says.
     *
     * @param here the address of the page
     * @param week how many sections the visitor keeps for the term
     */
    public Where where(Place place, Brief brief, String here, int week) {
        return Where.of(all(), place, brief, here, week);
    }

    private List<PostedTerm> ofSeason(String code) {
        return all().stream()
                .filter(posted -> posted.schedule().term().season().code().equals(code))
                .toList();
    }

    /**
     * Takes the registrar's newest words on seats into the indexes.
     *
     * @return the sections whose seats stand otherwise now, by the code of their term
     */
    public Map<String, List<Section>> refreshSeats() {
        Map<String, List<SeatWord>> fresh = seats.refresh().stream().collect(Collectors.groupingBy(SeatWord::term));
        long last = seats.last();
        Map<String, List<Section>> changed = new HashMap<>();
        fresh.forEach((term, words) -> {
            PostedTerm posted = latest.get(term);
            if (posted != null) {
                seats.takeOver(posted.edition(), posted.index());
                changed.put(
                        term,
                        sections(posted, words.stream().map(SeatWord::pool).collect(Collectors.toSet())));
            }
        });
        lastSeatChange = last;
        return changed;
    }

    private static List<Section> sections(PostedTerm posted, Set<String> pools) {
        return pools.isEmpty()
                ? List.of()
                : posted.schedule().sections().stream()
                        .filter(section -> pools.contains(section.pool().code()))
                        .toList();
    }

    /** The number of the last change of seats, the same for all instances: all that is read after this call is at least as new. */
    public long lastSeatChange() {
        return lastSeatChange;
    }

    /** The sections of {@code place} whose seats have changed after the change of that number. */
    public List<EntryNumber> seatsChangedSince(long number, Place place) {
        return place.terms().stream()
                .flatMap(posted -> sections(
                        posted, seats.changedSince(number, posted.edition().term()))
                        .stream())
                .map(Section::entry)
                .sorted()
                .toList();
    }

    /** The schedules of all terms, read together. */
    public PostedSchedules schedules() {
        List<Schedule> current = all().stream().map(PostedTerm::schedule).toList();
        Together known = together;
        if (known == null || !known.schedules().equals(current)) {
            known = new Together(current, new PostedSchedules(current));
            together = known;
        }
        return known.posted();
    }

    private record Together(List<Schedule> schedules, PostedSchedules posted) {}

    /** What time it is where the institution of {@code place} stands. */
    public ZonedDateTime now(Place place) {
        return clock.instant()
                .atZone(place.terms().get(0).schedule().institution().zone());
    }

    /** Looks what is current now, and takes in what has changed. */
    public synchronized void refresh() {
        List<Edition> current = editions.allCurrent();
        for (Edition edition : current) {
            PostedTerm known = latest.get(edition.term());
            if (!isFresh(known, edition)) {
                latest.put(edition.term(), load(edition));
            }
        }
        latest.keySet().retainAll(current.stream().map(Edition::term).collect(Collectors.toSet()));
        places.keySet().removeIf(path -> !path.startsWith("season/") && !latest.containsKey(path));
    }

    /** Finds out what editions changed, of every term of which that is not known yet; terms can be asked for meanwhile. */
    public void compareEditions() {
        for (PostedTerm posted : List.copyOf(latest.values())) {
            if (posted.corrections().isEmpty()) {
                PostedTerm compared = new PostedTerm(
                        posted.edition(),
                        posted.index(),
                        posted.courses(),
                        Optional.of(comparisons.upTo(posted.edition(), posted.schedule())));
                latest.replace(posted.edition().term(), posted, compared);
            }
        }
    }

    private boolean isFresh(@Nullable PostedTerm known, Edition current) {
        return known != null
                && known.edition().id() == current.id()
                && known.index().today().equals(today(known.schedule()));
    }

    private PostedTerm load(Edition edition) {
        Schedule schedule = editions.schedule(edition);
        TermIndex index = new TermIndex(schedule, today(schedule));
        seats.takeOver(edition, index);
        return new PostedTerm(edition, index, new CourseGraph(schedule.courses()), Optional.empty());
    }

    private LocalDate today(Schedule schedule) {
        return LocalDate.ofInstant(clock.instant(), schedule.institution().zone());
    }
}
