/** Who asks, as far as it is known, and what terms are to them at that moment. */
@NullMarked
package ample.ledger.web.visit;

import org.jspecify.annotations.NullMarked;
