package ample.ledger.core.exchange;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.calendar.WrittenDate;
import ample.ledger.core.exchange.PlanFile.BusyFile;
import ample.ledger.core.exchange.PlanFile.PickFile;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.TermCode;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;

/** Makes plans of what stands in their files, and notes every fault with where it is. */
final class PlanReading {

    /** As many as a weekly time can have dates. */
    private static final int MOST_EXCEPTIONS = 7 * Timing.MOST_WEEKS;

    private final List<String> faults = new ArrayList<>();
    private final DateRange within;

    /** @param within what no date may be outside of */
    PlanReading(DateRange within) {
        this.within = within;
    }

    List<String> faults() {
        return List.copyOf(faults);
    }

    /** The plan without what is at fault; empty where it has no name. */
    Optional<Plan> plan(PlanFile file, String id) {
        String name = text(file.name());
        String season = text(file.season());
        if (name.isBlank()) {
            fault("name", "A plan needs a name.");
        }
        if (!season.matches("[a-z0-9]+(-[a-z0-9]+)*")) {
            fault("season", "It is the code of a season, as in autumn-2031.");
        }
        List<Pick> picks = new ArrayList<>();
        each(
                file.sections(),
                "sections",
                Plan.MOST_PICKS,
                (section, at) -> pick(section, at).ifPresent(picks::add));
        List<BusyTime> busy = new ArrayList<>();
        each(file.busy(), "busy", Plan.MOST_BUSY, (time, at) -> busy(time, at).ifPresent(busy::add));
        return name.isBlank()
                ? Optional.empty()
                : Optional.of(
                        new Plan(id, new SeasonCode(season), name, List.of(), busy, text(file.notes())).adding(picks));
    }

    private <T> void each(@Nullable List<@Nullable T> list, String field, int most, BiConsumer<T, String> read) {
        if (list == null) {
            return;
        }
        if (list.size() > most) {
            fault(field, "It holds %d; no more than %d are taken.".formatted(list.size(), most));
        }
        for (int i = 0; i < Math.min(most, list.size()); i++) {
            String at = field + "[" + i + "]";
            T one = list.get(i);
            if (one == null) {
                fault(at, "There is nothing in it.");
            } else {
                read.accept(one, at);
            }
        }
    }

    private Optional<Pick> pick(PickFile file, String where) {
        Optional<EntryNumber> entry = EntryNumber.parse(text(file.entry()));
        Optional<Standing> standing =
                Coded.parse(Standing.class, Objects.requireNonNullElse(file.standing(), Standing.TAKEN.code()));
        String term = text(file.term());
        if (entry.isEmpty()) {
            fault(where + ".entry", "An entry number is 3 to 9 digits, in quotation marks.");
        }
        if (standing.isEmpty()) {
            fault(where + ".standing", "It must be taken, waited-for or beside.");
        }
        if (term.isBlank()) {
            fault(where + ".term", "It is the code of a term, as in autumn-2031.");
        }
        return entry.isPresent() && standing.isPresent() && !term.isBlank()
                ? Optional.of(new Pick(new TermCode(term), entry.get(), standing.get()))
                : Optional.empty();
    }

    private Optional<BusyTime> busy(BusyFile file, String where) {
        try {
            TimeRange hours = new TimeRange(time(file.starts(), "starts"), time(file.ends(), "ends"));
            Timing timing = file.date() == null ? weekly(file, hours) : new Timing.Once(date(file.date()), hours);
            List<@Nullable String> dates = Objects.requireNonNullElse(file.except(), List.of());
            if (dates.size() > MOST_EXCEPTIONS) {
                throw new IllegalArgumentException("A busy time has at most " + MOST_EXCEPTIONS + " exceptions");
            }
            TreeSet<LocalDate> except = new TreeSet<>();
            for (String date : dates) {
                except.add(date(date));
            }
            return Optional.of(new BusyTime(text(file.label()), timing, except));
        } catch (IllegalArgumentException e) {
            String sentence = String.valueOf(e.getMessage());
            fault(where, sentence.endsWith(".") ? sentence : sentence + ".");
            return Optional.empty();
        }
    }

    private Timing.Weekly weekly(BusyFile file, TimeRange hours) {
        List<DayOfWeek> days = new ArrayList<>();
        for (String day : Objects.<List<@Nullable String>>requireNonNullElse(file.days(), List.of())) {
            days.add(Days.parseDay(text(day))
                    .orElseThrow(() -> new IllegalArgumentException("A day is written as in monday.")));
        }
        return new Timing.Weekly(
                Days.of(days),
                hours,
                new DateRange(date(file.first()), date(file.last())),
                Objects.requireNonNullElse(file.everyWeeks(), 1));
    }

    private static LocalTime time(@Nullable String text, String field) {
        return ClockTime.parse(text(text))
                .orElseThrow(() -> new IllegalArgumentException(field + " is a time, as in 09:30."));
    }

    private LocalDate date(@Nullable String text) {
        LocalDate date = WrittenDate.parse(text(text))
                .orElseThrow(() -> new IllegalArgumentException("A date is written as in 2031-09-08"));
        if (!within.contains(date)) {
            throw new IllegalArgumentException("%s is in no year for which a schedule is posted: those are %d to %d"
                    .formatted(date, within.first().getYear(), within.last().getYear()));
        }
        return date;
    }

    private static String text(@Nullable String text) {
        return Objects.requireNonNullElse(text, "");
    }

    private void fault(String where, String sentence) {
        faults.add(where + ": " + sentence);
    }
}
