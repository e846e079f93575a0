/**
 * The demo's institution, in place of the systems that a real one has: sign-on, students and their records, seats, and a clock. It is
 * a program of its own; Ample Ledger asks it over the network, as it would ask those.
 */
@NullMarked
package ample.ledger.standin;

import org.jspecify.annotations.NullMarked;
