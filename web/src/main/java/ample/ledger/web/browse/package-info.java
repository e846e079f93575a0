/**
 * The Browse screen: {@link ample.ledger.web.browse.BrowseController} answers its address, and
 * {@link ample.ledger.web.browse.BrowsePage} says what stands on it.
 */
@NullMarked
package ample.ledger.web.browse;

import org.jspecify.annotations.NullMarked;
