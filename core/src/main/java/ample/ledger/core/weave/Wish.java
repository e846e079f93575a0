package ample.ledger.core.weave;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Days;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * Something that a student would like of a week. How far a week is from it is counted in points: minutes, or what is as
 * bad as so many minutes. Points of a day are counted for each week of term and added up.
 *
 * <p>Addresses and plans write it as {@link #code()} does.
 */
public sealed interface Wish {

    /** What one change of campus or one lunch is worth, in points. */
    int ONE_TIME = 60;

    /** What one day without class is worth: four hours. */
    int FREE_DAY = 240;

    /** Minutes from first to last class that are no long day. */
    int SHORT_DAY = 6 * 60;

    /** Seats that make a section a safe pick: common practice, no source. */
    int SAFE_SEATS = 3;

    /** As {@link #parse} reads it. */
    String code();

    /** What is wished, as the end of “I would like”: "Friday free". */
    String inWords(ClockStyle clock);

    /** Some days without class; all seven: as many as can be. {@link #FREE_DAY} points for each that has one. */
    record DaysFree(Days days) implements Wish {
        @Override
        public String code() {
            return "free-" + (days.equals(Days.ALL) ? "any" : days.join("-").toLowerCase(Locale.ROOT));
        }

        @Override
        public String inWords(ClockStyle clock) {
            return days.equals(Days.ALL) ? "days free" : days.join(", ") + " free";
        }
    }

    /** No class before an hour: a point for each minute that the first one of a day is. */
    record NotBefore(LocalTime time) implements Wish {
        @Override
        public String code() {
            return "from-" + time;
        }

        @Override
        public String inWords(ClockStyle clock) {
            return "nothing before " + clock.format(time);
        }
    }

    /** No class after an hour: a point for each minute that the last one of a day is. */
    record NotAfter(LocalTime time) implements Wish {
        @Override
        public String code() {
            return "until-" + time;
        }

        @Override
        public String inWords(ClockStyle clock) {
            return "nothing after " + clock.format(time);
        }
    }

    /** The wishes that have nothing more to say. */
    enum Plain implements Wish {
        /** A point for each minute between two classes of a day. */
        FEW_GAPS("few gaps"),
        /** {@link #ONE_TIME} points for each change of campus within a day. */
        ONE_CAMPUS("one campus a day"),
        /** A third of {@link #ONE_TIME} for each seat that a section has fewer than {@link #SAFE_SEATS} open; as for none while people wait. */
        SEATS_TO_SPARE("seats to spare"),
        /** A point for each minute beyond {@link #SHORT_DAY} from the first class of a day to the last. */
        SHORT_DAYS("short days"),
        /** {@link #ONE_TIME} points for each day without half an hour free between 11:30 and 13:30. */
        LUNCH("lunch kept free");

        private final String words;

        Plain(String words) {
            this.words = words;
        }

        @Override
        public String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        @Override
        public String inWords(ClockStyle clock) {
            return words;
        }
    }

    /** Taught by somebody: {@link #ONE_TIME} points for each complete set that is not, of courses in which this person teaches some. */
    record TaughtBy(String name) implements Wish {
        @Override
        public String code() {
            return "who-" + name;
        }

        @Override
        public String inWords(ClockStyle clock) {
            return "with " + name;
        }
    }

    /** Reads {@code free-fri}, {@code free-any}, {@code from-10:00}, {@code until-16:00}, {@code few-gaps}, {@code who-A. Name}; empty for anything else. */
    static Optional<Wish> parse(String code) {
        String text = code.strip();
        int hyphen = text.indexOf('-');
        String rest = hyphen < 0 ? "" : text.substring(hyphen + 1);
        if (text.startsWith("free-")) {
            return rest.equals("any")
                    ? Optional.of(new DaysFree(Days.ALL))
                    : days(rest).map(DaysFree::new);
        }
        if (text.startsWith("from-")) {
            return ClockTime.parse(rest).map(NotBefore::new);
        }
        if (text.startsWith("until-")) {
            return ClockTime.parse(rest).map(NotAfter::new);
        }
        if (text.startsWith("who-")) {
            return rest.isBlank() ? Optional.empty() : Optional.of(new TaughtBy(rest.strip()));
        }
        return Arrays.stream(Plain.values())
                .filter(plain -> plain.code().equals(text))
                .map(Wish.class::cast)
                .findFirst();
    }

    private static Optional<Days> days(String text) {
        Days days = Days.NONE;
        for (String name : text.split("-")) {
            Optional<Days> day = Days.parseDay(name).map(Days::of);
            if (day.isEmpty()) {
                return Optional.empty();
            }
            days = days.plus(day.get());
        }
        return Optional.of(days);
    }
}
