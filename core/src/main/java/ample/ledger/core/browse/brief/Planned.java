package ample.ledger.core.browse.brief;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import java.util.Comparator;
import java.util.Optional;

/**
 * A section of a plan as an address names it: by its entry number, 40127; one of another term than is searched with its term before
 * it, quarter-autumn-2031.10011.
 *
 * @param term empty for the term that is searched
 */
public record Planned(Optional<TermCode> term, EntryNumber entry) implements Comparable<Planned> {

    private static final Comparator<Planned> ORDER = Comparator.comparing(
                    (Planned planned) -> planned.term.map(TermCode::text).orElse(""))
            .thenComparing(Planned::entry);

    /** Of the term that is searched. */
    public static Planned here(EntryNumber entry) {
        return new Planned(Optional.empty(), entry);
    }

    /** Of {@code attendance}, in an address of {@code term}. */
    public static Planned of(Attendance attendance, TermCode term) {
        TermCode own = attendance.term().code();
        return new Planned(
                own.equals(term) ? Optional.empty() : Optional.of(own),
                attendance.section().entry());
    }

    static Optional<Planned> parse(String text) {
        int dot = text.lastIndexOf('.');
        Optional<TermCode> term = dot < 1 ? Optional.empty() : Optional.of(new TermCode(text.substring(0, dot)));
        return EntryNumber.parse(text.substring(dot + 1)).map(entry -> new Planned(term, entry));
    }

    /** Going to it, where {@code schedule} is searched; empty where no term has it. */
    Optional<Attendance> attendance(Schedule schedule, PostedSchedules posted) {
        return posted.find(term.orElse(schedule.term().code()), entry);
    }

    @Override
    public int compareTo(Planned other) {
        return ORDER.compare(this, other);
    }

    /** As the address has it. */
    @Override
    public String toString() {
        return term.map(code -> code + ".").orElse("") + entry.digits();
    }
}
