/** How a reader likes to see things: kept in a cookie, so that guests have it too and the server writes the right page at once. */
@NullMarked
package ample.ledger.web.preferences;

import org.jspecify.annotations.NullMarked;
