package ample.ledger.core.schedule;

import ample.ledger.core.calendar.Timing;

/**
 * One row of when and where.
 *
 * @param kindName what the institution calls its kind
 */
public record Meeting(Kind kind, String kindName, Timing timing, Place place) {}
