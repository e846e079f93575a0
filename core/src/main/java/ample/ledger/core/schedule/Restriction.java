package ample.ledger.core.schedule;

import java.time.LocalDate;
import java.util.Optional;

/**
 * Who may take a course or a section, or who may not.
 *
 * @param rule whom it speaks of; empty where only people can judge
 * @param until the last day it holds; empty when it holds throughout
 * @param sentence in the registrar's own words
 */
public record Restriction(Optional<Rule> rule, Optional<LocalDate> until, String sentence) {

    /**
     * A restriction that a program can judge.
     *
     * @param include whether only these students may; otherwise all but these may
     */
    public record Rule(boolean include, StudentGroup group) {}
}
