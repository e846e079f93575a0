package ample.ledger.core.schedule;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** A fixed set of values that files and addresses name by a code: {@code FIELD_DAY} is {@code field-day}. */
public interface Coded {

    String name();

    /** Lower case, with hyphens. */
    default String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The constant of {@code type} that {@code code} names, in any case. */
    static <E extends Enum<E> & Coded> Optional<E> parse(Class<E> type, String code) {
        return Arrays.stream(type.getEnumConstants())
                .filter(constant -> constant.code().equalsIgnoreCase(code))
                .findFirst();
    }
}
