/** Tests of the store against the real PostgreSQL, and the database that other modules' tests use too. */
@NullMarked
package ample.ledger.store;

import org.jspecify.annotations.NullMarked;
