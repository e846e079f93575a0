/** The schedules that the institution has posted. */
@NullMarked
package ample.ledger.standin.posted;

import org.jspecify.annotations.NullMarked;
