package ample.ledger.core.schedule;

/** A field of study: GLAC, Glaciology. */
public record Subject(String code, String name) {}
