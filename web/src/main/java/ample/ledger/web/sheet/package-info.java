/** The sheet: the page of one section. */
@NullMarked
package ample.ledger.web.sheet;

import org.jspecify.annotations.NullMarked;
