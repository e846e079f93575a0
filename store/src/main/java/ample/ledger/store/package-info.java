/**
 * Editions in PostgreSQL: {@link ample.ledger.store.Editions} posts the tables of a bundle and reads them back.
 *
 * <p>The database has one table for each table of the bundle, with the same columns, so nothing here knows what the
 * columns mean; {@code core}'s assembler does.
 */
@NullMarked
package ample.ledger.store;

import org.jspecify.annotations.NullMarked;
