/**
 * Conditions on who may take a course: {@link ample.ledger.core.requirement.PrerequisiteNotation} reads the
 * {@link ample.ledger.core.schedule.Prerequisite} expressions that registrars write down for a program,
 * {@link ample.ledger.core.requirement.Evaluation} judges them by a {@link ample.ledger.core.requirement.StudentRecord}, and
 * {@link ample.ledger.core.requirement.ShortestWays} says what would meet them.
 */
@NullMarked
package ample.ledger.core.requirement;

import org.jspecify.annotations.NullMarked;
