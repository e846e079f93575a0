/**
 * What stands before every page: which requests are let through, how much one address may ask for, and what is said to those that
 * are not. {@code docs/security.md} says against whom.
 */
@NullMarked
package ample.ledger.web.guard;

import org.jspecify.annotations.NullMarked;
