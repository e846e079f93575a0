/**
 * Wish rounds: students rank groups with few places during a period, and the places are distributed afterwards by the rule that the round says.
 *
 * <p>{@link ample.ledger.core.registrar.round.Distribution} is the way in.
 */
@NullMarked
package ample.ledger.core.registrar.round;

import org.jspecify.annotations.NullMarked;
