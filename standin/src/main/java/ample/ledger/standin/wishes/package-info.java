/** Wish rounds: what students wish, the lottery, and what is distributed when a period ends. */
@NullMarked
package ample.ledger.standin.wishes;

import org.jspecify.annotations.NullMarked;
