/** Postings of a term, one after the other: {@link ample.ledger.core.edition.Edition}. */
@NullMarked
package ample.ledger.core.edition;

import org.jspecify.annotations.NullMarked;
