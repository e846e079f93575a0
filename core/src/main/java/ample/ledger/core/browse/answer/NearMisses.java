package ample.ledger.core.browse.answer;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Shortfall;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Candidates;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.SectionAt;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;

/** Finds the sections that fail one condition only, the nearest first. */
final class NearMisses {

    private final Findings findings;
    private final Moment moment;
    private final Wording wording;

    /** Nearest first, then in the order of the brief, then of the schedule. */
    private record Rank(int weight, Topic topic, SectionAt section) implements Comparable<Rank> {

        private static final Comparator<Rank> ORDER = Comparator.comparingInt(Rank::weight)
                .thenComparing(Rank::topic)
                .thenComparingInt(rank -> rank.section().place());

        @Override
        public int compareTo(Rank other) {
            return ORDER.compare(this, other);
        }
    }

    /** A section and how it falls short, in the set in which it does so least. */
    private record Found(Rank rank, Condition condition, Shortfall shortfall) {}

    private NearMisses(Findings findings, Wording wording) {
        this.wording = wording;
        this.findings = findings;
        this.moment = findings.moment();
    }

    /**
     * Cost: one look at each section that fails one condition only. It is measured only where it can still be one of the
     * nearest: many conditions know no nearer and farther, and of those the first few in the schedule do. Sentences only
     * for what is returned.
     */
    static List<NearMiss> of(Findings findings, int most, Wording wording) {
        NearMisses misses = new NearMisses(findings, wording);
        PriorityQueue<Found> nearest =
                new PriorityQueue<>(Comparator.comparing(Found::rank).reversed());
        findings.brief().conditions().forEach(condition -> misses.addFailingOnly(condition, nearest, most));
        return nearest.stream()
                .sorted(Comparator.comparing(Found::rank))
                .map(misses::nearMiss)
                .toList();
    }

    private void addFailingOnly(Condition condition, PriorityQueue<Found> nearest, int most) {
        Candidates layout = moment.index().layout();
        CandidateSet besides = findings.besides(condition.topic());
        int least = condition.leastShortfall().weight(1);
        besides.sections().forEach(section -> {
            Rank best = new Rank(least, condition.topic(), section);
            if (isNearer(best, nearest, most) && !findings.candidates().containsSection(section)) {
                Shortfall shortfall = layout.of(section)
                        .filter(besides::contains)
                        .map(candidate -> condition.shortfall(new Candidate(moment, candidate)))
                        .min(Comparator.comparingInt(Shortfall::weight))
                        .orElseThrow();
                Rank rank = new Rank(shortfall.weight(), condition.topic(), section);
                if (isNearer(rank, nearest, most)) {
                    nearest.add(new Found(rank, condition, shortfall));
                }
                if (nearest.size() > most) {
                    nearest.remove();
                }
            }
        });
    }

    private static boolean isNearer(Rank rank, PriorityQueue<Found> nearest, int most) {
        return nearest.size() < most || rank.compareTo(nearest.element().rank()) < 0;
    }

    private NearMiss nearMiss(Found found) {
        Brief brief = findings.brief();
        Shortfall shortfall = found.shortfall();
        Optional<Condition> relaxed = shortfall.relaxed().get();
        return new NearMiss(
                moment.index().section(found.rank().section()),
                found.condition(),
                shortfall.distance(),
                shortfall.unit(),
                shortfall.sentence().apply(wording),
                relaxed.map(brief::with)
                        .orElseGet(() -> brief.without(found.condition().topic())));
    }
}
