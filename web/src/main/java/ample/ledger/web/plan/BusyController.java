package ample.ledger.web.plan;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.calendar.WrittenDate;
import ample.ledger.core.exchange.BusyCalendar;
import ample.ledger.core.exchange.CalendarRefusedException;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.guard.Limits;
import ample.ledger.web.plan.PlanChanges.Sent;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.Terms;
import ample.ledger.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntFunction;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Takes busy times of the student's own, typed in or out of a calendar file. */
@Controller
class BusyController {

    /** Of the page that is gone to: what was typed and could not be read. */
    static final String TYPED = "typed";

    private static final int LONGEST_FIELD = 20;

    private final PlanChanges changes;
    private final Terms terms;
    private final Places places;
    private final Limits limits;
    private final CalendarReading calendars;

    BusyController(PlanChanges changes, Terms terms, Places places, Limits limits, CalendarReading calendars) {
        this.changes = changes;
        this.terms = terms;
        this.places = places;
        this.limits = limits;
        this.calendars = calendars;
    }

    /**
     * A busy time as it was typed.
     *
     * @param day the codes of the days that were ticked
     * @param date of a single time, instead
     * @param every how many weeks from one to the next
     */
    public record Typed(String label, List<String> day, String date, String starts, String ends, int every) {

        /** Nothing typed yet. */
        static final Typed NOTHING = new Typed("", List.of(), "", "", "", 1);

        private Days days() {
            return Days.of(
                    day.stream().flatMap(name -> Days.parseDay(name).stream()).toList());
        }

        /** Each field cut to what anybody types in it, so that it can be shown again. */
        static Typed cut(String label, List<String> day, String date, String starts, String ends, int every) {
            return new Typed(
                    cut(label, BusyTime.LONGEST_LABEL),
                    day.stream().limit(7).map(one -> cut(one, LONGEST_FIELD)).toList(),
                    cut(date, LONGEST_FIELD),
                    cut(starts, LONGEST_FIELD),
                    cut(ends, LONGEST_FIELD),
                    every);
        }

        private static String cut(String text, int longest) {
            return text.length() > longest ? text.substring(0, longest) : text;
        }

        /** As texts and lists of them, for the next page. */
        Map<String, Object> fields() {
            return Map.of(
                    "label", label, "day", day, "date", date, "starts", starts, "ends", ends, "every", "" + every);
        }

        /** What {@link #fields} wrote; nothing typed where somebody else did. */
        static Typed of(@Nullable Object fields) {
            if (!(fields instanceof Map<?, ?> map) || !(map.get("day") instanceof List<?> days)) {
                return NOTHING;
            }
            return new Typed(
                    String.valueOf(map.get("label")),
                    days.stream().map(String::valueOf).toList(),
                    String.valueOf(map.get("date")),
                    String.valueOf(map.get("starts")),
                    String.valueOf(map.get("ends")),
                    "2".equals(map.get("every")) ? 2 : 1);
        }

        private Optional<LocalDate> once() {
            return WrittenDate.parse(date);
        }

        private Optional<TimeRange> hours() {
            Optional<LocalTime> from = ClockTime.parse(starts);
            Optional<LocalTime> to = ClockTime.parse(ends);
            return from.isPresent() && to.isPresent() && from.get().isBefore(to.get())
                    ? Optional.of(new TimeRange(from.get(), to.get()))
                    : Optional.empty();
        }

        private List<String> faults(DateRange years) {
            List<String> faults = new ArrayList<>();
            if (label.isBlank()) {
                faults.add("A busy time needs a name, as in “ferry crew”.");
            }
            if (hours().isEmpty()) {
                faults.add(
                        "“%s” to “%s” are not hours. Write them like 11:30 and 13:00, the later one second. Enter a busy time that passes midnight as two."
                                .formatted(starts.strip(), ends.strip()));
            }
            if (!date.isBlank() && once().isEmpty()) {
                faults.add("“%s” is not a date. Write it like 2031-10-02.".formatted(date.strip()));
            }
            once().filter(single -> !years.contains(single))
                    .ifPresent(
                            single -> faults.add("%s is in no year for which a schedule is posted: those are %d to %d."
                                    .formatted(
                                            single,
                                            years.first().getYear(),
                                            years.last().getYear())));
            if (days().isEmpty() && date.isBlank()) {
                faults.add("Choose at least one day of the week, or one date.");
            }
            return faults;
        }

        private BusyTime time(DateRange season) {
            TimeRange hours = hours().orElseThrow();
            Timing timing = once().<Timing>map(single -> new Timing.Once(single, hours))
                    .orElseGet(() -> new Timing.Weekly(days(), hours, season, every == 2 ? 2 : 1));
            return new BusyTime(label, timing);
        }
    }

