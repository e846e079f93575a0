package ample.ledger.core.schedule;

import ample.ledger.core.calendar.DateRange;

/**
 * The dates a section runs, with the name the institution gives them: "First half".
 *
 * @param code as in the posted tables
 */
public record Span(String code, String name, DateRange dates) {}
