package ample.ledger.core.exchange;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** What stands in the JSON of a plan, as written: anything may be missing, and nothing has been looked at yet. */
@JsonInclude(JsonInclude.Include.NON_NULL)
record PlanFile(
        @Nullable String format,
        @Nullable Integer version,
        @Nullable String id,
        @Nullable String name,
        @Nullable String season,
        @Nullable List<@Nullable PickFile> sections,
        @Nullable List<@Nullable BusyFile> busy,
        @Nullable String notes) {

    /** A section of a plan. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record PickFile(
            @Nullable String term,
            @Nullable String entry,
            @Nullable String standing) {

        static PickFile of(Pick pick) {
            return new PickFile(
                    pick.term().text(), pick.entry().digits(), pick.standing().code());
        }
    }

    /** A busy time: on a date, or on some days of the weeks between two dates. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record BusyFile(
            @Nullable String label,
            @Nullable List<@Nullable String> days,
            @Nullable String first,
            @Nullable String last,
            @Nullable Integer everyWeeks,
            @Nullable String date,
            @Nullable String starts,
            @Nullable String ends,
            @Nullable List<@Nullable String> except) {

        static BusyFile of(BusyTime busy) {
            TimeRange hours = busy.timing().time().orElseThrow();
            Optional<Timing.Weekly> weekly =
                    busy.timing() instanceof Timing.Weekly known ? Optional.of(known) : Optional.empty();
            return new BusyFile(
                    busy.label(),
                    weekly.map(BusyFile::days).orElse(null),
                    weekly.map(known -> known.dates().first().toString()).orElse(null),
                    weekly.map(known -> known.dates().last().toString()).orElse(null),
                    weekly.map(Timing.Weekly::everyWeeks).orElse(null),
                    busy.timing() instanceof Timing.Once once ? once.date().toString() : null,
                    ClockTime.formatForPrograms(hours.start()),
                    ClockTime.formatForPrograms(hours.end()),
                    except(busy));
        }

        private static @Nullable List<@Nullable String> except(BusyTime busy) {
            if (busy.except().isEmpty()) {
                return null;
            }
            return busy.except().stream()
                    .<@Nullable String>map(LocalDate::toString)
                    .toList();
        }

        private static List<@Nullable String> days(Timing.Weekly weekly) {
            return weekly.days().list().stream()
                    .<@Nullable String>map(day -> day.name().toLowerCase(Locale.ROOT))
                    .toList();
        }
    }

    /** A book, for keeping only. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record BookFile(
            @Nullable String format,
            @Nullable Long version,
            @Nullable Long changes,
            @Nullable List<PlanFile> plans,
            @Nullable Map<String, String> looked,
            @Nullable List<ChangeFile> past) {

        static BookFile of(PlanBook book, String format, long version) {
            Map<String, String> looked = new TreeMap<>();
            book.looked().forEach((season, id) -> looked.put(season.text(), id));
            return new BookFile(
                    format,
                    version,
                    book.version(),
                    book.plans().stream().map(plan -> of(plan, plan.id())).toList(),
                    looked,
                    book.past().stream().map(ChangeFile::of).toList());
        }

        private static PlanFile of(Plan plan, String id) {
            return PlanFile.of(plan, null, null, id);
        }
    }

    /** A change that can be taken back. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record ChangeFile(
            @Nullable String words,
            @Nullable String id,
            @Nullable String season,
            @Nullable PlanFile before,
            @Nullable String wasCurrent) {

        static ChangeFile of(PlanBook.Change change) {
            return new ChangeFile(
                    change.words(),
                    change.id(),
                    change.season().text(),
                    change.before()
                            .map(plan -> PlanFile.of(plan, null, null, plan.id()))
                            .orElse(null),
                    change.wasCurrent().orElse(null));
        }
    }

    static PlanFile of(Plan plan, @Nullable String format, @Nullable Integer version, @Nullable String id) {
        return new PlanFile(
                format,
                version,
                id,
                plan.name(),
                plan.season().text(),
                plan.picks().stream().<@Nullable PickFile>map(PickFile::of).toList(),
                plan.busy().stream().<@Nullable BusyFile>map(BusyFile::of).toList(),
                plan.notes());
    }
}
