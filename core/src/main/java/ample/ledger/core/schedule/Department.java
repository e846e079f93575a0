package ample.ledger.core.schedule;

/** Who answers for subjects: Cold Sciences. */
public record Department(String code, String name) {}
