/** My week: the sections that a visitor keeps for a term. */
@NullMarked
package ample.ledger.web.plan;

import org.jspecify.annotations.NullMarked;
