package ample.ledger.core.browse.answer;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Order;
import ample.ledger.core.browse.index.Ordered;
import ample.ledger.core.browse.index.SectionSet;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Predicate;

/**
 * The answer to a brief, of one moment. Immutable; each part is worked out when it is asked for.
 *
 * <p>Kept are the candidates that meet the first conditions, for each number of them, and the last ones: any answer with
 * one condition put aside is the intersection of one of either.
 */
public final class Findings {

    /** The topics that close hours. */
    private static final Set<Topic> HOURS = EnumSet.of(Topic.DAYS, Topic.TIMES, Topic.CLOSED);

    private final Brief brief;
    private final List<Condition> conditions;
    private final Moment moment;
    private final List<CandidateSet> sets = new ArrayList<>();
    private final List<CandidateSet> upTo = new ArrayList<>();
    private final CandidateSet[] from;
    private final SectionSet sections;

    /** The answer at {@code moment}, to whom it is for. Cost: three passes over a bitmap for each condition, beside what the conditions cost. */
    public static Findings of(Moment moment, Brief brief) {
        return new Findings(brief, brief.conditions(), moment);
    }

    /** How many sections fit {@code brief}. */
    public static int count(Moment moment, Brief brief) {
        return brief.conditions().stream()
                .map(condition -> condition.in(moment))
                .reduce(moment.index().layout().all(), CandidateSet::and)
                .size();
    }

    private Findings(Brief brief, List<Condition> conditions, Moment moment) {
        this.brief = brief;
        this.conditions = conditions;
        this.moment = moment;
        CandidateSet all = moment.index().layout().all();
        upTo.add(all);
        for (Condition condition : conditions) {
            CandidateSet set = condition.in(moment);
            sets.add(set);
            upTo.add(upTo.get(upTo.size() - 1).and(set));
        }
        this.from = new CandidateSet[sets.size() + 1];
        from[sets.size()] = all;
        for (int i = sets.size() - 1; i > 0; i--) {
            from[i] = from[i + 1].and(sets.get(i));
        }
        from[0] = candidates();
        this.sections = candidates().sections();
    }

    /** The answer to the brief of these conditions, accounted for in this order instead of a brief's own. */
    static Findings inOrder(List<Condition> conditions, Moment moment) {
        return new Findings(new Brief(conditions), List.copyOf(conditions), moment);
    }

    /**
     * A choice of conditions to drop, none of which could stay.
     *
     * @param sections how many sections come back
     */
    public record WayBack(List<Condition> dropped, int sections) {

        public WayBack {
            dropped = List.copyOf(dropped);
        }
    }

    public Brief brief() {
        return brief;
    }

    /** How many sections fit. */
    public int size() {
        return sections.size();
    }

    /** The sections that fit, in the order of the schedule. */
    public List<Section> fitting() {
        return sections.sorted().map(moment.index()::section).toList();
    }

    /** Whether the section fits; false for one that the edition does not have. */
    public boolean fits(EntryNumber entry) {
        return moment.index().entered(Set.of(entry)).sizeOfAnd(candidates()) > 0;
    }

    /** The first sections that fit, in some order; at most {@code most} of them. */
    public List<Section> first(Order order, int most) {
        return moment.index().sections(new Ordered(moment, order).first(sections, most));
    }

    /** Cost: two passes over a bitmap for each condition. */
    public RunningAccount account() {
        List<RunningAccount.Line> lines = new ArrayList<>();
        int posted = moment.index().layout().sections();
        int before = upTo.get(0).size();
        int incomplete = posted - before;
        int fitting = size();
        for (int i = 0; i < sets.size(); i++) {
            int left = i == sets.size() - 1 ? fitting : upTo.get(i + 1).size();
            int onlyThis = i == sets.size() - 1 ? before - fitting : upTo.get(i).sizeOfAnd(from[i + 1]) - fitting;
            lines.add(new RunningAccount.Line(conditions.get(i), before - left, onlyThis));
            before = left;
        }
        int cancelled = moment.index().cancelled().sizeOfAnd(candidates());
        return new RunningAccount(posted, incomplete, lines, cancelled, fitting - cancelled);
    }

    /**
     * Where nothing fits: every smallest choice of conditions without which something would, the one that brings back most
     * first. Empty where something fits.
     */
    public List<WayBack> waysBack() {
        return brief.isEmpty() || !candidates().isEmpty() ? List.of() : WaysBack.of(conditions, List.of(sets));
    }

    /** For each value of each facet, and each day, how many sections the brief would give with it. */
    public ValueCounts valueCounts() {
        return ValueCounts.of(this);
    }

    /** When in the week the sections that fit meet, and those that would fit were no hours closed. */
    public Density density() {
        CandidateSet open = without(condition -> HOURS.contains(condition.topic()));
        return Density.of(moment.index().timetable(), sections, open == candidates() ? sections : open.sections());
    }

    /** The sections that fail one condition only, the nearest first; at most {@code most} of them. */
    public List<NearMiss> nearMisses(int most, Wording wording) {
        return NearMisses.of(this, most, wording);
    }

    /** For each condition the candidates that meet it. */
    List<CandidateSet> conditionSets() {
        return Collections.unmodifiableList(sets);
    }

    Moment moment() {
        return moment;
    }

    /** The sections that fit. */
    SectionSet sections() {
        return sections;
    }

    /** The candidates that fit. */
    CandidateSet candidates() {
        return upTo.get(sets.size());
    }

    /** The candidates that would fit without the conditions that {@code dropped} names. */
    CandidateSet without(Predicate<Condition> dropped) {
        CandidateSet left = moment.index().layout().all();
        boolean any = false;
        for (int i = 0; i < sets.size(); i++) {
            if (dropped.test(conditions.get(i))) {
                any = true;
            } else {
                left = left.and(sets.get(i));
            }
        }
        return any ? left : candidates();
    }

    /** The candidates that would fit without the condition about {@code topic}; those that fit where there is none. */
    CandidateSet besides(Topic topic) {
        OptionalInt place = placeOf(topic);
        return place.isEmpty() ? candidates() : upTo.get(place.getAsInt()).and(from[place.getAsInt() + 1]);
    }

    private OptionalInt placeOf(Topic topic) {
        for (int i = 0; i < sets.size(); i++) {
            if (conditions.get(i).topic() == topic) {
                return OptionalInt.of(i);
            }
        }
        return OptionalInt.empty();
    }
}
