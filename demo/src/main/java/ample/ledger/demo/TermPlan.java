package ample.ledger.demo;

import java.time.LocalDate;
import java.util.List;

/**
 * A term to make sections for.
 *
 * @param firstHalf code of the span that is its first half
 * @param secondHalf code of the span that is its second half
 * @param fullTerm code of the span that is all of it
 * @param bothTerms code of the span that goes on into the next term; empty where none does
 * @param lateStart code of the span that begins late; empty where none does
 * @param examDays days that exams are put on; empty where there are none
 * @param firstEntry the lowest entry number to give out
 * @param saturdays Saturdays that field days can be put on
 */
record TermPlan(
        String code,
        String fullTerm,
        String firstHalf,
        String secondHalf,
        String bothTerms,
        String lateStart,
        List<LocalDate> examDays,
        List<LocalDate> saturdays,
        int firstEntry) {}
