/**
 * What a registrar posts for a term, as immutable records: the {@link ample.ledger.core.schedule.Schedule} and
 * everything in it.
 *
 * <p>What can be worked out from it — status, fit, clashes — is not here, but in the package named after that work.
 */
@NullMarked
package ample.ledger.core.schedule;

import org.jspecify.annotations.NullMarked;
