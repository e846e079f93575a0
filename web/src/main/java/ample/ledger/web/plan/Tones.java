package ample.ledger.web.plan;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.weave.Weave;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** The colour of each course, the same in the bands and in the small pictures of woven weeks. */
final class Tones {

    private static final int TONES = 6;

    private final Map<CourseCode, Integer> tones = new HashMap<>();

    /** Those of the plan first, in their order, then those that only woven weeks have. */
    Tones(PlannedWeek week, List<Weave> weaves) {
        Stream.of(
                        week.attended().stream(),
                        week.beside().stream(),
                        weaves.stream().flatMap(weave -> weave.sections().stream()))
                .flatMap(some -> some)
                .forEach(attendance -> tones.putIfAbsent(code(attendance), tones.size() % TONES + 1));
    }

    /** The style of its course. */
    String style(Attendance attendance) {
        return "tone-" + tones.getOrDefault(code(attendance), 1);
    }

    private static CourseCode code(Attendance attendance) {
        return attendance.section().course().code();
    }
}
