package ample.ledger.web.seats;

import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import java.util.List;
import java.util.Map;

/**
 * Seats stand otherwise now.
 *
 * @param sections whose they are, by the code of their term
 */
public record SeatsChanged(Map<TermCode, List<Section>> sections) {}
