package ample.ledger.core.browse.answer;

import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Timed;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.FacetIndex;
import ample.ledger.core.browse.index.MeetingColumns;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.calendar.Days;
import java.time.DayOfWeek;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;

/**
 * For each value that a condition can take alone, how many sections the brief would give with its other conditions as they
 * are.
 */
public final class ValueCounts {

    private final Findings findings;
    private final Map<Facet, int[]> counts = new EnumMap<>(Facet.class);
    private final Map<DayOfWeek, Integer> days = new EnumMap<>(DayOfWeek.class);
    private final int timed;
    private final int untimed;

    private ValueCounts(Findings findings, int timed, int untimed) {
        this.findings = findings;
        this.timed = timed;
        this.untimed = untimed;
    }

    /** Cost: {@link FacetIndex#counts} for each facet; for those by record only once they are asked for. */
    static ValueCounts of(Findings findings) {
        Moment moment = findings.moment();
        CandidateSet besideUntimed = findings.besides(Topic.UNTIMED);
        CandidateSet besideDays = findings.besides(Topic.DAYS);
        OnDays asked = findings.brief().condition(OnDays.class).orElse(new OnDays(OnDays.Rule.ONLY, Days.ALL));
        MeetingColumns meetings =
                asked.alone() ? moment.index().meetings() : moment.index().setMeetings();
        ValueCounts counts = new ValueCounts(
                findings,
                kept(new Timed(), moment).sizeOfAnd(besideUntimed),
                meetings.untimed().sizeOfAnd(besideDays));
        for (Facet facet : Facet.values()) {
            if (!facet.isByRecord()) {
                counts.countsOf(facet);
            }
        }
        for (DayOfWeek day : DayOfWeek.values()) {
            counts.days.put(day, kept(asked.on(Days.of(day)), moment).sizeOfAnd(besideDays));
        }
        return counts;
    }

    private static CandidateSet kept(Condition condition, Moment moment) {
        return moment.index().kept(condition, () -> condition.in(moment));
    }

    /** Each value of {@code facet} with its count, in the order to show them, those that would give nothing among them. */
    public Map<String, Integer> of(Facet facet) {
        return findings.moment().facet(facet).named(countsOf(facet));
    }

    /** What one value would give; 0 for a value that there is not. */
    public int of(Facet facet, String code) {
        return findings.moment().facet(facet).countOf(countsOf(facet), code);
    }

    private int[] countsOf(Facet facet) {
        return counts.computeIfAbsent(facet, this::counted);
    }

    private int[] counted(Facet facet) {
        CandidateSet base = findings.besides(Topic.of(facet));
        boolean fitting = base == findings.candidates();
        return findings.moment().facet(facet).counts(base, fitting ? findings.sections() : base.sections());
    }

    /** What that day alone would give, with the rule that the brief has, or else as the only day. */
    public int of(DayOfWeek day) {
        return Objects.requireNonNull(days.get(day));
    }

    /** How many sections with no set time are in what each of the days would give. */
    public int untimed() {
        return untimed;
    }

    /** What leaving out sections with no set time would give. */
    public int timed() {
        return timed;
    }
}
