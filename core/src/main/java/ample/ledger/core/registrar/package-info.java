/**
 * What the registrar's own system does with seats. So far how they stand at a moment, as
 * {@link ample.ledger.core.registrar.SeatWord} tells it; the system itself stands outside.
 */
@NullMarked
package ample.ledger.core.registrar;

import org.jspecify.annotations.NullMarked;
