package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Vocabulary;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * A brief taken along from one term to another: what makes sense there too, and what had to be dropped.
 *
 * @param kept what the other term can be asked
 * @param dropped conditions, or values of them, that it cannot; in the order of the brief
 */
public record TermChange(Brief kept, List<Condition> dropped) {

    /** What is about one term only: its entry numbers and its dates. */
    private static final Set<Topic> OF_ONE_TERM = EnumSet.of(Topic.ENTRY, Topic.DATES, Topic.PLAN);

    public TermChange {
        dropped = List.copyOf(dropped);
    }

    /** Takes {@code brief} to the term that knows {@code there}. */
    public static TermChange of(Brief brief, Vocabulary there) {
        Map<String, List<String>> parameters = brief.parameters().entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, each -> List.of(each.getValue())));
        Brief kept = BriefAddress.read(parameters, there).brief();
        for (Topic topic : OF_ONE_TERM) {
            kept = kept.without(topic);
        }
        List<Condition> dropped = new ArrayList<>();
        for (Condition condition : brief.conditions()) {
            Optional<Condition> after = kept.about(condition.topic());
            if (after.isEmpty()) {
                dropped.add(condition);
            } else if (!after.get().equals(condition)) {
                lost(condition, brief, kept).ifPresent(dropped::add);
            }
        }
        return new TermChange(kept, dropped);
    }

    /** The values of a condition that are no longer among those asked for. */
    private static Optional<Condition> lost(Condition condition, Brief before, Brief after) {
        return condition.topic().facet().flatMap(facet -> {
            Set<String> codes = new TreeSet<>(before.codes(facet));
            codes.removeAll(after.codes(facet));
            return codes.isEmpty() ? Optional.empty() : Optional.of(Having.any(facet, codes));
        });
    }
}