    /** What cannot be read is said, and stays in its fields. */
    @PostMapping("/{term}/week/busy")
    String busy(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") String label,
            @RequestParam(defaultValue = "") List<String> day,
            @RequestParam(defaultValue = "") String date,
            @RequestParam(defaultValue = "") String starts,
            @RequestParam(defaultValue = "") String ends,
            @RequestParam(defaultValue = "1") int every,
            Sent sent,
            HttpServletRequest request,
            RedirectAttributes told) {
        Typed typed = Typed.cut(label, day, date, starts, ends, every);
        List<String> faults = typed.faults(places.schedules().years());
        if (!faults.isEmpty()) {
            told.addFlashAttribute(TYPED, typed.fields());
            return PlanChanges.tell(told, sent, faults.toArray(String[]::new)) + "#busy";
        }
        BusyTime time = typed.time(dates(term));
        return add(request, term, sent, told, "“" + time.label() + "” added", List.of(time), left -> List.of());
    }

    /** @param busy the places of the busy times that go, counted from 0 */
    @PostMapping("/{term}/week/free")
    String free(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") List<Integer> busy,
            Sent sent,
            HttpServletRequest request,
            RedirectAttributes told) {
        String words = Words.count(busy.size(), "busy time") + " removed";
        return changes.change(
                request,
                term,
                sent,
                told,
                words,
                plan -> plan.busy(times -> {
                    List<BusyTime> after = new ArrayList<>(times);
                    new TreeSet<>(busy)
                            .descendingSet().stream()
                                    .filter(at -> at >= 0 && at < after.size())
                                    .forEach(at -> after.remove(at.intValue()));
                    return after;
                }));
    }

    @PostMapping("/{term}/week/calendar")
    String calendar(
            @PathVariable TermCode term,
            @RequestParam MultipartFile file,
            Sent sent,
            HttpServletRequest request,
            RedirectAttributes told)
            throws IOException {
        limits.count(Limits.Act.UPLOAD, request);
        String name = PlanChanges.name(file);
        Optional<String> text = PlanChanges.text(file, PlanChanges.LARGEST_CALENDAR);
        if (text.isEmpty()) {
            return PlanChanges.tell(
                    told, sent, "“%s” is larger than 1 MB; nothing was changed. Export fewer months.".formatted(name));
        }
        Optional<BusyCalendar.Reading> reading;
        try {
            reading = calendars.read(
                    text.get(), terms.get(term).schedule().institution().zone(), dates(term));
        } catch (CalendarRefusedException e) {
            return PlanChanges.tell(
                    told, sent, "“%s” was not read: %s. Nothing was changed.".formatted(name, e.getMessage()));
        }
        if (reading.isEmpty()) {
            return PlanChanges.tell(
                    told,
                    sent,
                    "“%s” is not a calendar file: one begins with BEGIN:VCALENDAR. Nothing was changed."
                            .formatted(name));
        }
        BusyCalendar.Reading read = reading.get();
        return add(
                request,
                term,
                sent,
                told,
                "“" + name + "” brought in",
                read.busy(),
                left -> sentences(read, name, left));
    }

    /** @param left how many of the busy times there was no room for */
    private static List<String> sentences(BusyCalendar.Reading read, String name, int left) {
        List<String> say = new ArrayList<>();
        say.add("%s imported from “%s”.".formatted(Words.count(read.busy().size() - left, "busy time"), name));
        if (read.allDay() > 0) {
            say.add(Words.count(read.allDay(), "all-day event")
                    + " left out because they have no hours. Add them by hand if you need them.");
        }
        if (read.outside() > 0) {
            say.add(Words.count(read.outside(), "event") + " not in these dates left out.");
        }
        return say;
    }

    /**
     * With these too; what is there word for word is not taken in twice, and what there is no room for is left out.
     *
     * @param say what else is to be said, of how many were left out
     */
    private String add(
            HttpServletRequest request,
            TermCode term,
            Sent sent,
            RedirectAttributes told,
            String words,
            Collection<BusyTime> more,
            IntFunction<List<String>> say) {
        int[] left = {0};
        String back = changes.change(
                request,
                term,
                sent,
                told,
                words,
                plan -> plan.busy(times -> {
                    Set<BusyTime> after = new LinkedHashSet<>(times);
                    after.addAll(more);
                    left[0] = Math.max(0, after.size() - Plan.MOST_BUSY);
                    return List.copyOf(after);
                }));
        List<String> all = new ArrayList<>(say.apply(left[0]));
        if (left[0] > 0) {
            all.add("%s left out: a plan holds %d busy times at most."
                    .formatted(Words.number(left[0]), Plan.MOST_BUSY));
        }
        if (!all.isEmpty() && !told.getFlashAttributes().containsKey(PlanChanges.TOLD)) {
            PlanChanges.tell(told, sent, all.toArray(String[]::new));
        }
        return back;
    }

    private DateRange dates(TermCode term) {
        return places.schedules().dates(changes.season(term));
    }
}
