package ample.ledger.core.schedule;

import java.math.BigDecimal;
import java.util.List;

/**
 * What is taught, whichever sections it is offered in.
 *
 * @param form how its institution writes its code
 * @param credits in the institution's own unit; 0 or more
 * @param shares how its credits divide among several terms, adding up to them; empty when it runs in one
 * @param level year of study; 1 or more
 * @param requirements codes of the requirements its sections count toward, in the order posted
 * @param programmes codes of the degree programmes it is part of, in the order posted
 * @param notes what the department adds, in its own words
 */
public record Course(
        CourseCode code,
        CodeForm form,
        String title,
        String description,
        BigDecimal credits,
        List<CreditShare> shares,
        int level,
        List<String> requirements,
        List<String> programmes,
        CourseRules rules,
        List<String> notes) {

    public Course {
        if (credits.signum() < 0) {
            throw new IllegalArgumentException(code + " cannot have " + credits + " credits");
        }
        if (level < 1) {
            throw new IllegalArgumentException(code + " cannot be of level " + level);
        }
        shares = List.copyOf(shares);
        requirements = List.copyOf(requirements);
        programmes = List.copyOf(programmes);
        notes = List.copyOf(notes);
    }

    /** Its code as its institution writes it: "GLAC 240d", "31-210". */
    public String written() {
        return form.written(code);
    }
}
