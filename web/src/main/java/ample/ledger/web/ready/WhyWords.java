package ample.ledger.web.ready;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.SubmissionOrder.Why;

/** Why something is submitted before something else, in words. */
final class WhyWords {

    private WhyWords() {}

    static String of(Why why) {
        if (why instanceof Why.EarlierTerm earlier) {
            return "%s before %s: it begins earlier."
                    .formatted(earlier.earlier().name(), earlier.later().name());
        }
        if (why instanceof Why.TakenWith with) {
            return "%s first: %s must be taken with it.".formatted(course(with.first()), course(with.then()));
        }
        if (why instanceof Why.Alongside beside) {
            return "%s first: %s needs it, and you may take both in the same term."
                    .formatted(course(beside.first()), course(beside.then()));
        }
        if (why instanceof Why.MakesRoom room) {
            return "%s first: what it takes the place of stands in the way of %s."
                    .formatted(course(room.first()), course(room.then()));
        }
        return why instanceof Why.OneSet
                ? "A section and what goes with it go together, or neither."
                : "Sections with the fewest seats for you go first.";
    }

    private static String course(Attendance one) {
        return one.section().course().code().toString();
    }
}
