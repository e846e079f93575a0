/**
 * Sections taken together. A {@link ample.ledger.core.plan.Plan} names them, a {@link ample.ledger.core.plan.PlannedWeek} is what
 * it means in what is posted now; {@link ample.ledger.core.plan.Obstacles} says what stands in its way and what would mend it,
 * {@link ample.ledger.core.plan.Load} how much it is.
 *
 * <p>To find weeks that nobody planned yet is the work of {@code weave}.
 */
@NullMarked
package ample.ledger.core.plan;

import org.jspecify.annotations.NullMarked;
