/**
 * Reading one section: its {@link ample.ledger.core.reading.SeatAccount}, its {@link ample.ledger.core.reading.Status}
 * with the reason, its hours and the dates that bind.
 */
@NullMarked
package ample.ledger.core.reading;

import org.jspecify.annotations.NullMarked;
