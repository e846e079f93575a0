/** The institution's mail: it takes letters and shows them. */
@NullMarked
package ample.ledger.standin.mail;

import org.jspecify.annotations.NullMarked;
