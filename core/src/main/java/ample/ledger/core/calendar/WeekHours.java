package ample.ledger.core.calendar;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Some of the hours of a week, in cells of five minutes: Monday 9:00 to 9:05 is one. Classes begin and end on such a minute nearly everywhere (common
 * practice, no source). Immutable; may be empty.
 *
 * <p>Cells are numbered from Monday 0:00, 96 a day, 672 in all.
 */
public final class WeekHours {

    /** Minutes of a cell. */
    public static final int MINUTES = 5;

    /** Cells of a day. */
    public static final int CELLS_A_DAY = 24 * 60 / MINUTES;

    /** Cells of a week. */
    public static final int CELLS = 7 * CELLS_A_DAY;

    /** No hours at all. */
    public static final WeekHours NONE = new WeekHours(new BitSet());

    private static final int MIDNIGHT = 24 * 60;
    private static final Pattern STRETCH =
            Pattern.compile("(?:(\\p{L}+)[:\\s]\\s*)?(\\d{1,2}(?::\\d{2})?)\\s*[-–]\\s*(\\d{1,2}(?::\\d{2})?)");

    private final BitSet cells;

    private WeekHours(BitSet cells) {
        this.cells = cells;
    }

    /**
     * One stretch of a day.
     *
     * @param from the beginning of a cell
     * @param minutes a multiple of {@link WeekHours#MINUTES}; the stretch may last until midnight
     */
    public record Stretch(DayOfWeek day, LocalTime from, int minutes) {

        /** When it ends; 0:00 for midnight. */
        public LocalTime to() {
            return from.plusMinutes(minutes);
        }

        /** Without its day: " 9:00–12:00"; at the edges of a day " before 12:00", " from 16:00", or nothing. */
        private String hours(ClockStyle clock) {
            boolean fromMidnight = from.equals(LocalTime.MIDNIGHT);
            boolean toMidnight = to().equals(LocalTime.MIDNIGHT);
            if (fromMidnight) {
                return toMidnight ? "" : " before " + clock.format(to());
            }
            return toMidnight ? " from " + clock.format(from) : " " + clock.format(new TimeRange(from, to()));
        }

        /** As {@link WeekHours#parse} reads it: {@code mon:09:00-12:00}. */
        @Override
        public String toString() {
            String end = to().equals(LocalTime.MIDNIGHT) ? "24:00" : to().toString();
            return Days.shortName(day).toLowerCase(Locale.ROOT) + ":" + from + "-" + end;
        }
    }

    /** These cells, each from 0 to {@link #CELLS} exclusive. */
    public static WeekHours ofCells(IntStream cells) {
        return new WeekHours(cells.collect(BitSet::new, BitSet::set, BitSet::or));
    }

    /** Every cell that shares a minute with one of these timings on its days of the week. */
    public static WeekHours of(Iterable<Timing> timings) {
        BitSet cells = new BitSet();
        for (Timing timing : timings) {
            timing.time()
                    .ifPresent(time -> timing.days()
                            .list()
                            .forEach(day ->
                                    cells.set(cell(day, time.startMinute()), cell(day, time.endMinute() - 1) + 1)));
        }
        return new WeekHours(cells);
    }

    /** The cells from one time of a day to another, edges rounded outward to whole cells. */
    public static WeekHours of(DayOfWeek day, int fromMinute, int toMinute) {
        BitSet cells = new BitSet();
        cells.set(cell(day, fromMinute), cell(day, toMinute - 1) + 1);
        return new WeekHours(cells);
    }

    /** The number of the cell that holds this minute of the day. */
    public static int cell(DayOfWeek day, int minuteOfDay) {
        return (day.getValue() - 1) * CELLS_A_DAY + minuteOfDay / MINUTES;
    }

