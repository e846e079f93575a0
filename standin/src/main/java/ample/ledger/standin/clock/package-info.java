/** The demo's clock, which can be moved. */
@NullMarked
package ample.ledger.standin.clock;

import org.jspecify.annotations.NullMarked;
