package ample.ledger.core.browse;

import ample.ledger.core.browse.Condition.Topic;
import java.time.DayOfWeek;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * For each value that a condition can take alone, how many sections the brief would give with its other conditions as they
 * are.
 */
public final class ValueCounts {

    /** Every facet, looked up once. */
    private static final List<Facet> FACETS = Facet.all();

    private final Moment moment;
    private final Map<Facet, int[]> counts = new HashMap<>();
    private final Map<DayOfWeek, Integer> days = new EnumMap<>(DayOfWeek.class);
    private final int timed;

    private ValueCounts(Moment moment, int timed) {
        this.moment = moment;
        this.timed = timed;
    }

    /** Cost: {@link FacetIndex#counts} for each facet. */
    static ValueCounts of(Findings findings) {
        Moment moment = findings.moment();
        CandidateSet fitting = findings.candidates();
        SectionSet sections = findings.sections();
        CandidateSet besideUntimed = findings.besides(Topic.UNTIMED);
        ValueCounts counts = new ValueCounts(moment, moment.index().timed().sizeOfAnd(besideUntimed));
        for (Facet facet : FACETS) {
            CandidateSet base = findings.besides(facet.topic());
            counts.counts.put(facet, moment.facet(facet).counts(base, base == fitting ? sections : base.sections()));
        }
        SetCondition.DayRule rule = findings.brief()
                .condition(SetCondition.OnDays.class)
                .map(SetCondition.OnDays::rule)
                .orElse(SetCondition.DayRule.ONLY);
        CandidateSet besideDays = findings.besides(Topic.DAYS);
        for (DayOfWeek day : DayOfWeek.values()) {
            counts.days.put(day, moment.index().onOneDay(rule, day).sizeOfAnd(besideDays));
        }
        return counts;
    }

    /** Each value of {@code facet} with its count, in the order to show them, those that would give nothing among them. */
    public Map<String, Integer> of(Facet facet) {
        return moment.facet(facet).named(counts.get(facet));
    }

    /** What one value would give; 0 for a value that there is not. */
    public int of(Facet facet, String code) {
        return moment.facet(facet).countOf(counts.get(facet), code);
    }

    /** What that day alone would give, with the rule that the brief has, or else as the only day. */
    public int of(DayOfWeek day) {
        return days.get(day);
    }

    /** What leaving out sections with no set time would give. */
    public int timed() {
        return timed;
    }
}
