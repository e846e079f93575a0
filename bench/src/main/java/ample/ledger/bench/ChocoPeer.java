package ample.ledger.bench;

import ample.ledger.core.weave.Compatibility;
import ample.ledger.core.weave.WeaveModel;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.function.ToIntFunction;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.Solver;
import org.chocosolver.solver.constraints.extension.Tuples;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.variables.IntVar;

/** Choco: an integer for each group, tables for what goes together, elements for the first and last minute of each day. */
final class ChocoPeer implements WeavePeer {

    private static final int MOST_POINTS = 100_000_000;

    private final WeaveModel model;

    ChocoPeer(WeaveModel model) {
        this.model = model;
    }

    private record Posed(Model model, IntVar[] groups) {}

    private Posed posed() {
        Compatibility compatibility = model.compatibility();
        Model posed = new Model();
        IntVar[] groups = new IntVar[compatibility.groups()];
        for (int group = 0; group < groups.length; group++) {
            groups[group] = posed.intVar("g" + group, 0, compatibility.size(group) - 1);
        }
        for (int group = 0; group < groups.length; group++) {
            for (int later = group + 1; later < groups.length; later++) {
                Tuples tuples = new Tuples(true);
                for (int one = 0; one < compatibility.size(group); one++) {
                    for (int other = 0; other < compatibility.size(later); other++) {
                        if (compatibility.together(
                                compatibility.firstOf(group) + one, compatibility.firstOf(later) + other)) {
                            tuples.add(one, other);
                        }
                    }
                }
                if (tuples.nbTuples() == 0) {
                    posed.falseConstraint().post();
                } else if (tuples.nbTuples() < compatibility.size(group) * compatibility.size(later)) {
                    posed.table(groups[group], groups[later], tuples).post();
                }
            }
        }
        return new Posed(posed, groups);
    }

    private IntVar points(Posed posed) {
        Model into = posed.model();
        List<IntVar> terms = new ArrayList<>();
        List<Integer> weights = new ArrayList<>();
        for (int day : WeaveObjective.days(model)) {
            int weeks = model.weeksOf()[day / WeaveObjective.DAYS];
            IntVar first = into.intVar("first" + day, 0, WeaveObjective.MIDNIGHT);
            IntVar last = into.intVar("last" + day, 0, WeaveObjective.MIDNIGHT);
            IntVar filled = into.intVar("filled" + day, 0, WeaveObjective.MIDNIGHT);
            into.min(first, each(posed, option -> WeaveObjective.start(option, day)))
                    .post();
            into.max(last, each(posed, option -> WeaveObjective.end(option, day)))
                    .post();
            into.sum(each(posed, option -> WeaveObjective.minutes(option, day)), "=", filled)
                    .post();
            IntVar open = last.sub(first).sub(filled).intVar();
            terms.add(into.intVar(0).max(open).intVar());
            weights.add(weeks * WeaveObjective.GAP_WEIGHT);
            terms.add(filled.gt(0).boolVar());
            weights.add(weeks * WeaveObjective.FREE_WEIGHT);
            terms.add(into.intVar(0)
                    .max(into.intVar(WeaveObjective.EARLIEST_MINUTE).sub(first))
                    .intVar());
            weights.add(weeks);
        }
        IntVar points = into.intVar("points", 0, MOST_POINTS);
        into.scalar(
                        terms.toArray(IntVar[]::new),
                        weights.stream().mapToInt(Integer::intValue).toArray(),
                        "=",
                        points)
                .post();
        return points;
    }

    private IntVar[] each(Posed posed, ToIntFunction<WeaveModel.Option> value) {
        Compatibility compatibility = model.compatibility();
        IntVar[] values = new IntVar[posed.groups().length];
        for (int group = 0; group < values.length; group++) {
            int[] table = new int[compatibility.size(group)];
            for (int i = 0; i < table.length; i++) {
                table[i] = value.applyAsInt(model.options().get(compatibility.firstOf(group) + i));
            }
            values[group] = posed.model().intVar(table);
            posed.model().element(values[group], table, posed.groups()[group]).post();
        }
        return values;
    }

    @Override
    public List<Long> best(int most, Duration limit) {
        long until = System.nanoTime() + limit.toNanos();
        List<Long> best = new ArrayList<>();
        Tuples notAgain = new Tuples(false);
        while (best.size() < most) {
            Posed posed = posed();
            IntVar points = points(posed);
            if (notAgain.nbTuples() > 0) {
                posed.model().table(posed.groups(), notAgain).post();
            }
            Solver solver = posed.model().getSolver();
            solver.setSearch(Search.domOverWDegSearch(posed.groups()));
            solver.limitTime(Math.max(1, (until - System.nanoTime()) / 1_000_000));
            Solution solution = solver.findOptimalSolution(points, false);
            if (solver.isStopCriterionMet() && System.nanoTime() > until) {
                return List.of();
            }
            if (solution == null) {
                return best;
            }
            best.add((long) solution.getIntVal(points));
            int[] found = new int[posed.groups().length];
            for (int group = 0; group < found.length; group++) {
                found[group] = solution.getIntVal(posed.groups()[group]);
            }
            notAgain.add(found);
        }
        return best;
    }

    @Override
    public OptionalLong count(Duration limit) {
        Posed posed = posed();
        Solver solver = posed.model().getSolver();
        solver.limitTime(limit.toMillis());
        long count = 0;
        while (solver.solve()) {
            count++;
        }
        return solver.isStopCriterionMet() ? OptionalLong.empty() : OptionalLong.of(count);
    }
}
