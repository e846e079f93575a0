package ample.ledger.core.schedule;

import java.util.Optional;

/**
 * A degree programme.
 *
 * @param department code of the department that gives it; empty when none does alone
 */
public record Programme(String code, String name, Optional<String> department) {}
