package ample.ledger.core.schedule;

import java.math.BigDecimal;

/**
 * What of a course's credits falls to one of the terms it runs through.
 *
 * @param term code of the term, which may be one that another bundle states
 * @param credits in the institution's own unit; 0 or more
 */
public record CreditShare(TermCode term, BigDecimal credits) {}
