package ample.ledger.web.term;

import ample.ledger.core.browse.TermIndex;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.store.Editions;
import ample.ledger.web.words.Words;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** The current edition of each term with its index, built once for each edition and day. */
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

    /** The codes of all terms posted. */
    public List<String> codes() {
        return editions.terms();
    }

    /**
     * The term as it is posted now.
     *
     * @throws UnknownTermException when nothing is posted for it
     */
    public PostedTerm get(String code) {
        Edition current = editions.current(code).orElseThrow(() -> new UnknownTermException(code));
        return latest.compute(code, (term, known) -> known != null && isFresh(known, current) ? known : load(current));
    }

    private boolean isFresh(PostedTerm known, Edition current) {
        return known.edition().id() == current.id() && known.index().today().equals(today(known.schedule()));
    }

    private PostedTerm load(Edition edition) {
        Schedule schedule = editions.schedule(edition);
        return new PostedTerm(edition, new TermIndex(schedule, today(schedule)));
    }

    private LocalDate today(Schedule schedule) {
        return LocalDate.ofInstant(clock.instant(), schedule.institution().zone());
    }
}
