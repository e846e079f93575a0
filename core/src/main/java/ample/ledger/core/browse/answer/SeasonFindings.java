package ample.ledger.core.browse.answer;

import ample.ledger.core.browse.answer.Findings.WayBack;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Moment;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The answers of several terms to one brief, read as one: every count is the sum of theirs. A value that a term does not know
 * gives nothing there. Of one term, it says what that term says.
 *
 * @param terms at least one, each an answer to the same brief
 */
public record SeasonFindings(List<Findings> terms) {

    public SeasonFindings {
        terms = List.copyOf(terms);
        if (terms.stream().map(Findings::brief).distinct().count() != 1) {
            throw new IllegalArgumentException("Answers to one brief are read together, not to several or none");
        }
    }

    /** What terms answer, each at its moment. */
    public static SeasonFindings of(List<Moment> moments, Brief brief) {
        return new SeasonFindings(
                moments.stream().map(moment -> Findings.of(moment, brief)).toList());
    }

    /** How many sections of these terms fit {@code brief}. */
    public static int count(List<Moment> moments, Brief brief) {
        return moments.stream()
                .mapToInt(moment -> Findings.count(moment, brief))
                .sum();
    }

    public Brief brief() {
        return terms.get(0).brief();
    }

    /** How many sections fit. */
    public int size() {
        return terms.stream().mapToInt(Findings::size).sum();
    }

    /** Line by line the sum of the terms' accounts; their lines are those of the same brief in the same order. */
    public RunningAccount account() {
        return terms.stream().map(Findings::account).reduce(SeasonFindings::sum).orElseThrow();
    }

    private static RunningAccount sum(RunningAccount one, RunningAccount other) {
        List<RunningAccount.Line> lines = new ArrayList<>();
        for (int i = 0; i < one.lines().size(); i++) {
            RunningAccount.Line first = one.lines().get(i);
            RunningAccount.Line second = other.lines().get(i);
            lines.add(new RunningAccount.Line(
                    first.condition(), first.removed() + second.removed(), first.onlyThis() + second.onlyThis()));
        }
        return new RunningAccount(
                one.posted() + other.posted(),
                one.incomplete() + other.incomplete(),
                lines,
                one.cancelled() + other.cancelled(),
                one.left() + other.left());
    }

    /** {@link Findings#waysBack()} over all terms; empty where something fits in one of them. */
    public List<WayBack> waysBack() {
        return brief().isEmpty() || size() > 0
                ? List.of()
                : WaysBack.of(
                        brief().conditions(),
                        terms.stream().map(Findings::conditionSets).toList());
    }

    /** {@link Findings#density()} over all terms. */
    public Density density() {
        return terms.stream().map(Findings::density).reduce(Density::plus).orElseThrow();
    }

    /** {@link Findings#valueCounts()} over all terms. */
    public Counts valueCounts() {
        return new Counts(terms.stream().map(Findings::valueCounts).toList());
    }

    /** The counts of each term, added up when they are asked for. */
    public record Counts(List<ValueCounts> terms) {

        /** @see ValueCounts#of(Facet) */
        public Map<String, Integer> of(Facet facet) {
            Map<String, Integer> sum = new LinkedHashMap<>();
            terms.forEach(counts -> counts.of(facet).forEach((code, count) -> sum.merge(code, count, Integer::sum)));
            return sum;
        }

        /** @see ValueCounts#untimed() */
        public int untimed() {
            return terms.stream().mapToInt(ValueCounts::untimed).sum();
        }

        /** @see ValueCounts#of(DayOfWeek) */
        public int of(DayOfWeek day) {
            return terms.stream().mapToInt(counts -> counts.of(day)).sum();
        }
    }
}
