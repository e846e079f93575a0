/**
 * Measures hot paths beside what a team would reach for instead, in one run of JMH, as ratios: {@code ./ledger bench}. No
 * part of the application, and no test: what a machine needs today says nothing of right and wrong.
 */
@NullMarked
package ample.ledger.bench;

import org.jspecify.annotations.NullMarked;
