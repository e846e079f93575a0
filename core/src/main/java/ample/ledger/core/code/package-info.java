/**
 * Taking codes apart: {@link ample.ledger.core.code.CodeKey} reads an institution's own published table and says what
 * each part of a code means.
 *
 * <p>Nothing about any one institution's letters is written here.
 */
@NullMarked
package ample.ledger.core.code;

import org.jspecify.annotations.NullMarked;
