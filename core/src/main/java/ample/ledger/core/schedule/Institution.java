package ample.ledger.core.schedule;

import java.time.ZoneId;

/** Who posts, and the zone its wall clocks show. */
public record Institution(String code, String name, ZoneId zone) {}
