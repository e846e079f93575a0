/** Small simulated outside services for the demo: a clock that stands at the demo's own moment. */
@NullMarked
package ample.ledger.standin;

import org.jspecify.annotations.NullMarked;
