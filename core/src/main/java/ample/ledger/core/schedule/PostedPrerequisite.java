package ample.ledger.core.schedule;

import java.util.Optional;

/**
 * What must come before a course, as the registrar posts it.
 *
 * @param sentence in the registrar's own words, which is what people read
 * @param expression the same for a program; empty where the registrar left it to people
 */
public record PostedPrerequisite(String sentence, Optional<Prerequisite> expression) {}
