package ample.ledger.web.opening;

import java.util.List;

/**
 * When a student may register.
 *
 * @param back where the page leads back to
 * @param holds what stops them, in sentences
 * @param record where to say how many credits one has; empty where that is known
 */
public record OpeningPage(String back, List<String> holds, List<OfTerm> terms, String record) {

    /**
     * The openings of one term.
     *
     * @param sentence when it opens for the student; empty where that is not known
     * @param sooner what would have opened it sooner; empty where nothing would
     * @param limit how many credits one may take; empty where the institution sets no limit
     */
    public record OfTerm(String name, String sentence, String sooner, List<Line> lines, String limit) {}

    /**
     * One opening.
     *
     * @param own whether it is the student's
     * @param state "open since then", "in 22 h"
     */
    public record Line(String who, String when, String state, boolean own) {}
}
