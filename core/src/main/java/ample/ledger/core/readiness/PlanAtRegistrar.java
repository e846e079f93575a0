package ample.ledger.core.readiness;

import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registration;

/** A plan as the registrar has it: what is registered is taken, and what is waited for there is waited for, whatever was planned. */
public final class PlanAtRegistrar {

    private PlanAtRegistrar() {}

    public static Plan of(Plan plan, Registration has) {
        return plan.with(plan.picks().stream().map(pick -> of(pick, has)).toList());
    }

    private static Pick of(Pick pick, Registration has) {
        Entry entry = new Entry(pick.term().text(), pick.entry().digits());
        if (has.isRegistered(entry)) {
            return new Pick(pick.term(), pick.entry(), Standing.TAKEN);
        }
        return has.waitingFor(entry).isPresent() || has.offerOf(entry).isPresent()
                ? new Pick(pick.term(), pick.entry(), Standing.WAITED_FOR)
                : pick;
    }
}
