package ample.ledger.core.plan;

import ample.ledger.core.schedule.Coded;

/** How a section stands in a plan. */
public enum Standing implements Coded {
    /** To be registered for. */
    TAKEN,
    /** To be waited for: it takes the student's time, but gives no credit before a seat is taken up (common practice, no source). */
    WAITED_FOR,
    /** Kept beside the plan, as something to fall back on. */
    BESIDE
}
