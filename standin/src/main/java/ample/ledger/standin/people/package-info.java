/** Who the institution knows: its students with their records, an adviser, and one at the desk. */
@NullMarked
package ample.ledger.standin.people;

import org.jspecify.annotations.NullMarked;
