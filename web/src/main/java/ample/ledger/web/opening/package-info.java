/** The page that says when a student may register, and why. */
@NullMarked
package ample.ledger.web.opening;

import org.jspecify.annotations.NullMarked;
