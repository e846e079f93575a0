/** The application as an institution runs it, tried on one machine: {@code ./ledger trial}. */
@NullMarked
package ample.ledger.web.trial;

import org.jspecify.annotations.NullMarked;
