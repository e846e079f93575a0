package ample.ledger.core.calendar;

import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A set of days of the week, such as Monday and Thursday. May be empty.
 *
 * <p>Not a set of dates, and it says nothing about which weeks.
 *
 * @param mask bit 0 is Monday, bit 6 Sunday; 0 to 127
 */
public record Days(int mask) {

    /** No day at all. */
    public static final Days NONE = new Days(0);

    /** Monday to Sunday. */
    public static final Days ALL = new Days(0b111_1111);

    public Days {
        if (mask < 0 || mask > 0b111_1111) {
            throw new IllegalArgumentException("A set of days has seven bits, not " + mask);
        }
    }

    /** The set of exactly these days. */
    public static Days of(DayOfWeek... days) {
        return of(Arrays.asList(days));
    }

    /** The set of exactly these days; repeats count once. */
    public static Days of(Collection<DayOfWeek> days) {
        return new Days(days.stream().mapToInt(Days::bit).reduce(0, (a, b) -> a | b));
    }

    /**
     * Reads one day from its English name or any beginning of it of at least two letters, in any case: {@code mon},
     * {@code Th}, {@code saturday}. Two letters already tell the seven apart.
     */
    public static Optional<DayOfWeek> parseDay(String text) {
        String wanted = text.strip().toUpperCase(Locale.ROOT);
        return wanted.length() < 2
                ? Optional.empty()
                : Arrays.stream(DayOfWeek.values())
                        .filter(day -> day.name().startsWith(wanted))
                        .findFirst();
    }

    /** The three-letter English name, as in "Mon". */
    public static String shortName(DayOfWeek day) {
        return day.name().charAt(0) + day.name().substring(1, 3).toLowerCase(Locale.ROOT);
    }

    public boolean contains(DayOfWeek day) {
        return (mask & bit(day)) != 0;
    }

    /** Whether every one of {@code others} is among these; true when {@code others} is empty. */
    public boolean containsAll(Days others) {
        return (mask & others.mask) == others.mask;
    }

    public boolean meets(Days others) {
        return (mask & others.mask) != 0;
    }

    public Days plus(Days others) {
        return new Days(mask | others.mask);
    }

    /** Those that are not among {@code others}. */
    public Days minus(Days others) {
        return new Days(mask & ~others.mask);
    }

    public Days and(Days others) {
        return new Days(mask & others.mask);
    }

    public boolean isEmpty() {
        return mask == 0;
    }

    /** How many days; 0 to 7. */
    public int size() {
        return Integer.bitCount(mask);
    }

    /** Monday first. */
    public List<DayOfWeek> list() {
        return Arrays.stream(DayOfWeek.values()).filter(this::contains).toList();
    }

    /** The short names with this between them: {@code "Mon, Wed"} for {@code ", "}. */
    public String join(String separator) {
        return list().stream().map(Days::shortName).collect(Collectors.joining(separator));
    }

    /** The short names with a blank between: "Mon Wed". */
    @Override
    public String toString() {
        return join(" ");
    }

    private static int bit(DayOfWeek day) {
        return 1 << (day.getValue() - 1);
    }
}
