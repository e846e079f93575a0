package ample.ledger.core.registrar;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.schedule.WishRound;
import java.util.List;
import java.util.Optional;

/**
 * A section as a student names it to the registrar. Whether there is one of that number it does not say.
 *
 * @param term the code of its term
 * @param number its entry number
 */
public record Entry(String term, String number) {

    public static Entry of(Attendance attendance) {
        return new Entry(
                attendance.term().code().text(), attendance.section().entry().digits());
    }

    /** The sections of a group of a wish round. */
    public static List<Entry> of(String term, WishRound.Group group) {
        return group.sections().stream()
                .map(section -> new Entry(term, section.digits()))
                .toList();
    }

    public static List<Entry> of(List<Attendance> attendances) {
        return attendances.stream().map(Entry::of).toList();
    }

    /** What is posted under it; empty where nothing is. */
    public Optional<Attendance> in(PostedSchedules posted) {
        return EntryNumber.parse(number).flatMap(entry -> posted.find(new TermCode(term), entry));
    }

    /** "40129 of autumn-2031". */
    @Override
    public String toString() {
        return number + " of " + term;
    }
}
