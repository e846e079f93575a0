/** What the registrar would answer to a plan, before it is submitted, and what mends what would be refused. */
@NullMarked
package ample.ledger.core.readiness;

import org.jspecify.annotations.NullMarked;
