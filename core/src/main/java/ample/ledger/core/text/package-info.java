/** Text that comes in from outside, whoever sends it: what it may hold, how it is looked for, how names are ordered. */
@NullMarked
package ample.ledger.core.text;

import org.jspecify.annotations.NullMarked;
