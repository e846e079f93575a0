package ample.ledger.core.schedule;

import java.util.Optional;

/**
 * A field of study: GLAC, Glaciology.
 *
 * @param department code of the department that answers for it
 */
public record Subject(String code, String name, Optional<String> department) {}
