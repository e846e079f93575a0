/**
 * The registrar's rules, as pure computation: a {@link ample.ledger.core.registrar.rules.Book} of who has which seats, and
 * {@link ample.ledger.core.registrar.rules.Rules} that decide a request against it. The demo's institution decides by them; Readiness foretells by
 * them.
 */
@NullMarked
package ample.ledger.core.registrar.rules;

import org.jspecify.annotations.NullMarked;
