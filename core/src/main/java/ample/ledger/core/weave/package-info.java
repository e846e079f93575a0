/**
 * All weeks that hold the wanted courses, and the best of them under the student's wishes: {@link ample.ledger.core.weave.Weaver}.
 * {@link ample.ledger.core.weave.Compatibility} counts them, {@link ample.ledger.core.weave.BestWeeks} finds the best, and
 * {@link ample.ledger.core.weave.Impossibility} says why there are none.
 *
 * <p>What a plan is, and what stands in its way, belongs to {@code plan}.
 */
@NullMarked
package ample.ledger.core.weave;

import org.jspecify.annotations.NullMarked;
