/**
 * What a student asks for: a {@link ample.ledger.core.browse.brief.Brief} of {@link
 * ample.ledger.core.browse.brief.Condition}s, at most one about each {@link ample.ledger.core.browse.brief.Topic}. {@link
 * ample.ledger.core.browse.brief.BriefAddress} reads it from the parameters of an address.
 */
@NullMarked
package ample.ledger.core.browse.brief;

import org.jspecify.annotations.NullMarked;
