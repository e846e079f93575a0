/** Sign-on by OpenID Connect. */
@NullMarked
package ample.ledger.standin.sign;

import org.jspecify.annotations.NullMarked;
