package ample.ledger.core.schedule;

import ample.ledger.core.calendar.DateRange;
import java.util.Optional;

/**
 * The dates a section runs, with the name the institution gives them: "First half".
 *
 * @param code as in the posted tables
 * @param mark the institution's own mark for it, which its code key explains
 */
public record Span(String code, String name, DateRange dates, Optional<String> mark) {}
