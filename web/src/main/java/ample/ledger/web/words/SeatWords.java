package ample.ledger.web.words;

import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.reading.Status;
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
 * @param account from the seats there are down to, and without, those open to you
 * @param open the last line of the account
 */
public record SeatWords(
        String figure, String rest, List<Pip> pips, String pipsSay, String sentence, List<Line> account, String open) {

    /** More marks than this do not fit in a line. */
    private static final int MOST_PIPS = 20;

    /** What a mark shows: a seat taken, one held or promised, or one open to you. */
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

    /** The seats of {@code section}, shared with {@code twins}, as {@code seats} says they stand. */
    public static SeatWords of(Section section, SeatAccount seats, List<Section> twins) {
        Status status = Status.of(section, seats);
        return new SeatWords(
                figure(seats, status),
                rest(seats, status),
                status == Status.CANCELLED ? List.of() : pips(seats),
                pipsSay(seats),
                sentence(seats, status),
                account(seats, status, twins),
                Words.number(status == Status.CANCELLED ? 0 : seats.open()));
    }

    private static String figure(SeatAccount seats, Status status) {
        return status == Status.OPEN ? Words.number(seats.open()) : Words.capitalised(status.label());
    }

    private static String rest(SeatAccount seats, Status status) {
        String waiting = seats.waiting() > 0 ? Words.number(seats.waiting()) + " waiting" : "";
        return switch (status) {
            case OPEN -> "of " + Words.number(seats.capacity()) + " open" + (waiting.isEmpty() ? "" : ", " + waiting);
            case FULL, FULL_WAITLIST_OPEN ->
                seats.overEnrolled() > 0 ? Words.number(seats.overEnrolled()) + " over-enrolled" : waiting;
            case OPEN_BUT_NOT_TO_YOU -> Words.number(seats.heldSeats()) + " held";
            case CANCELLED -> "";
            case NOT_YET_OPEN, CLOSED_TO_LATE_ENTRY, BY_PERMISSION -> throw notOfSeats(status);
        };
    }

    private static List<Pip> pips(SeatAccount seats) {
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

    private static String pipsSay(SeatAccount seats) {
        String each = seats.capacity() <= MOST_PIPS ? "One mark for each seat" : "Marks in proportion to the seats";
        String held = seats.heldSeats() + seats.promised() > 0
                ? ", " + Words.number(seats.heldSeats() + seats.promised()) + " held or promised"
                : "";
        return each + ": " + Words.number(seats.enrolled()) + " taken" + held + ", " + Words.number(seats.open())
                + " open to you.";
    }

    private static String sentence(SeatAccount seats, Status status) {
        return switch (status) {
            case OPEN ->
                seats.open() == 1
                        ? "Open. One seat is yours to take."
                        : "Open. " + Words.count(seats.open(), "seat") + " are yours to take.";
            case OPEN_BUT_NOT_TO_YOU ->
                "Open, but not to you: what is free is held for "
                        + seats.held().stream().map(SeatPool.Held::words).collect(Collectors.joining(" and ")) + ".";
            case FULL_WAITLIST_OPEN ->
                "Full. %s of the waitlist %s free; %s."
                        .formatted(
                                Words.count(seats.waitlistOpen(), "place"),
                                seats.waitlistOpen() == 1 ? "is" : "are",
                                seats.waiting() == 0
                                        ? "nobody is waiting"
                                        : seats.waiting() == 1
                                                ? "1 person is waiting"
                                                : Words.number(seats.waiting()) + " people are waiting");
            case FULL ->
                seats.waitlistCapacity() == 0 ? "Full. It keeps no waitlist." : "Full, and so is its waitlist.";
            case CANCELLED -> "Cancelled. It will not be held.";
            case NOT_YET_OPEN, CLOSED_TO_LATE_ENTRY, BY_PERMISSION -> throw notOfSeats(status);
        };
    }

    private static IllegalArgumentException notOfSeats(Status status) {
        return new IllegalArgumentException("Seats alone do not tell “" + status.label() + "”");
    }

    private static List<Line> account(SeatAccount seats, Status status, List<Section> twins) {
        List<Line> lines = new ArrayList<>();
        String shared = twins.isEmpty()
                ? ""
                : ", shared with " + twins.stream().map(Section::toString).collect(Collectors.joining(", "));
        lines.add(new Line("Room for" + shared, Words.number(seats.capacity())));
        lines.add(new Line("Enrolled", Words.less(seats.enrolled())));
        seats.held()
                .forEach(held -> lines.add(new Line(
                        "Held for " + held.words() + " until " + Words.date(held.until()), Words.less(held.seats()))));
        if (seats.promised() > 0) {
            lines.add(new Line("Promised to the waitlist", Words.less(seats.promised())));
        }
        if (seats.excess() > 0) {
            lines.add(new Line("More taken than there is room for", Words.number(seats.excess())));
        }
        if (status == Status.CANCELLED && seats.open() > 0) {
            lines.add(new Line("Cancelled", Words.less(seats.open())));
        }
        return lines;
    }
}
