/**
 * Postings of a term, one after the other: {@link ample.ledger.core.edition.Edition}; and a posting looked over before it is
 * accepted: {@link ample.ledger.core.edition.PostingChecks}.
 */
@NullMarked
package ample.ledger.core.edition;

import org.jspecify.annotations.NullMarked;
