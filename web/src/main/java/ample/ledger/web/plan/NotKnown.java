package ample.ledger.web.plan;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Obstacle;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.requirement.Evaluation.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/** Names what a week depends on and is not known of who plans it. */
final class NotKnown {

    private NotKnown() {}

    /** Whether it says no more than that something is not known. */
    static boolean is(Obstacle obstacle) {
        return obstacle instanceof Obstacle.LacksPrerequisite lacks && lacks.verdict() == Verdict.UNKNOWN;
    }

    /** "Not known here: whether you meet what TIDE 214 T1 asks; whether TIDE 390d T1r is open to you." Empty where all is known. */
    static String of(List<Obstacle> obstacles, PlannedWeek week, Function<Attendance, StatusReading> readings) {
        List<String> parts = new ArrayList<>();
        String asking = names(obstacles.stream()
                .filter(NotKnown::is)
                .map(obstacle ->
                        ((Obstacle.LacksPrerequisite) obstacle).attendance().toString()));
        if (!asking.isEmpty()) {
            parts.add("whether you meet what is asked before " + asking);
        }
        String some = names(week.taken().stream()
                .filter(attendance -> readings.apply(attendance).status() == Status.OPEN_TO_SOME)
                .map(Attendance::toString));
        if (!some.isEmpty()) {
            parts.add("whether you may take " + some);
        }
        return parts.isEmpty() ? "" : "Not known here: " + String.join("; ", parts) + ".";
    }

    /** "A, B and C". */
    private static String names(Stream<String> names) {
        List<String> all = names.distinct().toList();
        if (all.size() < 2) {
            return String.join("", all);
        }
        return String.join(", ", all.subList(0, all.size() - 1)) + " and " + all.get(all.size() - 1);
    }
}
