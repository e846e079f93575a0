package ample.ledger.web.words;

import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Schedule;
import java.util.List;

/**
 * What must be read before one chooses in a subject.
 *
 * @param name of the subject
 * @param notes none where nothing must be read
 */
public record OfSubject(String name, List<String> notes) {

    /** Of the subject of {@code course}. */
    public static OfSubject of(Course course, Schedule schedule) {
        String code = course.code().subject();
        return schedule.subject(code)
                .map(subject -> new OfSubject(subject.name(), subject.notes()))
                .orElse(new OfSubject(code, List.of()));
    }
}
