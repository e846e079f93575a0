/**
 * Sections taken together: what stands in whose way. So far the {@link ample.ledger.core.plan.Clash}es of meetings; a plan with
 * its load, travel and alternatives has its place here.
 */
@NullMarked
package ample.ledger.core.plan;

import org.jspecify.annotations.NullMarked;
