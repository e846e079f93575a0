package ample.ledger.core.watch;

import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.EntryNumber;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A student who may have to be told, as far as it matters.
 *
 * @param plans with the standing that sections have at the registrar
 * @param has what the student has at the registrar
 * @param briefs saved briefs for the term that was corrected
 * @param home the home campus; empty for none
 * @param record empty where nothing is known
 */
public record Recipient(
        PlanBook plans,
        Registration has,
        List<Watch> watches,
        List<FittedBrief> briefs,
        Optional<CampusCode> home,
        Optional<StudentRecord> record) {

    public Recipient {
        watches = List.copyOf(watches);
        briefs = List.copyOf(briefs);
    }

    /**
     * What fits a saved brief.
     *
     * @param before in the edition before
     * @param now in the edition after it
     */
    public record FittedBrief(String name, Set<EntryNumber> before, Set<EntryNumber> now) {}
}
