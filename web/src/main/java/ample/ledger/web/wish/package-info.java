/** Wish rounds: what is wished, by whom places are had, and why. */
@NullMarked
package ample.ledger.web.wish;

import org.jspecify.annotations.NullMarked;
