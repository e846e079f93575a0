package ample.ledger.core.schedule;

/**
 * A place that sections are posted under.
 *
 * @param code names it in files and addresses: {@code upper-fell}
 * @param remote whether it stands for no campus at all
 */
public record Campus(CampusCode code, String name, boolean remote) {}
