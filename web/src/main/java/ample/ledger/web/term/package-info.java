/** The terms on offer and the index of each: {@link ample.ledger.web.term.Terms}. */
@NullMarked
package ample.ledger.web.term;

import org.jspecify.annotations.NullMarked;
