/**
 * Reading one section: its {@link ample.ledger.core.reading.SeatAccount}, its {@link ample.ledger.core.reading.Status}
 * with the reason, and its hours in class.
 */
@NullMarked
package ample.ledger.core.reading;

import org.jspecify.annotations.NullMarked;
