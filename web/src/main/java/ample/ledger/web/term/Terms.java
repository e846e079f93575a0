package ample.ledger.web.term;

import ample.ledger.core.browse.TermIndex;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.store.Editions;
import ample.ledger.web.words.Words;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The current edition of each term with its index, built once for each edition and day.
 *
 * <p>Requests are answered from what is in memory. {@link #refresh()}, which is called whenever there may be news, builds
 * what is new beside it and then puts it in its place, so that no request waits for it or is dropped.
 */
@Component
public class Terms {

    private final Editions editions;
    private final Clock clock;
    private final Map<String, PostedTerm> latest = new ConcurrentHashMap<>();

    Terms(Editions editions, Clock clock) {
        this.editions = editions;
        this.clock = clock;
    }

    /** A term as it is posted now. */
    public record PostedTerm(Edition edition, TermIndex index) {

        public Schedule schedule() {
            return index.schedule();
        }

        /** When the edition was posted, where the institution stands: "Tue 17 Jun, 9:41". */
        public String postedAt() {
            return Words.moment(
                    edition.postedAt().atZone(schedule().institution().zone()));
        }
    }

    /** All terms posted, by their first day, then by code. */
    public List<PostedTerm> all() {
        if (latest.isEmpty()) {
            refresh();
        }
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
            refresh();
            known = latest.get(code);
        }
        if (known == null) {
            throw new UnknownTermException(code);
        }
        return known;
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

    private boolean isFresh(@Nullable PostedTerm known, Edition current) {
        return known != null
                && known.edition().id() == current.id()
                && known.index().today().equals(today(known.schedule()));
    }

    private PostedTerm load(Edition edition) {
        Schedule schedule = editions.schedule(edition);
        return new PostedTerm(edition, new TermIndex(schedule, today(schedule)));
    }

    private LocalDate today(Schedule schedule) {
        return LocalDate.ofInstant(clock.instant(), schedule.institution().zone());
    }
}
