/** Attacks on an application of one's own: {@code ./ledger attack}. */
@NullMarked
package ample.ledger.web.attack;

import org.jspecify.annotations.NullMarked;
