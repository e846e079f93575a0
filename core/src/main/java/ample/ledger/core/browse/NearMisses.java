package ample.ledger.core.browse;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Finds the sections that fail one condition only, the nearest first. */
final class NearMisses {

    /** Nearest first, then in the order of the brief, then of the schedule. */
    private static final Comparator<Found> ORDER = Comparator.comparingInt(
                    (Found found) -> found.shortfall().weight())
            .thenComparing(found -> found.condition().topic())
            .thenComparingInt(Found::section);

    private final Findings findings;
    private final Moment moment;
    private final Wording wording;

    /** A section and how it falls short, in the set in which it does so least. */
    private record Found(int section, Condition condition, Shortfall shortfall) {}

    private NearMisses(Findings findings, Wording wording) {
        this.wording = wording;
        this.findings = findings;
        this.moment = findings.moment();
    }

    /** Cost: one measuring for each candidate that fails one condition only; sentences only for what is returned. */
    static List<NearMiss> of(Findings findings, int most, Wording wording) {
        NearMisses misses = new NearMisses(findings, wording);
        return findings.brief().conditions().stream()
                .flatMap(condition -> misses.failingOnly(condition).stream())
                .sorted(ORDER)
                .limit(most)
                .map(misses::nearMiss)
                .toList();
    }

    private List<Found> failingOnly(Condition condition) {
        Map<Integer, Found> nearest = new TreeMap<>();
        Candidates layout = moment.index().layout();
        findings.besides(condition.topic()).forEach(position -> {
            int section = layout.sectionAt(position);
            if (!findings.candidates().containsSection(section)) {
                Shortfall shortfall = measure(condition, section, position);
                nearest.merge(
                        section,
                        new Found(section, condition, shortfall),
                        (one, other) ->
                                other.shortfall().weight() < one.shortfall().weight() ? other : one);
            }
        });
        return new ArrayList<>(nearest.values());
    }

    private Shortfall measure(Condition condition, int section, int position) {
        int[] members = moment.index().layout().setAt(position);
        if (condition instanceof SetCondition.Seats seats) {
            return new SeatShortfalls(moment.seats(), section, members).of(seats);
        }
        return new Shortfalls(moment, section, members).of(condition);
    }

    private NearMiss nearMiss(Found found) {
        Brief brief = findings.brief();
        Shortfall shortfall = found.shortfall();
        Optional<Condition> relaxed = shortfall.relaxed().get();
        return new NearMiss(
                moment.index().section(found.section()),
                found.condition(),
                shortfall.distance(),
                shortfall.unit(),
                shortfall.sentence().apply(wording),
                relaxed.map(brief::with)
                        .orElseGet(() -> brief.without(found.condition().topic())));
    }
}
