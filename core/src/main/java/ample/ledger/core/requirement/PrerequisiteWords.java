package ample.ledger.core.requirement;

import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Prerequisite.AtLeast;
import ample.ledger.core.schedule.Prerequisite.CreditsEarned;
import ample.ledger.core.schedule.Prerequisite.Passed;
import ample.ledger.core.schedule.Prerequisite.Permission;
import ample.ledger.core.schedule.Prerequisite.Placement;
import ample.ledger.core.schedule.Prerequisite.Standing;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Says conditions in words.
 *
 * @param course how a course is called
 */
public record PrerequisiteWords(Function<CourseCode, String> course) {

    /** One condition: "GLAC 120, C or better"; of a choice what leads to its parts: "one of". */
    public String of(Prerequisite needed) {
        if (needed instanceof AtLeast choice) {
            int all = choice.parts().size();
            if (choice.count() == all) {
                return all == 2 ? "both of" : "all of";
            }
            return choice.count() == 1 ? "one of" : choice.count() + " of";
        }
        if (needed instanceof Passed passed) {
            return course.apply(passed.course())
                    + passed.leastGrade()
                            .map(grade -> ", " + grade + " or better")
                            .orElse("")
                    + (passed.alongside() ? ", before or at the same time" : "");
        }
        if (needed instanceof Placement placement) {
            return "placement “" + placement.name() + "”";
        }
        if (needed instanceof Standing standing) {
            return "year " + standing.level() + " or later";
        }
        if (needed instanceof CreditsEarned earned) {
            return earned.credits() + " credits earned";
        }
        return "permission of " + ((Permission) needed).by();
    }

    /**
     * Several ways to the same end: "GLAC 120; or LIMN 130 and 30 credits earned".
     *
     * @param most more than these are only counted
     */
    public String ofWays(List<List<Prerequisite>> ways, int most) {
        String said = ways.stream()
                .limit(most)
                .map(way -> way.stream().map(this::of).collect(Collectors.joining(" and ")))
                .collect(Collectors.joining("; or "));
        return ways.size() > most ? said + "; or one of %d more ways".formatted(ways.size() - most) : said;
    }
}