    /**
     * Reads one stretch, as in {@code mon:9:00-12:00}; without a day of every day, as in {@code 9:00-12:00}; or a whole day,
     * as in {@code mon}. Its times are on the five minutes, its end may be 24:00. Empty for anything else.
     */
    public static Optional<WeekHours> parse(String text) {
        Matcher matcher = STRETCH.matcher(text.strip());
        if (!matcher.matches()) {
            return Days.parseDay(text).map(day -> of(day, 0, MIDNIGHT));
        }
        Optional<Days> days = matcher.group(1) == null
                ? Optional.of(Days.ALL)
                : Days.parseDay(matcher.group(1)).map(Days::of);
        Optional<Integer> from = onCell(matcher.group(2));
        Optional<Integer> to = matcher.group(3).matches("24(:00)?") ? Optional.of(MIDNIGHT) : onCell(matcher.group(3));
        return days.isPresent() && from.isPresent() && to.isPresent() && from.get() < to.get()
                ? Optional.of(days.get().list().stream()
                        .map(day -> of(day, from.get(), to.get()))
                        .reduce(NONE, WeekHours::plus))
                : Optional.empty();
    }

    private static Optional<Integer> onCell(String text) {
        return ClockTime.parse(text).map(ClockTime::minuteOfDay).filter(minute -> minute % MINUTES == 0);
    }

    public WeekHours plus(WeekHours other) {
        BitSet both = (BitSet) cells.clone();
        both.or(other.cells);
        return new WeekHours(both);
    }

    public WeekHours minus(WeekHours other) {
        BitSet left = (BitSet) cells.clone();
        left.andNot(other.cells);
        return new WeekHours(left);
    }

    /** The cells that are in both. */
    public WeekHours and(WeekHours other) {
        BitSet both = (BitSet) cells.clone();
        both.and(other.cells);
        return new WeekHours(both);
    }

    public boolean meets(WeekHours other) {
        return cells.intersects(other.cells);
    }

    public boolean contains(int cell) {
        return cells.get(cell);
    }

    public boolean isEmpty() {
        return cells.isEmpty();
    }

    /** How many cells; 0 to {@link #CELLS}. */
    public int size() {
        return cells.cardinality();
    }

    /** Ascending. */
    public IntStream cells() {
        return cells.stream();
    }

    /** The same as the fewest stretches, in order; none goes on past midnight. */
    public List<Stretch> stretches() {
        List<Stretch> stretches = new ArrayList<>();
        int from = cells.nextSetBit(0);
        while (from >= 0) {
            int midnight = (from / CELLS_A_DAY + 1) * CELLS_A_DAY;
            int to = Math.min(cells.nextClearBit(from), midnight);
            stretches.add(new Stretch(
                    DayOfWeek.of(from / CELLS_A_DAY + 1),
                    LocalTime.MIDNIGHT.plusMinutes((long) from % CELLS_A_DAY * MINUTES),
                    (to - from) * MINUTES));
            from = cells.nextSetBit(to);
        }
        return stretches;
    }

    /**
     * The stretches in words, those of the same hours together: "Mon, Wed 9:00–12:00", "Tue before 12:00", "Sat". Seven days
     * are "any day".
     */
    public List<String> inWords(ClockStyle clock) {
        Map<String, Days> byHours = new LinkedHashMap<>();
        stretches().forEach(stretch -> byHours.merge(stretch.hours(clock), Days.of(stretch.day()), Days::plus));
        return byHours.entrySet().stream()
                .map(each -> (each.getValue().equals(Days.ALL)
                                ? "any day"
                                : each.getValue().join(", "))
                        + each.getKey())
                .toList();
    }

    /** 64 cells a word, the first cell in the lowest bit; always {@code CELLS / 64} words, rounded up. */
    public long[] words() {
        return Arrays.copyOf(cells.toLongArray(), (CELLS + 63) >> 6);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof WeekHours hours && cells.equals(hours.cells);
    }

    @Override
    public int hashCode() {
        return cells.hashCode();
    }

    /** The stretches with a comma between, as addresses write them. */
    @Override
    public String toString() {
        return stretches().stream().map(Stretch::toString).collect(Collectors.joining(","));
    }
}
