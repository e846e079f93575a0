/**
 * Reads one line of text as a brief: {@link ample.ledger.core.browse.quick.QuickFind}.
 */
@NullMarked
package ample.ledger.core.browse.quick;

import org.jspecify.annotations.NullMarked;
