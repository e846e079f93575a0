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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
    private final List<Consumer<PostedTerm>> preparing = new CopyOnWriteArrayList<>();

    /** As they were posted, each by itself; for {@link #refresh} alone. */
    private final Map<TermCode, Posted> asPosted = new HashMap<>();

    private record Posted(Edition edition, Schedule schedule) {}

    Terms(Editions editions, LatestSeats seats, Clock clock) {
        this.seats = seats;
        this.editions = editions;
        this.comparisons = new EditionComparisons(editions);
        this.clock = clock;
    }

    /** Has {@code work} done on each term before it can be asked for: what requests need of it is then there for the first of them. */
    public void beforeItIsShown(Consumer<PostedTerm> work) {
        preparing.add(work);
    }

    /** All terms posted, by their first day, then by code. */
    public List<PostedTerm> all() {
        return inOrder(latest.values().stream());
    }

    /** The same once {@code next} is among them. */
    List<PostedTerm> allWith(PostedTerm next) {
        return inOrder(Stream.concat(
                Stream.of(next),
                latest.values().stream()
                        .filter(posted ->
                                !posted.edition().term().equals(next.edition().term()))));
    }

    private static List<PostedTerm> inOrder(Stream<PostedTerm> terms) {
        return terms.sorted(Comparator.comparing((PostedTerm posted) ->
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
        Set<TermCode> terms = current.stream().map(Edition::term).collect(Collectors.toSet());
        asPosted.keySet().retainAll(terms);
        for (Edition edition : current) {
            Posted read = asPosted.get(edition.term());
            if (read == null || read.edition().id() != edition.id()) {
                asPosted.put(edition.term(), new Posted(edition, editions.schedule(edition)));
            }
        }
        List<Schedule> all = asPosted.values().stream().map(Posted::schedule).toList();
        asPosted.forEach((term, posted) -> {
            Schedule schedule = posted.schedule().among(all);
            if (!isFresh(latest.get(term), posted.edition(), schedule)) {
                PostedTerm loaded = load(posted.edition(), schedule);
                preparing.forEach(work -> work.accept(loaded));
                latest.put(term, loaded);
            }
        });
        latest.keySet().retainAll(terms);
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
                preparing.forEach(work -> work.accept(compared));
                latest.replace(posted.edition().term(), posted, compared);
            }
        }
    }

    private boolean isFresh(@Nullable PostedTerm known, Edition current, Schedule schedule) {
        return known != null
                && known.edition().id() == current.id()
                && known.schedule().term().equals(schedule.term())
                && known.index().today().equals(today(known.schedule()));
    }

    private PostedTerm load(Edition edition, Schedule schedule) {
        TermIndex index = new TermIndex(schedule, today(schedule));
        seats.takeOver(edition, index);
        return new PostedTerm(edition, index, new CourseGraph(schedule.courses()), Optional.empty());
    }

    private LocalDate today(Schedule schedule) {
        return LocalDate.ofInstant(clock.instant(), schedule.institution().zone());
    }
}
