package ample.ledger.web.plan;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Judgement;
import ample.ledger.core.requirement.Evaluation.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Names what a week depends on and is not known of who plans it. */
final class NotKnown {

    private NotKnown() {}

    /** "Not known here: whether the prerequisites of TIDE 214 T1 are met; whether TIDE 390d T1r may be taken." Empty where all is known. */
    static String of(Judgement judgement) {
        List<String> parts = new ArrayList<>();
        String asking = names(asking(judgement, Verdict.UNKNOWN));
        if (!asking.isEmpty()) {
            parts.add("whether the prerequisites of " + asking + " are met");
        }
        String supposed = names(asking(judgement, Verdict.SUPPOSED));
        if (!supposed.isEmpty()) {
            parts.add("whether the what-if lines come true, on which " + supposed + " depends");
        }
        String some = names(judgement.perhaps().stream().map(Attendance::toString));
        if (!some.isEmpty()) {
            parts.add("whether " + some + " may be taken");
        }
        return parts.isEmpty() ? "" : "Not known here: " + String.join("; ", parts) + ".";
    }

    private static Stream<String> asking(Judgement judgement, Verdict verdict) {
        return judgement.unknown().stream()
                .filter(lacks -> lacks.verdict() == verdict)
                .map(lacks -> lacks.attendance().toString());
    }

    /** "A, B and C". */
    private static String names(Stream<String> names) {
        List<String> all = names.distinct().toList();
        if (all.size() < 2) {
            return String.join("", all);
        }
        return String.join(", ", all.subList(0, all.size() - 1)) + " and " + all.get(all.size() - 1);
    }
}
