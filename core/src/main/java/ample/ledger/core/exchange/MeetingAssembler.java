package ample.ledger.core.exchange;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.schedule.Building;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Kind;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.OwnKind;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Span;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** Turns one row of the meetings or the exams table into a {@link Meeting}. */
final class MeetingAssembler {

    private final BundleTable.Row row;
    private final Span span;
    private final Campus campus;
    private final Map<String, Building> buildings;
    private final WeekForm week;
    private final Kinds kinds;

    /** @param week what weeks are counted by where a meeting is held every other week */
    MeetingAssembler(
            BundleTable.Row row,
            Span span,
            Campus campus,
            Map<String, Building> buildings,
            WeekForm week,
            Kinds kinds) {
        this.week = week;
        this.kinds = kinds;
        this.row = row;
        this.span = span;
        this.campus = campus;
        this.buildings = buildings;
    }

    /** @throws Unfit when the cells do not go together */
    Meeting meeting() {
        OwnKind kind = kinds.named(row, "kind");
        return new Meeting(kind.standsFor(), kind.name(), timing(), place());
    }

    /**
     * The meeting that a row of the exams table makes.
     *
     * @throws Unfit when the cells do not go together
     */
    Meeting exam() {
        return new Meeting(Kind.EXAM, Kind.EXAM.label(), new Timing.Once(row.date("date"), hours()), place());
    }

    private Timing timing() {
        String pattern = row.text("pattern");
        return switch (pattern) {
            case "weekly" -> weekly(1);
            case "every-other-week" -> weekly(2);
            case "once" -> new Timing.Once(need("date", LocalDate.class), hours());
            default -> new Timing.Arranged(need("hours_per_week", BigDecimal.class), dates());
        };
    }

    private Timing weekly(int everyWeeks) {
        List<DayOfWeek> days = Arrays.stream(need("days", String.class).split(" "))
                .flatMap(day -> Days.parseDay(day).stream())
                .toList();
        return new Timing.Weekly(
                Days.of(days),
                hours(),
                dates(),
                everyWeeks,
                week.startOf(span.dates().first()));
    }

    private TimeRange hours() {
        LocalTime starts = need("starts", LocalTime.class);
        LocalTime ends = need("ends", LocalTime.class);
        if (!starts.isBefore(ends)) {
            throw new Unfit("ends", "A meeting must end after it starts, and this one starts at " + starts + ".");
        }
        return new TimeRange(starts, ends);
    }

    private DateRange dates() {
        LocalDate first =
                row.optional("first_day", LocalDate.class).orElse(span.dates().first());
        LocalDate last =
                row.optional("last_day", LocalDate.class).orElse(span.dates().last());
        return dates(first, last);
    }

    /** @throws Unfit when they are in the wrong order, or too far apart for anything that is taught */
    static DateRange dates(LocalDate first, LocalDate last) {
        if (last.isBefore(first)) {
            throw new Unfit("last_day", "It must not come before the first day, " + first + ".");
        }
        DateRange dates = new DateRange(first, last);
        if (dates.weeks() > Timing.MOST_WEEKS) {
            throw new Unfit(
                    "last_day",
                    "It must come within %d weeks of the first day, %s.".formatted(Timing.MOST_WEEKS, first));
        }
        return dates;
    }

    private Place place() {
        return switch (row.text("place")) {
            case "room" -> new Place.Room(building(), need("room", String.class));
            case "building" -> new Place.RoomToBeAnnounced(building());
            case "online" -> new Place.Online();
            case "named" -> new Place.Named(need("words", String.class));
            default -> new Place.ToBeAnnounced(campus);
        };
    }

    private Building building() {
        return Objects.requireNonNull(buildings.get(need("building", String.class)));
    }

    private <T> T need(String column, Class<T> type) {
        Optional<T> cell = row.optional(column, type);
        return cell.orElseThrow(() -> new Unfit(
                column,
                row.schema().indexOf("pattern").isPresent()
                        ? "This cell must not be empty in a row with pattern %s and place %s."
                                .formatted(row.text("pattern"), row.text("place"))
                        : "This cell must not be empty in a row with place %s.".formatted(row.text("place"))));
    }
}
