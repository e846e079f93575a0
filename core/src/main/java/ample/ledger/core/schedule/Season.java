package ample.ledger.core.schedule;

/** Terms of several calendars or institutions that run side by side and can be browsed together. */
public record Season(SeasonCode code, String name) {}
