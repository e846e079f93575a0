package ample.ledger.core.weave;

/**
 * What an option takes of each typical week, and what it costs by itself.
 *
 * @param cells where it meets: the number of a day of a typical week, seven of them a week, Monday first; ascending
 * @param classes for each of those, packed as {@link Wishing} does
 * @param own points that it costs in whatever week it stands, weighed
 */
record Footprint(int[] cells, long[] classes, long own) {}
