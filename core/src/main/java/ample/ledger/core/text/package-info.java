/** What text may hold that comes in from outside, whoever sends it. */
@NullMarked
package ample.ledger.core.text;

import org.jspecify.annotations.NullMarked;
