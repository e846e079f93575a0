/** Students who come and go on their own, and how seats stand because of them. */
@NullMarked
package ample.ledger.standin.seats;

import org.jspecify.annotations.NullMarked;
