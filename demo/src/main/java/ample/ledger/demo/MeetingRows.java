package ample.ledger.demo;

import ample.ledger.demo.Timetable.Placed;
import ample.ledger.demo.Timetable.Room;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Adds the meetings of sections. */
final class MeetingRows {

    private final Rows rows;
    private final TermPlan term;
    private final Dice dice;
    private final Timetable timetable;

    MeetingRows(Rows rows, TermPlan term, Dice dice, Timetable timetable) {
        this.rows = rows;
        this.term = term;
        this.dice = dice;
        this.timetable = timetable;
    }

    /** A weekly meeting. */
    void meet(String entry, int number, String kind, Placed placed, boolean online) {
        @Nullable Room room = placed.room();
        String place = online ? "online" : room == null ? "to-be-announced" : "room";
        rows.add(
                "meetings",
                entry,
                number,
                kind,
                "weekly",
                placed.slot().daysWritten(),
                null,
                placed.slot().start(),
                placed.slot().end(),
                null,
                null,
                null,
                place,
                room == null ? null : room.building(),
                room == null ? null : room.number(),
                null);
    }

    /** Hours of work without a set time. */
    void meetArranged(String entry, String kind, String hours) {
        rows.add(
                "meetings",
                entry,
                1,
                kind,
                "arranged",
                null,
                null,
                null,
                null,
                null,
                null,
                new BigDecimal(hours),
                "online",
                null,
                null,
                null);
    }

    /** One Saturday outside, where the person is free then. */
    void fieldDay(String entry, String person) {
        List<Integer> saturday = List.of(5);
        LocalTime from = LocalTime.of(8, 30);
        LocalTime to = LocalTime.of(16, 30);
        if (timetable.take(person, saturday, from, to)) {
            LocalDate date = dice.of(term.saturdays());
            named(
                    rows,
                    entry,
                    9,
                    "field-day",
                    "once",
                    null,
                    date,
                    from,
                    to,
                    dice.of(List.of(
                            "by bus from the gate",
                            "the old quarry",
                            "the north shore",
                            "the market square",
                            "the weir")));
        }
    }

    /** A meeting on days of the week, or on one date, at a place that has a name and is no room. */
    static void named(
            Rows rows,
            String entry,
            int number,
            String kind,
            String pattern,
            @Nullable String days,
            @Nullable LocalDate date,
            LocalTime starts,
            LocalTime ends,
            String place) {
        rows.add(
                "meetings",
                entry,
                number,
                kind,
                pattern,
                days,
                date,
                starts,
                ends,
                null,
                null,
                null,
                "named",
                null,
                null,
                place);
    }
}
