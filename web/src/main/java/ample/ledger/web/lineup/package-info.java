/** The line-up: sections set side by side. */
@NullMarked
package ample.ledger.web.lineup;

import org.jspecify.annotations.NullMarked;
