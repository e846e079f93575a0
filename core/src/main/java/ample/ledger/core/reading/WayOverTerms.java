package ample.ledger.core.reading;

import ample.ledger.core.reading.RecordReading.Reason;
import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.Evaluation.Verdict;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.requirement.StudentRecord.Taken;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Term;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The shortest way to a course that cannot be taken yet, over the terms that are posted and have not begun: the fewest courses before it,
 * each in a term that offers it and in which what must come before it is met; of several ways the one that gets there first.
 *
 * <p>What the student only supposes does not count. Credits earned and the year of study are taken to stay as they are, so that a way
 * never relies on them. A course counts for those of later terms: a term is later than another if it begins after that one has ended.
 *
 * <p>Cost: choices of one course are tried first, then of two, and so on, at most {@link #MOST_BEFORE} of at most {@link
 * #MOST_CONSIDERED}; a choice is tried in time linear in the terms and the conditions of its courses.
 */
public final class WayOverTerms {

    /** More courses than this one after another do not fit into the terms that institutions post. */
    private static final int MOST_BEFORE = 6;

    /** Where more courses than this could be on the way, none is looked for. */
    private static final int MOST_CONSIDERED = 10;

    private final StudentRecord record;

    /** By their first day. */
    private final List<RecordReading> terms;

    private WayOverTerms(StudentRecord record, List<RecordReading> terms) {
        this.record = record;
        this.terms = terms;
    }

    /** A course, and the term to take it in. */
    public record Step(Course course, Term term) {}

    /**
     * The way to {@code course}, which is its last step; empty where there is none by courses alone.
     *
     * @param reading of the student, by which the course cannot be taken yet
     * @param posted the schedules of all terms; those of other institutions are passed over
     */
    public static Optional<List<Step>> to(CourseCode course, RecordReading reading, Collection<Schedule> posted) {
        List<RecordReading> terms = posted.stream()
                .filter(schedule -> schedule.institution()
                        .code()
                        .equals(reading.schedule().institution().code()))
                .filter(schedule -> schedule.term().dates().first().isAfter(reading.today()))
                .sorted(Comparator.comparing(
                                (Schedule schedule) -> schedule.term().dates().first())
                        .thenComparing(schedule -> schedule.term().code().text()))
                .map(reading::of)
                .toList();
        return new WayOverTerms(reading.record().asItIs(), terms).to(course);
    }

    private Optional<List<Step>> to(CourseCode target) {
        List<CourseCode> considered = List.copyOf(considered(target));
        if (considered.size() > MOST_CONSIDERED) {
            return Optional.empty();
        }
        for (int size = 0; size <= Math.min(MOST_BEFORE, considered.size()); size++) {
            Optional<Map<CourseCode, Integer>> best = choices(considered, size)
                    .flatMap(before -> placed(before, target).stream())
                    .min(Comparator.comparing((Map<CourseCode, Integer> placed) -> placed.getOrDefault(target, 0))
                            .thenComparing(placed -> placed.values().stream()
                                    .mapToInt(Integer::intValue)
                                    .sum()));
            if (best.isPresent()) {
                return best.map(this::steps);
            }
        }
        return Optional.empty();
    }

    /** The courses that {@code target} asks for and that are not met, what those ask for, and so on; as far as some term offers them. */
    private Set<CourseCode> considered(CourseCode target) {
        Set<CourseCode> done = record.passedOrInProgress();
        Set<CourseCode> considered = new LinkedHashSet<>();
        Deque<CourseCode> open = new ArrayDeque<>(List.of(target));
        while (!open.isEmpty() && considered.size() <= MOST_CONSIDERED) {
            CourseCode course = open.remove();
            terms.stream()
                    .flatMap(term -> term.schedule().course(course).stream())
                    .flatMap(posted -> posted.rules().neededCourses().stream())
                    .filter(needed -> !needed.equals(target) && !done.contains(needed))
                    .filter(needed -> terms.stream().anyMatch(term -> isOffered(needed, term)))
                    .filter(considered::add)
                    .forEach(open::add);
        }
        return considered;
    }

    private static boolean isOffered(CourseCode course, RecordReading term) {
        return term.schedule().sectionsOf(course).stream().anyMatch(section -> !section.cancelled());
    }

    private static Stream<List<CourseCode>> choices(List<CourseCode> some, int size) {
        return Stream.iterate(0, choice -> choice < 1 << some.size(), choice -> choice + 1)
                .filter(choice -> Integer.bitCount(choice) == size)
                .map(choice -> chosen(some, choice));
    }

    private static List<CourseCode> chosen(List<CourseCode> some, int choice) {
        List<CourseCode> chosen = new ArrayList<>();
        for (int i = 0; i < some.size(); i++) {
            if ((choice >> i & 1) == 1) {
                chosen.add(some.get(i));
            }
        }
        return chosen;
    }

    /** The place in {@link #terms} in which each course can be taken at the earliest; empty where one of them never can. */
    private Optional<Map<CourseCode, Integer>> placed(List<CourseCode> before, CourseCode target) {
        Map<CourseCode, Integer> placed = new HashMap<>();
        List<CourseCode> left = new ArrayList<>(before);
        left.add(target);
        for (int at = 0; at < terms.size(); at++) {
            int term = at;
            boolean more = true;
            // What may be taken alongside lets in more of the same term.
            while (more) {
                List<CourseCode> open = left.stream()
                        .filter(course -> isOpen(course, term, placed))
                        .toList();
                open.forEach(course -> placed.put(course, term));
                left.removeAll(open);
                more = !open.isEmpty();
            }
        }
        return left.isEmpty() ? Optional.of(placed) : Optional.empty();
    }

    private boolean isOpen(CourseCode course, int at, Map<CourseCode, Integer> placed) {
        RecordReading term = terms.get(at);
        List<Taken> passed = new ArrayList<>();
        List<CourseCode> alongside = new ArrayList<>();
        placed.forEach((code, when) -> {
            if (when == at) {
                alongside.add(code);
            } else if (isLater(term, terms.get(when))) {
                passed.add(new Taken(code, Optional.empty()));
            }
        });
        Evaluation evaluation = new Evaluation(record.supposing(passed), alongside, term.schedule());
        return isOffered(course, term)
                && term.schedule().course(course).stream()
                        .allMatch(posted -> isLetIn(posted, term)
                                && posted.rules().prerequisites().stream()
                                        .allMatch(needed -> needed.expression()
                                                .map(condition -> evaluation.judge(posted, condition))
                                                .filter(judged ->
                                                        judged.verdict().willDo()
                                                                || judged.verdict() == Verdict.SUPPOSED)
                                                .isPresent()));
    }

    private static boolean isLater(RecordReading term, RecordReading than) {
        return term.schedule()
                .term()
                .dates()
                .first()
                .isAfter(than.schedule().term().dates().last());
    }

    /** Whether nothing but what must come before keeps the student out of it. */
    private static boolean isLetIn(Course course, RecordReading term) {
        List<Section> sections = term.schedule().sectionsOf(course.code());
        return sections.stream()
                .filter(section -> !section.cancelled())
                .anyMatch(
                        section -> term.mayTake(section).reasons().stream().allMatch(Reason.Before.class::isInstance));
    }

    private List<Step> steps(Map<CourseCode, Integer> placed) {
        return placed.entrySet().stream()
                .sorted(Map.Entry.<CourseCode, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(each -> step(each.getKey(), terms.get(each.getValue()).schedule()))
                .toList();
    }

    private static Step step(CourseCode code, Schedule schedule) {
        return new Step(schedule.course(code).orElseThrow(), schedule.term());
    }
}
