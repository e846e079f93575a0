package ample.ledger.store;

import java.time.Duration;

/**
 * For how long something is kept of somebody who does not come any more.
 *
 * @param guests from their last visit on
 * @param students from when they signed in or changed something last; zero for as long as they like
 */
public record Retention(Duration guests, Duration students) {}
