package ample.ledger.core.registrar;

import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.TermCode;
import java.time.Instant;

/**
 * The registrar's word on one pool of seats: how they stand since a moment.
 *
 * @param term code of the term
 * @param pool code of the pool in its schedule
 * @param at by the registrar's clock
 */
public record SeatWord(TermCode term, String pool, SeatPool.Count count, Instant at) {}
