package ample.ledger.web.wish;

import ample.ledger.core.schedule.WishRound;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** The codes of groups in the order in which they are wished. */
record Ranking(WishRound round, List<String> codes) {

    Ranking {
        codes = List.copyOf(codes);
    }

    /** Of what a form says: groups that the round does not have, and those that are there twice, are left out. */
    static Ranking of(WishRound round, List<String> codes) {
        return new Ranking(
                round,
                codes.stream()
                        .filter(code -> round.group(code).isPresent())
                        .distinct()
                        .toList());
    }

    /**
     * The order after a change.
     *
     * @param act "in.", "out.", "up." or "down." and the code of a group; anything else changes nothing
     */
    List<String> after(String act) {
        String code = act.substring(act.indexOf('.') + 1);
        List<String> after = new ArrayList<>(codes);
        int at = after.indexOf(code);
        if (act.startsWith("in.") && at < 0 && round.group(code).isPresent()) {
            after.add(code);
        } else if (act.startsWith("out.")) {
            after.remove(code);
        } else if (act.startsWith("up.") && at > 0) {
            Collections.swap(after, at, at - 1);
        } else if (act.startsWith("down.") && at >= 0 && at + 1 < after.size()) {
            Collections.swap(after, at, at + 1);
        }
        return after;
    }
}
