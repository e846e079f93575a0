/** Pages for when something was not understood, is not there, or went wrong: what happened, and the way on. */
@NullMarked
package ample.ledger.web.trouble;

import org.jspecify.annotations.NullMarked;
