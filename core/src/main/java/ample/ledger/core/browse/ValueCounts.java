package ample.ledger.core.browse;

import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.Requirement;
import ample.ledger.core.schedule.Subject;
import java.util.Collection;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * For each value that a condition can take alone, how many sections the brief would give with its other conditions as
 * they are.
 */
public record ValueCounts(
        Map<String, Integer> subjects,
        Map<Integer, Integer> levels,
        Map<String, Integer> campuses,
        Map<Delivery, Integer> deliveries,
        Map<String, Integer> requirements) {

    /** Values in the order to show them, those that would give nothing among them. */
    public static ValueCounts of(Brief brief, TermIndex index) {
        var schedule = index.schedule();
        var levels = schedule.sections().stream()
                .map(section -> section.course().level())
                .collect(Collectors.toCollection(TreeSet::new));
        return new ValueCounts(
                counts(brief, index, codes(schedule.subjects(), Subject::code), CourseCondition.Subjects::new),
                counts(brief, index, levels, CourseCondition.Levels::new),
                counts(brief, index, codes(schedule.campuses(), Campus::code), SectionCondition.At::new),
                counts(brief, index, EnumSet.allOf(Delivery.class), SectionCondition.Taught::new),
                counts(brief, index, codes(schedule.requirements(), Requirement::code), CourseCondition.Toward::new));
    }

    private static <T> Collection<String> codes(Collection<T> values, Function<T, String> code) {
        return values.stream().map(code).toList();
    }

    private static <T> Map<T, Integer> counts(
            Brief brief, TermIndex index, Collection<T> values, Function<Set<T>, Condition> condition) {
        Map<T, Integer> counts = new LinkedHashMap<>();
        values.forEach(value -> counts.put(value, index.count(brief.with(condition.apply(Set.of(value))))));
        return counts;
    }
}
