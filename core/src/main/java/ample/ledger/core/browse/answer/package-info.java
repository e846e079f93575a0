/**
 * What a brief is answered with, in one term or in a season: {@link ample.ledger.core.browse.answer.Findings}. They hold what
 * each condition removed ({@link ample.ledger.core.browse.answer.RunningAccount}), the near misses, the counts of values and
 * the density of the week.
 */
@NullMarked
package ample.ledger.core.browse.answer;

import org.jspecify.annotations.NullMarked;
