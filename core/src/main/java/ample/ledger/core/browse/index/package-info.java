/**
 * The sections of one edition, laid out so that conditions are answered without looking at them one by one: as bitmaps and
 * columns of numbers over {@link ample.ledger.core.browse.index.Candidates candidates}, each a section in one of the complete sets
 * that it can be taken in. Knows the {@link ample.ledger.core.browse.index.Facet facets} that sections have, and not who asks.
 *
 * <p>Sections, sets and candidates are counted by whole numbers here; outside, a {@link
 * ample.ledger.core.browse.index.Candidate} stands for one of them.
 */
@NullMarked
package ample.ledger.core.browse.index;

import org.jspecify.annotations.NullMarked;
