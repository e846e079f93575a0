package ample.ledger.core.registrar.rules;

import ample.ledger.core.plan.Attendance;

/**
 * Names a pool of seats.
 *
 * @param term the code of its term
 * @param code of the pool in the schedule of that term
 */
public record PoolName(String term, String code) {

    /** The pool that a section draws on. */
    public static PoolName of(Attendance attendance) {
        return new PoolName(
                attendance.term().code().text(), attendance.section().pool().code());
    }
}
