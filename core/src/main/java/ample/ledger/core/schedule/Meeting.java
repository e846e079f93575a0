package ample.ledger.core.schedule;

import ample.ledger.core.calendar.Timing;

/** One row of when and where. */
public record Meeting(Kind kind, Timing timing, Place place) {}
