package ample.ledger.core.schedule;

import java.time.DayOfWeek;
import java.time.ZoneId;
import java.util.Locale;

/**
 * Who posts.
 *
 * @param zone the zone its wall clocks show
 * @param language what its sections are taught in where they do not say
 * @param codes how it puts codes together
 * @param weekBegins the day that its weeks begin with
 */
public record Institution(
        String code, String name, ZoneId zone, Locale language, CodeForm codes, DayOfWeek weekBegins) {}
