package ample.ledger.core.browse.answer;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Numbers;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.OtherTerms;
import ample.ledger.core.schedule.Schedule;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * A course that a brief asks for by its number and that the term posts without any section.
 *
 * @param last the latest term before it, of those known, that has sections of it
 * @param next the terms that start with it or after it and have sections of it, the first first
 */
public record NotOffered(Course course, Optional<Schedule> last, List<Schedule> next) {

    /** A range of course numbers asks for whatever there is; only so many courses of it are worth naming. */
    private static final int MOST = 6;

    public NotOffered {
        next = List.copyOf(next);
    }

    /** @param known the terms to look in, of any institution */
    public static List<NotOffered> of(Brief brief, Schedule term, Collection<Schedule> known) {
        return brief.condition(Numbers.class).stream()
                .flatMap(condition -> condition.numbers().stream())
                .filter(number -> number.low() == number.high())
                .flatMap(number -> term.courses().stream().filter(course -> number.matches(course.code())))
                .distinct()
                .filter(course -> term.sectionsOf(course.code()).isEmpty())
                .limit(MOST)
                .map(course -> of(course, term, known))
                .toList();
    }

    private static NotOffered of(Course course, Schedule term, Collection<Schedule> known) {
        OtherTerms others = OtherTerms.of(course.code(), term, known);
        return new NotOffered(course, others.earlier().stream().findFirst(), others.later());
    }
}
