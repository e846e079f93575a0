/** Ways of posting a bundle: for now, one named when the application starts. */
@NullMarked
package ample.ledger.web.posting;

import org.jspecify.annotations.NullMarked;
