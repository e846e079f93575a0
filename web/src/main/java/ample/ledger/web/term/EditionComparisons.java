package ample.ledger.web.term;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.edition.SectionChange;
import ample.ledger.core.edition.SectionChanges;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.store.Editions;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/** Compares each edition of a term with the one before it, once: editions never change. */
final class EditionComparisons {

    /** Of a term that is corrected every day, the last two weeks; each costs reading a whole edition when the application starts. */
    private static final int MOST = 14;

    private final Editions editions;
    private final Map<Pair, Map<EntryNumber, List<SectionChange>>> known = new ConcurrentHashMap<>();

    EditionComparisons(Editions editions) {
        this.editions = editions;
    }

    /**
     * What one edition changed.
     *
     * @param changes by entry number; sections without a change are not there
     */
    record Correction(Edition edition, Map<EntryNumber, List<SectionChange>> changes) {}

    private record Pair(long before, long after) {}

    /** What {@code current} and the editions before it changed, the latest first; the first of all changed nothing. */
    List<Correction> upTo(Edition current, Schedule schedule) {
        List<Correction> corrections = new ArrayList<>();
        Edition after = current;
        Schedule read = schedule;
        for (Edition before : editions.history(current.term())) {
            if (before.number() >= current.number() || corrections.size() == MOST) {
                continue;
            }
            Pair pair = new Pair(before.id(), after.id());
            Schedule earlier = null;
            if (!known.containsKey(pair)) {
                earlier = editions.schedule(before);
                known.put(pair, SectionChanges.between(earlier, read(read, after)));
            }
            corrections.add(new Correction(after, known.get(pair)));
            after = before;
            read = earlier;
        }
        return corrections;
    }

    private Schedule read(@Nullable Schedule schedule, Edition edition) {
        return schedule != null ? schedule : editions.schedule(edition);
    }
}
