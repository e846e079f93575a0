package ample.ledger.bench;

import ample.ledger.core.browse.answer.Density;
import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.answer.RunningAccount;
import ample.ledger.core.browse.answer.ValueCounts;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Order;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What every engine has to say of a brief.
 *
 * @param left for each number of first conditions, from none to all, how many sections fit those
 * @param onlyThis for each condition how many sections come back without it
 * @param counts for each facet, by its name, and each value with a section how many sections it would give
 * @param fitting for each half hour of the week how many fitting sections meet then
 * @param open the same were no hours closed
 * @param first the entry numbers of the first lines in the order of the first meeting
 */
record Answer(
        List<Integer> left,
        List<Integer> onlyThis,
        Map<String, Map<String, Integer>> counts,
        int[] fitting,
        int[] open,
        List<String> first) {

    static final int LINES = 60;
    static final int CELLS = 7 * Density.HALF_HOURS;

    /** The facets whose values are counted: those that hold few values. */
    static final List<Facet> FACETS = List.of(Facet.values());

    /** The ledger's own answer, in the words of the others. */
    static Answer of(TermIndex index, Brief brief) {
        Findings findings = Findings.of(Asker.now(index), brief);
        RunningAccount account = findings.account();
        List<Integer> left = new ArrayList<>(List.of(account.posted() - account.incomplete()));
        account.lines().forEach(line -> left.add(left.get(left.size() - 1) - line.removed()));
        ValueCounts values = findings.valueCounts();
        Map<String, Map<String, Integer>> counts = new TreeMap<>();
        for (Facet facet : FACETS) {
            Map<String, Integer> some = new TreeMap<>(values.of(facet));
            some.values().removeIf(count -> count == 0);
            counts.put(facet.name(), some);
        }
        Density density = findings.density();
        int[] fitting = new int[CELLS];
        int[] open = new int[CELLS];
        for (int cell = 0; cell < CELLS; cell++) {
            DayOfWeek day = DayOfWeek.of(cell / Density.HALF_HOURS + 1);
            fitting[cell] = density.fitting(day, cell % Density.HALF_HOURS);
            open[cell] = density.open(day, cell % Density.HALF_HOURS);
        }
        return new Answer(
                left,
                account.lines().stream().map(RunningAccount.Line::onlyThis).toList(),
                counts,
                fitting,
                open,
                findings.first(Order.MEETING, LINES).stream()
                        .map(Section::entry)
                        .map(Object::toString)
                        .toList());
    }

    @Override
    public String toString() {
        return left + " " + onlyThis + " " + counts + " " + Arrays.toString(fitting) + " " + Arrays.toString(open) + " "
                + first;
    }
}
