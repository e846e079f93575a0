/**
 * Decides submissions by the registrar's rules, and writes what happens into the journal. One thread decides, in the order in which submissions come; it
 * commits many at once.
 */
@NullMarked
package ample.ledger.standin.submission;

import org.jspecify.annotations.NullMarked;
