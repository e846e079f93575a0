package ample.ledger.core.schedule;

/**
 * A course that must be taken at the same time, or have been taken before.
 *
 * @param sentence in the registrar's own words
 */
public record Corequisite(CourseCode course, String sentence) {}
