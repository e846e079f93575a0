/** My record: what a student has done, so that prerequisites can be judged; kept for guests too. */
@NullMarked
package ample.ledger.web.record;

import org.jspecify.annotations.NullMarked;
