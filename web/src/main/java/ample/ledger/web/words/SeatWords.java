package ample.ledger.web.words;

import ample.ledger.core.reading.Person;
import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.reading.StatusReading.Reason;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * The seats of one section as a line, as pips, as a sentence and as an account.
 *
 * @param figure what stands out of the line: "6"
 * @param rest what follows it: "of 40 open"
 * @param pips one mark for each seat, or each for several where there are many
 * @param pipsSay what a mark stands for, in words
 * @param sentence the status with its reason
 * @param ofSome whether it is open to a group to which who asks may belong, or not: nobody has said
 * @param account from the seats there are down to, and without, those open to who asks
 * @param openTo what the last line of the account counts: "Open to you"
 * @param open its figure
 * @param yours what who asks has of the section at the registrar: "you are registered"; empty for nothing
 */
public record SeatWords(
        String figure,
        String rest,
        List<Pip> pips,
        String pipsSay,
        String sentence,
        boolean ofSome,
        List<Line> account,
        String openTo,
        String open,
        String yours) {

    /** More marks than this do not fit in a line. */
    private static final int MOST_PIPS = 20;

    /** What a mark shows: a seat taken, one held or promised, or one that is free. */
    public enum Pip {
        TAKEN,
        HELD,
        OPEN;

        /** The style it is drawn in. */
        public String style() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Marks of one kind side by side, 5 pixels from one to the next. */
    public record PipsOfAKind(String style, int x, int width) {}

    /** The marks, those of one kind together: first what is taken, then what is held, then what is open. */
    public List<PipsOfAKind> pipsByKind() {
        List<PipsOfAKind> kinds = new ArrayList<>();
        int x = 0;
        for (Pip kind : Pip.values()) {
            int width = 5 * Collections.frequency(pips, kind);
            if (width > 0) {
                kinds.add(new PipsOfAKind(kind.style(), x, width));
            }
            x += width;
        }
        return kinds;
    }

    /** Whether what stands out is a status in words and not a number. */
    public boolean inWords() {
        return !Character.isDigit(figure.charAt(0));
    }

    /** One line of the account. */
    public record Line(String label, String figure) {}

    /**
     * The seats of {@code section}.
     *
     * @param reading what it is to {@code person}
     */
    public static SeatWords of(Section section, StatusReading reading, Person person, Schedule schedule) {
        return new SeatWords(
                figure(reading),
                rest(reading, schedule),
                reading.status() == Status.CANCELLED ? List.of() : pips(reading),
                reading.status() == Status.CANCELLED ? "" : pipsSay(reading),
                sentence(reading, person, schedule),
                reading.status() == Status.OPEN_TO_SOME,
                account(reading, sentence(reading, person, schedule), schedule.twinsOf(section)),
                openTo(reading, person, schedule),
                Words.number(hasSeats(reading) ? reading.seats().open() : 0),
                "");
    }

    /** The same to somebody who has something of the section. */
    public SeatWords having(String what) {
        return what.isEmpty()
                ? this
                : new SeatWords(figure, rest, pips, pipsSay, sentence, ofSome, account, openTo, open, what);
    }

    private static boolean hasSeats(StatusReading reading) {
        return reading.status() == Status.OPEN || reading.status() == Status.OPEN_TO_SOME;
    }

    private static String figure(StatusReading reading) {
        return hasSeats(reading)
                ? Words.number(reading.open())
                : Words.capitalised(reading.status().label());
    }

    private static String rest(StatusReading reading, Schedule schedule) {
        SeatAccount seats = reading.seats();
        String waiting = seats.waiting() > 0 ? Words.number(seats.waiting()) + " waiting" : "";
        return switch (reading.status()) {
            case OPEN -> "of " + Words.number(seats.capacity()) + " open" + (waiting.isEmpty() ? "" : ", " + waiting);
            case OPEN_TO_SOME ->
                "of " + Words.number(seats.capacity()) + " open to " + GroupWords.some(reading, schedule);
            case FULL_WAITLIST_OPEN -> full(seats, waiting.isEmpty() ? "nobody waiting" : waiting);
            case FULL -> full(seats, seats.waitlistCapacity() == 0 ? "no waitlist" : ("waitlist full, " + waiting));
            case OPEN_BUT_NOT_TO_YOU -> seats.open() > 0 ? free(seats) : Words.number(seats.heldSeats()) + " held";
            case NOT_YET_OPEN, BY_PERMISSION, BY_WISHES -> free(seats);
            case CANCELLED, CLOSED_TO_LATE_ENTRY -> "";
        };
    }

    private static String full(SeatAccount seats, String waitlist) {
        return seats.overEnrolled() > 0 ? Words.number(seats.overEnrolled()) + " over-enrolled, " + waitlist : waitlist;
    }

    private static String free(SeatAccount seats) {
        return Words.number(seats.open()) + " of " + Words.number(seats.capacity()) + " free";
    }

    private static List<Pip> pips(StatusReading reading) {
        SeatAccount seats = reading.seats();
        int marks = Math.min(MOST_PIPS, seats.capacity());
        int open = marksFor(seats.open(), seats.capacity(), marks);
        int held = Math.min(marks - open, marksFor(seats.heldSeats() + seats.promised(), seats.capacity(), marks));
        List<Pip> pips = new ArrayList<>();
        for (int i = 0; i < marks; i++) {
            pips.add(i < marks - open - held ? Pip.TAKEN : i < marks - open ? Pip.HELD : Pip.OPEN);
        }
        return List.copyOf(pips);
    }

    /** In proportion, but never none for some: one seat left must be seen. */
    private static int marksFor(int seats, int capacity, int marks) {
        return seats == 0 ? 0 : Math.min(marks, Math.max(1, seats * marks / capacity));
    }

    private static String pipsSay(StatusReading reading) {
        SeatAccount seats = reading.seats();
        String each = seats.capacity() <= MOST_PIPS ? "One mark for each seat" : "Marks in proportion to the seats";
        String held = seats.heldSeats() + seats.promised() > 0
                ? ", " + Words.number(seats.heldSeats() + seats.promised()) + " held or promised"
                : "";
        return each + ": " + Words.number(seats.enrolled()) + " taken" + held + ", " + Words.number(seats.open())
                + " free.";
    }

    private static String sentence(StatusReading reading, Person person, Schedule schedule) {
        SeatAccount seats = reading.seats();
        return switch (reading.status()) {
            case OPEN -> open(reading, person);
            case OPEN_TO_SOME ->
                "Open to %s: %s.".formatted(GroupWords.some(reading, schedule), Words.count(reading.open(), "seat"));
            case OPEN_BUT_NOT_TO_YOU -> "Open, but not to you: " + whyNot(reading);
            case FULL_WAITLIST_OPEN -> "Full. " + places(seats);
            case FULL ->
                seats.waitlistCapacity() == 0
                        ? "Full. There is no waitlist."
                        : "Full, and the waitlist is full: " + people(seats.waiting()) + ".";
            case CANCELLED -> "Cancelled. It will not be held.";
            case NOT_YET_OPEN, CLOSED_TO_LATE_ENTRY, BY_PERMISSION, BY_WISHES ->
                reading.reasons().stream()
                        .map(SeatWords::decisive)
                        .filter(sentence -> !sentence.isEmpty())
                        .findFirst()
                        .orElseThrow();
        };
    }

    private static String open(StatusReading reading, Person person) {
        SeatAccount seats = reading.seats();
        String judged = reading.reasons().stream()
                .filter(Reason.NotForAll.class::isInstance)
                .map(reason -> " " + ((Reason.NotForAll) reason).restriction().sentence())
                .collect(Collectors.joining());
        if (!person.known() || !judged.isEmpty()) {
            return "Open. " + Words.count(seats.open(), "seat") + (seats.open() == 1 ? " is" : " are") + " free."
                    + judged;
        }
        return seats.open() == 1
                ? "Open. One seat is free for you."
                : "Open. " + Words.count(seats.open(), "seat") + " are free for you.";
    }

    private static String whyNot(StatusReading reading) {
        return reading.reasons().stream()
                .filter(Reason.NotForYou.class::isInstance)
                .map(reason -> ((Reason.NotForYou) reason).restriction().sentence())
                .findFirst()
                .orElseGet(() -> "what is free is held for "
                        + reading.seats().held().stream()
                                .map(SeatPool.Held::words)
                                .collect(Collectors.joining(" and "))
                        + ".");
    }

    private static String places(SeatAccount seats) {
        return "%s of the waitlist %s free; %s."
                .formatted(
                        Words.count(seats.waitlistOpen(), "place"),
                        seats.waitlistOpen() == 1 ? "is" : "are",
                        seats.waiting() == 0 ? "nobody is waiting" : people(seats.waiting()));
    }

    private static String people(int waiting) {
        return waiting == 1 ? "1 person is waiting" : Words.number(waiting) + " people are waiting";
    }

    private static String decisive(Reason reason) {
        if (reason instanceof Reason.AddingEnded ended) {
            return ("Closed to late entry. The last day to add was "
                            + Words.date(ended.last().date()) + ". "
                            + ended.last().rule().meaning().orElse(""))
                    .strip();
        }
        if (reason instanceof Reason.ClosedToYou closed) {
            return "Closed to late entry: you could register until " + Words.moment(closed.since()) + ".";
        }
        if (reason instanceof Reason.OpensLater later) {
            return "Not yet open: registration opens " + opens(later.opening()) + ".";
        }
        if (reason instanceof Reason.ByWishes wished) {
            return "By wishes: places are distributed when the round “%s” ends, %s."
                    .formatted(
                            wished.round().name(), Words.moment(wished.round().closes()));
        }
        return reason instanceof Reason.AsksPermission asks ? "By permission of " + asks.by() + "." : "";
    }

    /** "Wed 18 Jun, 8:00 for 1 to 29 credits". */
    public static String opens(Opening opening) {
        return Words.moment(opening.from()) + " for " + uncapitalised(opening.name());
    }

    /** "new students", of "New students". */
    public static String uncapitalised(String name) {
        return name.isEmpty() ? name : Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }

    private static List<Line> account(StatusReading reading, String sentence, List<Section> twins) {
        SeatAccount seats = reading.seats();
        List<Line> lines = new ArrayList<>();
        String shared = twins.isEmpty()
                ? ""
                : ", shared with " + twins.stream().map(Section::toString).collect(Collectors.joining(", "));
        lines.add(new Line("Capacity" + shared, Words.number(seats.capacity())));
        lines.add(new Line("Enrolled", Words.less(seats.enrolled())));
        seats.held()
                .forEach(held -> lines.add(new Line(
                        "Held for " + held.words() + " until " + Words.date(held.until()), Words.less(held.seats()))));
        if (seats.promised() > 0) {
            lines.add(new Line("Promised to the waitlist", Words.less(seats.promised())));
        }
        if (seats.excess() > 0) {
            lines.add(new Line("Over capacity", Words.number(seats.excess())));
        }
        if (!hasSeats(reading) && seats.open() > 0) {
            lines.add(new Line(sentence.replaceFirst("\\.$", ""), Words.less(seats.open())));
        }
        return lines;
    }

    /** What the last line of the account counts. */
    private static String openTo(StatusReading reading, Person person, Schedule schedule) {
        if (reading.status() == Status.OPEN_TO_SOME && reading.seats().open() > 0) {
            return "Open to " + GroupWords.some(reading, schedule);
        }
        return person.known() ? "Open to you" : "Open to everybody";
    }
}
