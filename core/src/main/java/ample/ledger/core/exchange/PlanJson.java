package ample.ledger.core.exchange;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.exchange.PlanFile.BookFile;
import ample.ledger.core.exchange.PlanFile.ChangeFile;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.schedule.SeasonCode;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes a plan as JSON and reads it again: {@code docs/formats/plan.md} documents it for people. The book of all plans of a student is
 * written alike, for keeping only.
 */
public final class PlanJson {

    /** What a file says that it is. */
    public static final String FORMAT = "ample-ledger-plan";

    /** The same of a whole book, which is for keeping only. */
    private static final String BOOK = "ample-ledger-plan-book";

    /** Of both formats, as they are written, and read. */
    public static final int VERSION = 1;

    /** Fields stand in the order in which people read them; what a later version may add is passed over. */
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    /** Every date that can be written: what was stored was looked at when it came in. */
    private static final DateRange ANY = new DateRange(LocalDate.of(1900, 1, 1), LocalDate.of(2199, 12, 31));

    private PlanJson() {}

    /** That a plan cannot be read: in sentences that say where and what would be right, every one there is. */
    public static final class FaultyPlanException extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient List<String> faults;

        FaultyPlanException(List<String> faults) {
            super(String.join(" ", faults));
            this.faults = List.copyOf(faults);
        }

        public List<String> faults() {
            return faults;
        }
    }

    /** The plan by itself, to be taken away. */
    public static String write(Plan plan) {
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(PlanFile.of(plan, FORMAT, VERSION, null));
    }

    /**
     * Reads what {@link #write} wrote and this application has kept.
     *
     * @param id that the plan gets
     * @throws FaultyPlanException when it is not such a file, or says what no plan can hold
     */
    public static Plan read(String text, String id) {
        return read(text, id, ANY);
    }

    /**
     * Reads what may come from anywhere.
     *
     * @param within what no date of it may be outside of
     * @throws FaultyPlanException when it is not such a file, or says what no plan can hold
     */
    public static Plan read(String text, String id, DateRange within) {
        PlanFile file = bound(text, PlanFile.class);
        if (!FORMAT.equals(file.format())) {
            throw new FaultyPlanException(
                    List.of("This is not a plan of Ample Ledger: it would begin with \"format\": \"" + FORMAT + "\"."));
        }
        if (!Objects.equals(file.version(), VERSION)) {
            throw new FaultyPlanException(List.of("This plan is of version “%s”; version %d is read."
                    .formatted(Objects.requireNonNullElse(file.version(), ""), VERSION)));
        }
        PlanReading reading = new PlanReading(within);
        Optional<Plan> plan = reading.plan(file, id);
        if (plan.isEmpty() || !reading.faults().isEmpty()) {
            throw new FaultyPlanException(reading.faults());
        }
        return plan.get();
    }

    private static <T> T bound(String text, Class<T> type) {
        try {
            T bound = JSON.readValue(text, type);
            if (bound == null) {
                throw new FaultyPlanException(List.of("There is nothing in it."));
            }
            return bound;
        } catch (DatabindException mismatch) {
            requireJson(text);
            throw new FaultyPlanException(List.of(
                    where(mismatch) + "It is not what is wanted there, which may be a text, a number or a list."));
        } catch (JacksonException e) {
            throw notJson(e);
        }
    }

    /** What does not fit may come before the place from which it is no JSON at all, which matters more. */
    private static void requireJson(String text) {
        try {
            JSON.readTree(text);
        } catch (JacksonException e) {
            throw notJson(e);
        }
    }

    private static FaultyPlanException notJson(JacksonException e) {
        int line = e.getLocation() == null ? 1 : e.getLocation().getLineNr();
        return new FaultyPlanException(
                List.of("This is not JSON: it cannot be read from line %d on.".formatted(Math.max(1, line))));
    }

    /** As in {@code sections[1].entry: }; nothing for the whole. */
    private static String where(DatabindException mismatch) {
        StringBuilder path = new StringBuilder();
        mismatch.getPath()
                .forEach(step -> path.append(
                        step.getPropertyName() == null ? "[" + step.getIndex() + "]" : "." + step.getPropertyName()));
        return path.isEmpty() ? "" : path.substring(path.charAt(0) == '.' ? 1 : 0) + ": ";
    }

    /** A whole book, with what can be taken back. */
    public static String writeBook(PlanBook book) {
        return JSON.writeValueAsString(BookFile.of(book, BOOK, VERSION));
    }

    /**
     * Reads what {@link #writeBook} wrote. What an earlier version kept and none keeps any longer is left out: a student
     * whose book holds too much is better off with the rest of it than with nothing.
     *
     * @throws FaultyPlanException when it is not JSON
     */
    public static PlanBook readBook(String text) {
        BookFile file = bound(text, BookFile.class);
        PlanReading reading = new PlanReading(ANY);
        // Books of before they said their format counted their changes under the name of its version.
        Long changes = file.format() == null ? file.version() : file.changes();
        Map<SeasonCode, String> looked = new TreeMap<>();
        Objects.<Map<String, String>>requireNonNullElse(file.looked(), Map.of())
                .forEach((season, id) -> looked.put(new SeasonCode(season), id));
        return new PlanBook(
                Objects.requireNonNullElse(changes, 0L),
                stream(file.plans())
                        .flatMap(plan -> reading.plan(plan, Objects.requireNonNullElse(plan.id(), "1")).stream())
                        .toList(),
                looked,
                stream(file.past()).map(change -> change(change, reading)).toList());
    }

    private static PlanBook.Change change(ChangeFile file, PlanReading reading) {
        String id = Objects.requireNonNullElse(file.id(), "");
        return new PlanBook.Change(
                Objects.requireNonNullElse(file.words(), ""),
                id,
                new SeasonCode(Objects.requireNonNullElse(file.season(), "")),
                Optional.ofNullable(file.before()).flatMap(before -> reading.plan(before, id)),
                Optional.ofNullable(file.wasCurrent()));
    }

    private static <T> Stream<T> stream(@Nullable List<T> some) {
        return some == null ? Stream.empty() : some.stream();
    }
}
