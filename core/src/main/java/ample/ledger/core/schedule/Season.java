package ample.ledger.core.schedule;

/** Terms of several calendars or institutions that run side by side and can be browsed together. */
public record Season(String code, String name) {}
