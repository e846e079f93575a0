package ample.ledger.core.calendar;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/**
 * Some dates, none of them twice. Immutable; may be empty. Whether two share a date costs one step for each 64 days that both
 * span.
 */
public final class DateSet {

    /** No date at all. */
    public static final DateSet NONE = new DateSet(0, new long[0]);

    /** Where the first word begins, in words of 64 days since 1 January 1970. */
    private final int firstWord;

    private final long[] words;

    private DateSet(int firstWord, long[] words) {
        this.firstWord = firstWord;
        this.words = words;
    }

    /** These dates, in whatever order. */
    public static DateSet of(Collection<LocalDate> dates) {
        if (dates.isEmpty()) {
            return NONE;
        }
        long[] days = dates.stream().mapToLong(LocalDate::toEpochDay).sorted().toArray();
        int first = word(days[0]);
        long[] words = new long[word(days[days.length - 1]) - first + 1];
        for (long day : days) {
            words[word(day) - first] |= 1L << day;
        }
        return new DateSet(first, words);
    }

    private static int word(long epochDay) {
        return (int) Math.floorDiv(epochDay, (long) Long.SIZE);
    }

    public boolean meets(DateSet other) {
        int from = Math.max(firstWord, other.firstWord);
        int to = Math.min(firstWord + words.length, other.firstWord + other.words.length);
        for (int word = from; word < to; word++) {
            if ((words[word - firstWord] & other.words[word - other.firstWord]) != 0) {
                return true;
            }
        }
        return false;
    }

    /** The dates that are in both. */
    public DateSet and(DateSet other) {
        int from = Math.max(firstWord, other.firstWord);
        int to = Math.min(firstWord + words.length, other.firstWord + other.words.length);
        if (from >= to) {
            return NONE;
        }
        long[] both = new long[to - from];
        for (int word = from; word < to; word++) {
            both[word - from] = words[word - firstWord] & other.words[word - other.firstWord];
        }
        return new DateSet(from, both);
    }

    /** The dates that are in either. */
    public DateSet plus(DateSet other) {
        if (words.length == 0 || other.words.length == 0) {
            return words.length == 0 ? other : this;
        }
        int from = Math.min(firstWord, other.firstWord);
        long[] either = new long[Math.max(firstWord + words.length, other.firstWord + other.words.length) - from];
        for (int word = 0; word < words.length; word++) {
            either[firstWord + word - from] |= words[word];
        }
        for (int word = 0; word < other.words.length; word++) {
            either[other.firstWord + word - from] |= other.words[word];
        }
        return new DateSet(from, either);
    }

    public boolean contains(LocalDate date) {
        int word = word(date.toEpochDay()) - firstWord;
        return word >= 0 && word < words.length && (words[word] & 1L << date.toEpochDay()) != 0;
    }

    public boolean isEmpty() {
        return Arrays.stream(words).allMatch(word -> word == 0);
    }

    public int size() {
        return Arrays.stream(words).mapToInt(Long::bitCount).sum();
    }

    /**
     * The earliest.
     *
     * @throws java.util.NoSuchElementException when there is none
     */
    public LocalDate first() {
        return stream().findFirst().orElseThrow();
    }

    /**
     * The latest.
     *
     * @throws java.util.NoSuchElementException when there is none
     */
    public LocalDate last() {
        for (int word = words.length - 1; word >= 0; word--) {
            if (words[word] != 0) {
                return LocalDate.ofEpochDay(
                        (long) (firstWord + word + 1) * Long.SIZE - 1 - Long.numberOfLeadingZeros(words[word]));
            }
        }
        throw new NoSuchElementException("No date is the last of none");
    }

    /** The earliest first. */
    public List<LocalDate> list() {
        return stream().toList();
    }

    /** The earliest first. */
    public Stream<LocalDate> stream() {
        long base = (long) firstWord * Long.SIZE;
        return BitSet.valueOf(words).stream().mapToObj(bit -> LocalDate.ofEpochDay(base + bit));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof DateSet dates && list().equals(dates.list());
    }

    @Override
    public int hashCode() {
        return LongStream.of(words)
                .filter(word -> word != 0)
                .mapToInt(Long::hashCode)
                .sum();
    }

    @Override
    public String toString() {
        return list().toString();
    }
}
