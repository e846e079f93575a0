/** How times, dates, places and seats are said on every screen. */
@NullMarked
package ample.ledger.web.words;

import org.jspecify.annotations.NullMarked;
