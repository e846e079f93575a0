package ample.ledger.core.browse.index;

/** A section of an index, by its place in the schedule. */
public record SectionAt(int place) {}
