package ample.ledger.web.term;

import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.requirement.CourseGraph;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.Editions;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The current edition of each term with its index, built once for each edition and day.
 *
 * <p>Requests are answered from what is in memory, and never ask the database: an address that nothing is posted for costs
 * no more than any other. {@link #refresh()} is called when the application starts and whenever there may be news. It builds
 * the new beside the old and then exchanges them, so that no request has to wait.
 */
@Component
public class Terms {

    private final Editions editions;
    private final LatestSeats seats;
    private final Clock clock;
    private final EditionComparisons comparisons;
    private final Map<TermCode, PostedTerm> latest = new ConcurrentHashMap<>();

    Terms(Editions editions, LatestSeats seats, Clock clock) {
        this.seats = seats;
        this.editions = editions;
        this.comparisons = new EditionComparisons(editions);
        this.clock = clock;
    }

    /** All terms posted, by their first day, then by code. */
    public List<PostedTerm> all() {
        return latest.values().stream()
                .sorted(Comparator.comparing((PostedTerm posted) ->
                                posted.schedule().term().dates().first())
                        .thenComparing(posted -> posted.edition().term()))
                .toList();
    }

    /** The term of that code, where something is posted for it. */
    Optional<PostedTerm> find(TermCode code) {
        return Optional.ofNullable(latest.get(code));
    }

    /**
     * The term as it is posted now.
     *
     * @throws UnknownTermException when nothing is posted for it
     */
    public PostedTerm get(TermCode code) {
        return find(code).orElseThrow(() -> new UnknownTermException(code.text()));
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
