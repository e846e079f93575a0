/**
 * Open formats in and out. Here: the schedule bundle, a Tabular Data Package.
 *
 * <p>The way in: {@link ample.ledger.core.exchange.BundleReader} turns files into
 * {@link ample.ledger.core.exchange.BundleTables} as the descriptor {@code datapackage.json} of this package says, and
 * {@link ample.ledger.core.exchange.ScheduleAssembler} turns tables into a
 * {@link ample.ledger.core.schedule.Schedule}. Both report every fault at once. The store keeps the same tables, so the
 * assembler serves files and database alike.
 */
@NullMarked
package ample.ledger.core.exchange;

import org.jspecify.annotations.NullMarked;
