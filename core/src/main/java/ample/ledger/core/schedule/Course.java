package ample.ledger.core.schedule;

import java.math.BigDecimal;
import java.util.List;

/**
 * What is taught, whichever sections it is offered in.
 *
 * @param credits in the institution's own unit; 0 or more
 * @param level year of study; 1 or more
 * @param requirements codes of the requirements its sections count toward, in the order posted
 * @param prerequisites all of which must be met
 * @param restrictions the registrar's own sentences
 * @param notes what the department adds, in its own words
 */
public record Course(
        CourseCode code,
        String title,
        String description,
        BigDecimal credits,
        int level,
        List<String> requirements,
        List<PostedPrerequisite> prerequisites,
        List<String> restrictions,
        List<String> notes) {

    public Course {
        if (credits.signum() < 0) {
            throw new IllegalArgumentException(code + " cannot have " + credits + " credits");
        }
        if (level < 1) {
            throw new IllegalArgumentException(code + " cannot be of level " + level);
        }
        requirements = List.copyOf(requirements);
        prerequisites = List.copyOf(prerequisites);
        restrictions = List.copyOf(restrictions);
        notes = List.copyOf(notes);
    }
}
