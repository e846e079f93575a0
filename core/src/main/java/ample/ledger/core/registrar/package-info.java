/**
 * What the registrar's own systems know and do: students and their holds, and how seats stand at a moment. The systems themselves stand
 * outside; {@link ample.ledger.core.registrar.Registrar} is how this program asks them.
 */
@NullMarked
package ample.ledger.core.registrar;

import org.jspecify.annotations.NullMarked;
