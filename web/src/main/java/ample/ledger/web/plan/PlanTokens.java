package ample.ledger.web.plan;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Pick;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.term.Picked;
import java.util.Collection;
import java.util.stream.Collectors;

/** How forms and addresses of one term name sections: {@link Picked} reads it. */
public final class PlanTokens {

    private PlanTokens() {}

    static String of(Attendance attendance, TermCode term) {
        return of(attendance.term().code(), attendance.section().entry().digits(), term);
    }

    static String of(Pick pick, TermCode term) {
        return of(pick.term(), pick.entry().digits(), term);
    }

    /** Several of them, with commas between. */
    public static String of(Collection<Attendance> attendances, TermCode term) {
        return attendances.stream().map(attendance -> of(attendance, term)).collect(Collectors.joining(","));
    }

    private static String of(TermCode own, String digits, TermCode term) {
        return own.equals(term) ? digits : own + "." + digits;
    }
}
