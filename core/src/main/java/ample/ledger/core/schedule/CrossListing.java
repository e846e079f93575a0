package ample.ledger.core.schedule;

/**
 * That a section is one of several under which one class is posted; all of them share a pool.
 *
 * @param code names the class
 * @param home whether this is the subject that gives it; of each class one section is
 */
public record CrossListing(String code, boolean home) {}
