/** The head of every page about a term. */
@NullMarked
package ample.ledger.web.head;

import org.jspecify.annotations.NullMarked;
