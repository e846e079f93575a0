package ample.ledger.core.schedule;

/** Something that sections count toward: "Field practice". */
public record Requirement(String code, String name) {}
