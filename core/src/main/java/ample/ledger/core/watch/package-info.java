/** What students are told of by themselves: what concerns them, what they watch, and what of it makes a notice. */
@NullMarked
package ample.ledger.core.watch;

import org.jspecify.annotations.NullMarked;
