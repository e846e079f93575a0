package ample.ledger.web.term;

import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.edition.SectionChange;
import ample.ledger.core.requirement.CourseGraph;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.term.EditionComparisons.Correction;
import ample.ledger.web.words.Words;
import java.util.List;
import java.util.Optional;

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
