package ample.ledger.core.requirement;

import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.StudentGroup;
import java.time.LocalDate;
import java.util.Optional;
import java.util.function.Function;

/** Whether a restriction lets a student in. */
public enum Eligibility {
    ALLOWED("you may"),
    NOT_ALLOWED("you may not"),
    /** It was limited to some days, which are over. */
    PAST("no longer holds"),
    /** The record does not say what it asks, or there is none. */
    NOT_SAID("your record does not say"),
    /** Only people can judge it. */
    FOR_PEOPLE("the department judges");

    private final String label;

    Eligibility(String label) {
        this.label = label;
    }

    /** As shown to people. */
    public String label() {
        return label;
    }

    /**
     * What {@code restriction} says on {@code today}.
     *
     * @param belongsTo whether the student is one of a group; empty where that is not known
     */
    public static Eligibility of(
            Restriction restriction, Function<StudentGroup, Optional<Boolean>> belongsTo, LocalDate today) {
        if (restriction.until().filter(today::isAfter).isPresent()) {
            return PAST;
        }
        if (restriction.rule().isEmpty()) {
            return FOR_PEOPLE;
        }
        Restriction.Rule rule = restriction.rule().get();
        return belongsTo
                .apply(rule.group())
                .map(belongs -> belongs == rule.include() ? ALLOWED : NOT_ALLOWED)
                .orElse(NOT_SAID);
    }
}
