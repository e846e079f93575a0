package ample.ledger.core.requirement;

import ample.ledger.core.requirement.Evaluation.Judged;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Prerequisite.AtLeast;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * The shortest ways to meet what a prerequisite still asks for: the fewest conditions of which no more is missing once they are met.
 * A course that is asked for in two places counts once.
 *
 * <p>Choices of one condition are tried first, then of two, and so on, so the first that do are the shortest. Cost: at worst two to
 * the power of the conditions that are not met; registrars write down a handful.
 */
public final class ShortestWays {

    /** More conditions than this that are not met are not gone through. */
    private static final int MOST = 16;

    private ShortestWays() {}

    /**
     * Every shortest way, each in the order in which the registrar wrote the conditions. None where nothing is missing, and where
     * more than 16 different conditions are not met.
     */
    public static List<List<Prerequisite>> of(Judged judged) {
        if (judged.verdict().willDo()) {
            return List.of();
        }
        Set<Prerequisite> missing = new LinkedHashSet<>();
        collect(judged, missing);
        List<Prerequisite> open = List.copyOf(missing);
        if (open.size() > MOST) {
            return List.of();
        }
        for (int size = 1; size <= open.size(); size++) {
            List<List<Prerequisite>> ways = new ArrayList<>();
            for (int choice = 1; choice < 1 << open.size(); choice++) {
                if (Integer.bitCount(choice) == size) {
                    List<Prerequisite> way = chosen(open, choice);
                    if (holds(judged, new HashSet<>(way))) {
                        ways.add(way);
                    }
                }
            }
            if (!ways.isEmpty()) {
                return List.copyOf(ways);
            }
        }
        throw new IllegalStateException("A condition all of whose parts are met must be met: " + judged.condition());
    }

    private static void collect(Judged judged, Set<Prerequisite> missing) {
        if (judged.parts().isEmpty() && !judged.verdict().willDo()) {
            missing.add(judged.condition());
        }
        judged.parts().forEach(part -> collect(part, missing));
    }

    private static List<Prerequisite> chosen(List<Prerequisite> open, int choice) {
        List<Prerequisite> way = new ArrayList<>();
        for (int i = 0; i < open.size(); i++) {
            if ((choice >> i & 1) == 1) {
                way.add(open.get(i));
            }
        }
        return List.copyOf(way);
    }

    private static boolean holds(Judged judged, Set<Prerequisite> way) {
        if (judged.condition() instanceof AtLeast choice) {
            return judged.parts().stream().filter(part -> holds(part, way)).count() >= choice.count();
        }
        return judged.verdict().willDo() || way.contains(judged.condition());
    }
}
