package ample.ledger.bench;

import ample.ledger.core.weave.Compatibility;
import ample.ledger.core.weave.WeaveModel;
import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverSolutionCallback;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;

/** OR-Tools CP-SAT: a Boolean for each option, clauses for what does not go together, first and last minute of each day as integers. */
final class CpSatPeer implements WeavePeer {

    private final WeaveModel model;

    CpSatPeer(WeaveModel model) {
        Loader.loadNativeLibraries();
        this.model = model;
    }

    /** A model with a variable for each option. */
    private record Posed(CpModel model, BoolVar[] options) {}

    private Posed posed() {
        Compatibility compatibility = model.compatibility();
        CpModel posed = new CpModel();
        BoolVar[] options = new BoolVar[compatibility.options()];
        for (int option = 0; option < options.length; option++) {
            options[option] = posed.newBoolVar("o" + option);
        }
        for (int group = 0; group < compatibility.groups(); group++) {
            List<Literal> ofGroup = new ArrayList<>();
            for (int i = 0; i < compatibility.size(group); i++) {
                ofGroup.add(options[compatibility.firstOf(group) + i]);
            }
            posed.addExactlyOne(ofGroup);
        }
        for (int one = 0; one < options.length; one++) {
            for (int other = one + 1; other < options.length; other++) {
                if (compatibility.groupOf(one) != compatibility.groupOf(other) && !compatibility.together(one, other)) {
                    posed.addBoolOr(new Literal[] {options[one].not(), options[other].not()});
                }
            }
        }
        return new Posed(posed, options);
    }

    private Posed withObjective() {
        Posed posed = posed();
        LinearExprBuilder points = LinearExpr.newBuilder();
        for (int option = 0; option < posed.options().length; option++) {
            points.addTerm(posed.options()[option], model.options().get(option).own());
        }
        for (int day : WeaveObjective.days(model)) {
            day(posed, day, points);
        }
        posed.model().minimize(points);
        return posed;
    }

    private void day(Posed posed, int day, LinearExprBuilder points) {
        CpModel into = posed.model();
        BoolVar used = into.newBoolVar("used" + day);
        IntVar first = into.newIntVar(0, WeaveObjective.MIDNIGHT, "first" + day);
        IntVar last = into.newIntVar(0, WeaveObjective.MIDNIGHT, "last" + day);
        IntVar gaps = into.newIntVar(0, WeaveObjective.MIDNIGHT, "gaps" + day);
        IntVar early = into.newIntVar(0, WeaveObjective.EARLIEST_MINUTE, "early" + day);
        LinearExprBuilder filled = LinearExpr.newBuilder();
        for (int option = 0; option < posed.options().length; option++) {
            WeaveModel.Option some = model.options().get(option);
            int minutes = WeaveObjective.minutes(some, day);
            if (minutes > 0) {
                BoolVar chosen = posed.options()[option];
                into.addImplication(chosen, used);
                into.addLessOrEqual(first, WeaveObjective.start(some, day)).onlyEnforceIf(chosen);
                into.addGreaterOrEqual(last, WeaveObjective.end(some, day)).onlyEnforceIf(chosen);
                filled.addTerm(chosen, minutes);
            }
        }
        // gaps + filled + first - last >= 0
        filled.addTerm(gaps, 1).addTerm(first, 1).addTerm(last, -1);
        into.addGreaterOrEqual(filled, 0);
        into.addGreaterOrEqual(
                LinearExpr.newBuilder().addTerm(early, 1).addTerm(first, 1), WeaveObjective.EARLIEST_MINUTE);
        int weeks = model.weeksOf()[day / WeaveObjective.DAYS];
        points.addTerm(used, (long) weeks * WeaveObjective.FREE_WEIGHT)
                .addTerm(gaps, (long) weeks * WeaveObjective.GAP_WEIGHT)
                .addTerm(early, weeks);
    }

    @Override
    public List<Long> best(int most, Duration limit) {
        long until = System.nanoTime() + limit.toNanos();
        Posed posed = withObjective();
        List<Long> best = new ArrayList<>();
        while (best.size() < most) {
            CpSolver solver = new CpSolver();
            solver.getParameters().setMaxTimeInSeconds(Math.max(0.001, (until - System.nanoTime()) / 1e9));
            CpSolverStatus status = solver.solve(posed.model());
            if (status == CpSolverStatus.INFEASIBLE) {
                return best;
            }
            if (status != CpSolverStatus.OPTIMAL) {
                return List.of();
            }
            best.add(Math.round(solver.objectiveValue()));
            List<Literal> notAgain = new ArrayList<>();
            for (BoolVar option : posed.options()) {
                if (solver.booleanValue(option)) {
                    notAgain.add(option.not());
                }
            }
            posed.model().addBoolOr(notAgain);
        }
        return best;
    }

    @Override
    public OptionalLong count(Duration limit) {
        CpSolver solver = new CpSolver();
        solver.getParameters().setEnumerateAllSolutions(true);
        solver.getParameters().setNumWorkers(1);
        solver.getParameters().setMaxTimeInSeconds(limit.toMillis() / 1e3);
        long[] count = {0};
        CpSolverStatus status = solver.solve(posed().model(), new CpSolverSolutionCallback() {
            @Override
            public void onSolutionCallback() {
                count[0]++;
            }
        });
        return status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.INFEASIBLE
                ? OptionalLong.of(count[0])
                : OptionalLong.empty();
    }
}
