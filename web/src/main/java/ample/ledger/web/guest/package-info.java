/** What the application keeps for a visitor, signed in or not: in the database, from the first thing there is to keep. */
@NullMarked
package ample.ledger.web.guest;

import org.jspecify.annotations.NullMarked;
