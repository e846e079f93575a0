package ample.ledger.core.schedule;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/**
 * The terms beside one that have sections of a course.
 *
 * @param earlier those that start before it, the latest first
 * @param later those that start with it or after it, the first first
 */
public record OtherTerms(List<Schedule> earlier, List<Schedule> later) {

    public OtherTerms {
        earlier = List.copyOf(earlier);
        later = List.copyOf(later);
    }

    /** @param known the terms to look in, of any institution */
    public static OtherTerms of(CourseCode course, Schedule term, Collection<Schedule> known) {
        Comparator<Schedule> byStart =
                Comparator.comparing(schedule -> schedule.term().dates().first());
        List<Schedule> offering = known.stream()
                .filter(other -> other != term && !other.sectionsOf(course).isEmpty())
                .sorted(byStart)
                .toList();
        return new OtherTerms(
                offering.stream()
                        .filter(other -> byStart.compare(other, term) < 0)
                        .sorted(byStart.reversed())
                        .toList(),
                offering.stream()
                        .filter(other -> byStart.compare(other, term) >= 0)
                        .toList());
    }
}
