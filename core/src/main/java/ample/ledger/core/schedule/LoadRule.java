package ample.ledger.core.schedule;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * What a number of credits in a term means to its institution.
 *
 * @param credits full time from so many on, over-load above so many; in the institution's own unit
 * @param meaning what it means for the student, in the institution's own words
 */
public record LoadRule(Sort sort, BigDecimal credits, Optional<String> meaning) {

    /** What is ruled. */
    public enum Sort implements Coded {
        FULL_TIME,
        OVER_LOAD
    }

    /** Whether so many credits are what it rules. */
    public boolean holds(BigDecimal some) {
        return sort == Sort.FULL_TIME ? some.compareTo(credits) >= 0 : some.compareTo(credits) > 0;
    }
}
