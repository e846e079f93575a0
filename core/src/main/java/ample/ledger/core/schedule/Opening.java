package ample.ledger.core.schedule;

import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.util.Optional;

/**
 * The moment from which students with so many credits earned may register.
 *
 * @param name who: "60 to 89 credits"
 * @param leastCredits 0 or more
 * @param mostCredits empty for any number
 * @param from on the institution's wall clock
 */
public record Opening(String code, String name, int leastCredits, Optional<Integer> mostCredits, LocalDateTime from) {

    /** Of one student, whom the registrar lets register from a moment of their own. */
    public static Opening ofOne(LocalDateTime from) {
        return new Opening("own", "You alone", 0, Optional.empty(), from);
    }

    /** Whether a student with so many credits earned may register from then on. */
    public boolean isFor(BigDecimal earned) {
        return earned.compareTo(BigDecimal.valueOf(leastCredits)) >= 0
                && mostCredits
                        .filter(most -> earned.compareTo(BigDecimal.valueOf(most + 1L)) >= 0)
                        .isEmpty();
    }

    public Opening {
        if (mostCredits.filter(most -> most < leastCredits).isPresent()) {
            throw new IllegalArgumentException("%s: at least %d and at most %d credits is nobody"
                    .formatted(name, leastCredits, mostCredits.get()));
        }
    }
}
