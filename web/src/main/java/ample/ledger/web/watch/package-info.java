/** Tells students what concerns them: watches, notices, and what makes them. */
@NullMarked
package ample.ledger.web.watch;

import org.jspecify.annotations.NullMarked;
