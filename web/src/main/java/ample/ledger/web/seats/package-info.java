/** Seats as they change: a stream of news for open pages, and the cells that they put in place. */
@NullMarked
package ample.ledger.web.seats;

import org.jspecify.annotations.NullMarked;
