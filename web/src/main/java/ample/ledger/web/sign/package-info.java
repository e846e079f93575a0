/** Signing in: who is known, and what happens then. */
@NullMarked
package ample.ledger.web.sign;

import org.jspecify.annotations.NullMarked;
