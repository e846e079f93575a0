package ample.ledger.core.schedule;

/** A person who teaches. */
public record Instructor(String code, String name) {}
