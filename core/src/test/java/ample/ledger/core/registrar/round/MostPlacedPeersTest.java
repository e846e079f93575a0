package ample.ledger.core.registrar.round;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.registrar.round.Contest.Group;
import ample.ledger.core.schedule.WishRound.Rule;
import com.google.ortools.Loader;
import com.google.ortools.graph.MinCostFlow;
import com.google.ortools.graph.MinCostFlowBase;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.lifecycle.BeforeContainer;

/** The cost of distributions that place the most, compared with what two solvers of OR-Tools find. */
class MostPlacedPeersTest {

    private static final int STUDENTS = 60;
    private static final int GROUPS = 9;
    private static final int CLASSES = 3;

    /** More than the ranks of all wishes. */
    private static final long OF_EVENNESS = STUDENTS * GROUPS + 1;

    /** More than all squares. */
    private static final long OF_NOBODY = OF_EVENNESS * (STUDENTS * STUDENTS + 1);

    @BeforeContainer
    static void load() {
        Loader.loadNativeLibraries();
    }

    private static long costOfNone(Ballot ballot) {
        return OF_NOBODY * (CLASSES - ballot.wishes().get(0).priority());
    }

    private static long cost(Contest contest, List<Integer> got) {
        long cost = 0;
        long[] sizes = new long[GROUPS];
        for (int i = 0; i < got.size(); i++) {
            Ballot ballot = contest.ballots().get(i);
            cost += got.get(i) < 0 ? costOfNone(ballot) : ballot.place(got.get(i));
            if (got.get(i) >= 0) {
                sizes[got.get(i)]++;
            }
        }
        for (long size : sizes) {
            cost += contest.even() ? OF_EVENNESS * size * size : 0;
        }
        return cost;
    }

    /** A network with an arc for each place of a group, where they are to be even each dearer than the one before. */
    private static long flowCost(Contest contest) {
        MinCostFlow flow = new MinCostFlow();
        int sink = 0;
        int firstStudent = 1 + GROUPS;
        for (int group = 0; group < GROUPS; group++) {
            for (int place = 0; place < contest.groups().get(group).places(); place++) {
                flow.addArcWithCapacityAndUnitCost(
                        1 + group, sink, 1, contest.even() ? OF_EVENNESS * (2L * place + 1) : 0);
            }
        }
        for (int i = 0; i < contest.ballots().size(); i++) {
            Ballot ballot = contest.ballots().get(i);
            flow.setNodeSupply(firstStudent + i, 1);
            flow.addArcWithCapacityAndUnitCost(firstStudent + i, sink, 1, costOfNone(ballot));
            for (int place = 0; place < ballot.wishes().size(); place++) {
                flow.addArcWithCapacityAndUnitCost(
                        firstStudent + i, 1 + ballot.wishes().get(place).group(), 1, place);
            }
        }
        flow.setNodeSupply(sink, -contest.ballots().size());
        assertThat(flow.solve()).isEqualTo(MinCostFlowBase.Status.OPTIMAL);
        return flow.getOptimalCost();
    }

    @Property(tries = 2000)
    void costsWhatAFlowOfLeastCostDoes(@ForAll long seed) {
        Random random = new Random(seed);
        Contest contest = Contests.random(
                random,
                Rule.MOST_PLACED,
                random.nextBoolean(),
                1 + random.nextInt(STUDENTS),
                GROUPS,
                CLASSES,
                2 + random.nextInt(10));
        assertThat(cost(contest, Distribution.of(contest).got())).isEqualTo(flowCost(contest));
    }

    /** Among the groups that come about, each with its least size as a bound of its own. */
    @Property(tries = 60)
    void costsWhatConstraintsFindWithLeastSizes(@ForAll long seed) {
        Random random = new Random(seed);
        Contest drawn = Contests.random(random, Rule.MOST_PLACED, random.nextBoolean(), 14, GROUPS, CLASSES, 4);
        Contest contest = new Contest(
                drawn.rule(),
                drawn.even(),
                drawn.groups().stream()
                        .map(group -> new Group(group.code(), group.places(), random.nextInt(group.places() + 1)))
                        .toList(),
                drawn.ballots());
        Distribution distribution = Distribution.of(contest);
        CpModel model = new CpModel();
        LinearExprBuilder total = LinearExpr.newBuilder();
        List<LinearExprBuilder> sizes = new ArrayList<>();
        for (int group = 0; group < GROUPS; group++) {
            sizes.add(LinearExpr.newBuilder());
        }
        for (Ballot ballot : contest.ballots()) {
            List<Literal> choices = new ArrayList<>();
            for (int place = 0; place < ballot.wishes().size(); place++) {
                BoolVar choice = model.newBoolVar("");
                choices.add(choice);
                total.addTerm(choice, place);
                sizes.get(ballot.wishes().get(place).group()).add(choice);
            }
            BoolVar none = model.newBoolVar("");
            choices.add(none);
            total.addTerm(none, costOfNone(ballot));
            model.addExactlyOne(choices);
        }
        for (int group = 0; group < GROUPS; group++) {
            Group each = contest.groups().get(group);
            boolean closed = distribution.closed(group).isPresent();
            model.addLinearConstraint(sizes.get(group), closed ? 0 : each.least(), closed ? 0 : each.places());
            if (contest.even()) {
                IntVar square = model.newIntVar(0, STUDENTS * STUDENTS, "");
                model.addMultiplicationEquality(square, sizes.get(group), sizes.get(group));
                total.addTerm(square, OF_EVENNESS);
            }
        }
        model.minimize(total);
        CpSolver solver = new CpSolver();
        solver.getParameters().setNumWorkers(1);
        assertThat(solver.solve(model)).isEqualTo(CpSolverStatus.OPTIMAL);
        assertThat(cost(contest, distribution.got())).isEqualTo(Math.round(solver.objectiveValue()));
    }
}
