/**
 * What a brief is answered with: {@link ample.ledger.core.browse.answer.Findings}, of one term or of a season, with the {@link
 * ample.ledger.core.browse.answer.RunningAccount} of what each condition removed, the near misses, the counts of values and the
 * density of the week.
 */
@NullMarked
package ample.ledger.core.browse.answer;

import org.jspecify.annotations.NullMarked;
