package ample.ledger.core.reading;

import ample.ledger.core.schedule.Opening;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/**
 * When registration opens for a student with so many credits.
 *
 * @param opening the student's own
 * @param sooner an earlier one that a few more credits would have given; empty where there is none
 */
public record OwnOpening(Opening opening, Optional<Sooner> sooner) {

    /**
     * An earlier opening.
     *
     * @param credits how many more it asks for; more than 0
     */
    public record Sooner(Opening opening, BigDecimal credits) {}

    /**
     * Of the openings of one term the one for {@code earned} credits.
     *
     * @return empty where none is for so many
     */
    public static Optional<OwnOpening> of(Collection<Opening> openings, BigDecimal earned) {
        return openings.stream()
                .filter(opening -> opening.isFor(earned))
                .findFirst()
                .map(own -> new OwnOpening(
                        own,
                        openings.stream()
                                .filter(other -> other.from().isBefore(own.from())
                                        && BigDecimal.valueOf(other.leastCredits())
                                                        .compareTo(earned)
                                                > 0)
                                .min(Comparator.comparing(Opening::leastCredits))
                                .map(other -> new Sooner(
                                        other,
                                        BigDecimal.valueOf(other.leastCredits()).subtract(earned)))));
    }
}
