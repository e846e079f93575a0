/**
 * Conditions on who may take a course: {@link ample.ledger.core.requirement.PrerequisiteNotation} reads the
 * {@link ample.ledger.core.schedule.Prerequisite} expressions that registrars write down for a program.
 */
@NullMarked
package ample.ledger.core.requirement;

import org.jspecify.annotations.NullMarked;
