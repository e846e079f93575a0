/**
 * Finding sections: a {@link ample.ledger.core.browse.Brief} of {@link ample.ledger.core.browse.Condition}s is answered
 * by a {@link ample.ledger.core.browse.TermIndex} with {@link ample.ledger.core.browse.Findings}: what fits, and the
 * {@link ample.ledger.core.browse.RunningAccount} of what each condition removed.
 *
 * <p>{@link ample.ledger.core.browse.BriefAddress} writes a brief as the parameters of an address and reads it back.
 */
@NullMarked
package ample.ledger.core.browse;

import org.jspecify.annotations.NullMarked;
