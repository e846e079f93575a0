package ample.ledger.core.browse.quick;

import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A time of day in a line of text, in 12 or 24 hours.
 *
 * @param hour as written; 0 to 23
 * @param half "am", "pm" or empty where it was not said
 * @param withMinutes whether its minutes are written
 * @param exact whether the hour is written with minutes of two digits after two digits, as 24-hour times are
 * @param tokens how many words it took
 */
record QuickTime(int hour, int minute, String half, boolean withMinutes, boolean exact, int tokens) {

    private static final String TIME = "([0-9]{1,2})(?:[:.]([0-9]{2}))?\\s*(am|pm|a\\.m|p\\.m|h)?";
    private static final Pattern ONE = Pattern.compile(TIME);
    private static final Pattern TWO = Pattern.compile(TIME + "\\s*[-–]\\s*" + TIME);

    /** Two times joined by a hyphen. */
    record Range(QuickTime from, QuickTime to) {}

    /** The time at token {@code at}: "9", "9:30", "3pm", "3 pm", "noon", "midnight". */
    static Optional<QuickTime> at(List<QuickToken> words, int at) {
        if (at >= words.size()) {
            return Optional.empty();
        }
        String word = words.get(at).plain();
        if (word.equals("noon") || word.equals("midday")) {
            return Optional.of(new QuickTime(12, 0, "pm", false, true, 1));
        }
        String next = at + 1 < words.size() ? words.get(at + 1).plain() : "";
        boolean apart = next.matches("am|pm|a\\.m|p\\.m");
        Matcher matcher = ONE.matcher(apart ? word + next : word);
        return matcher.matches() ? read(matcher, 1, apart ? 2 : 1) : Optional.empty();
    }

    /** "9-12", "9:00-15:30", "9am-3pm"; empty for what cannot be two times. */
    static Optional<Range> range(String word) {
        Matcher matcher = TWO.matcher(word);
        if (!matcher.matches()) {
            return Optional.empty();
        }
        Optional<QuickTime> from = read(matcher, 1, 1);
        Optional<QuickTime> to = read(matcher, 4, 1);
        if (from.isEmpty() || to.isEmpty()) {
            return Optional.empty();
        }
        // "1-4pm": the half is said once for both, unless that turns them round.
        QuickTime start = from.get();
        if (start.half().isEmpty()
                && to.get().half().equals("pm")
                && start.hour() < to.get().hour()
                && to.get().hour() < 12) {
            start = new QuickTime(start.hour(), start.minute(), "pm", start.withMinutes(), start.exact(), 1);
        }
        return Optional.of(new Range(start, to.get()));
    }

    private static Optional<QuickTime> read(Matcher matcher, int group, int tokens) {
        int hour = Integer.parseInt(matcher.group(group));
        int minute = matcher.group(group + 1) == null ? 0 : Integer.parseInt(matcher.group(group + 1));
        String said = matcher.group(group + 2) == null ? "" : matcher.group(group + 2);
        String half = said.startsWith("a") ? "am" : said.startsWith("p") ? "pm" : "";
        boolean withMinutes = matcher.group(group + 1) != null;
        boolean exact = matcher.group(group).length() == 2 && withMinutes || said.equals("h");
        boolean possible = minute < 60 && hour < 24 && (half.isEmpty() || hour >= 1 && hour <= 12);
        return possible ? Optional.of(new QuickTime(hour, minute, half, withMinutes, exact, tokens)) : Optional.empty();
    }

    /** Whether it can be nothing else: a bare "9" may be a number of anything. */
    boolean isClearlyATime() {
        return exact || withMinutes || !half.isEmpty();
    }

    /**
     * What a student most likely means: 3 is three in the afternoon, 9 is nine in the morning.
     *
     * @param firstHour from this on an hour without "am" or "pm" is one of the morning
     */
    LocalTime likely(int firstHour) {
        if (half.equals("am")) {
            return LocalTime.of(hour % 12, minute);
        }
        boolean afternoon = half.equals("pm") || !exact && hour > 0 && hour < firstHour;
        return LocalTime.of(afternoon ? hour % 12 + 12 : hour, minute);
    }

    /** The same as the end of a stretch from {@code start}: of 11 to 2 two in the afternoon, of 9 to 9 nine in the evening. */
    LocalTime after(LocalTime start, int firstHour) {
        LocalTime end = likely(firstHour);
        return !start.isBefore(end) && half.isEmpty() && hour < 12 ? LocalTime.of(hour + 12, minute) : end;
    }
}
