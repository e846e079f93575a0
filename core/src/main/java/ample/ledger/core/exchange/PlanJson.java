package ample.ledger.core.exchange;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.calendar.WrittenDate;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
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
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

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

    /** As many as a weekly time can have dates. */
    private static final int MOST_EXCEPTIONS = 7 * Timing.MOST_WEEKS;

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** Every date that can be written: what was stored was looked at when it came in. */
    private static final DateRange ANY = new DateRange(LocalDate.of(1900, 1, 1), LocalDate.of(2199, 12, 31));

    private final List<String> faults = new ArrayList<>();
    private final DateRange within;

    private PlanJson(DateRange within) {
        this.within = within;
    }

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
        ObjectNode json = JSON.createObjectNode();
        json.put("format", FORMAT);
        json.put("version", VERSION);
        plan(plan, json);
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(json);
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
        JsonNode json = tree(text);
        if (!json.path("format").asString("").equals(FORMAT)) {
            throw new FaultyPlanException(
                    List.of("This is not a plan of Ample Ledger: it would begin with \"format\": \"" + FORMAT + "\"."));
        }
        if (json.path("version").asInt(0) != VERSION) {
            throw new FaultyPlanException(List.of("This plan is of version “%s”; version %d is read."
                    .formatted(json.path("version").asString(""), VERSION)));
        }
        PlanJson reading = new PlanJson(within);
        Optional<Plan> plan = reading.plan(json, id, "");
        if (plan.isEmpty() || !reading.faults.isEmpty()) {
            throw new FaultyPlanException(reading.faults);
        }
        return plan.get();
    }

    private static JsonNode tree(String text) {
        try {
            return JSON.readTree(text);
        } catch (JacksonException e) {
            throw new FaultyPlanException(List.of("This is not JSON: it cannot be read from line %d on."
                    .formatted(Math.max(
                            1, e.getLocation() == null ? 1 : e.getLocation().getLineNr()))));
        }
    }

    /** A whole book, with what can be taken back. */
    public static String writeBook(PlanBook book) {
        ObjectNode json = JSON.createObjectNode();
        json.put("format", BOOK);
        json.put("version", VERSION);
        json.put("changes", book.version());
        ArrayNode plans = json.putArray("plans");
        book.plans().forEach(plan -> kept(plan, plans.addObject()));
        ObjectNode looked = json.putObject("looked");
        book.looked().forEach((season, id) -> looked.put(season.text(), id));
        ArrayNode past = json.putArray("past");
        for (PlanBook.Change change : book.past()) {
            ObjectNode some = past.addObject();
            some.put("words", change.words());
            some.put("id", change.id());
            some.put("season", change.season().text());
            change.before().ifPresent(plan -> kept(plan, some.putObject("before")));
            change.wasCurrent().ifPresent(id -> some.put("wasCurrent", id));
        }
        return json.toString();
    }

    /**
     * Reads what {@link #writeBook} wrote. What an earlier version kept and none keeps any longer is left out: a student
     * whose book holds too much is better off with the rest of it than with nothing.
     *
     * @throws FaultyPlanException when it is not JSON
     */
    public static PlanBook readBook(String text) {
        JsonNode json = tree(text);
        PlanJson reading = new PlanJson(ANY);
        List<Plan> plans = new ArrayList<>();
        for (JsonNode plan : json.path("plans")) {
            reading.plan(plan, plan.path("id").asString("1"), "").ifPresent(plans::add);
        }
        Map<SeasonCode, String> looked = new TreeMap<>();
        json.path("looked")
                .properties()
                .forEach(one ->
                        looked.put(new SeasonCode(one.getKey()), one.getValue().asString("")));
        List<PlanBook.Change> past = new ArrayList<>();
        for (JsonNode change : json.path("past")) {
            past.add(new PlanBook.Change(
                    change.path("words").asString(""),
                    change.path("id").asString(""),
                    new SeasonCode(change.path("season").asString("")),
                    change.has("before")
                            ? reading.plan(
                                    change.path("before"), change.path("id").asString(""), "")
                            : Optional.empty(),
                    Optional.ofNullable(change.path("wasCurrent").asString(null))));
        }
        // Books of before they said their format counted their changes under the name of its version.
        String changes = json.has("format") ? "changes" : "version";
        return new PlanBook(json.path(changes).asLong(0), plans, looked, past);
    }

    private static void kept(Plan plan, ObjectNode json) {
        json.put("id", plan.id());
        plan(plan, json);
    }

    private static void plan(Plan plan, ObjectNode json) {
        json.put("name", plan.name());
        json.put("season", plan.season().text());
        ArrayNode sections = json.putArray("sections");
        for (Pick pick : plan.picks()) {
            ObjectNode section = sections.addObject();
            section.put("term", pick.term().text());
            section.put("entry", pick.entry().digits());
            section.put("standing", pick.standing().code());
        }
        ArrayNode busy = json.putArray("busy");
        plan.busy().forEach(time -> busy(time, busy.addObject()));
        json.put("notes", plan.notes());
    }

    private static void busy(BusyTime time, ObjectNode json) {
        json.put("label", time.label());
        TimeRange hours = time.timing().time().orElseThrow();
        if (time.timing() instanceof Timing.Weekly weekly) {
            ArrayNode days = json.putArray("days");
            weekly.days().list().forEach(day -> days.add(day.name().toLowerCase(Locale.ROOT)));
            json.put("first", weekly.dates().first().toString());
            json.put("last", weekly.dates().last().toString());
            json.put("everyWeeks", weekly.everyWeeks());
        } else if (time.timing() instanceof Timing.Once once) {
            json.put("date", once.date().toString());
        }
        json.put("starts", hours.start().toString());
        json.put("ends", hours.end().toString());
        if (!time.except().isEmpty()) {
            ArrayNode except = json.putArray("except");
            time.except().forEach(date -> except.add(date.toString()));
        }
    }

    private Optional<Plan> plan(JsonNode json, String id, String where) {
        String name = json.path("name").asString("");
        String season = json.path("season").asString("");
        if (name.isBlank()) {
            fault(where + "name", "A plan needs a name.");
        }
        if (!season.matches("[a-z0-9]+(-[a-z0-9]+)*")) {
            fault(where + "season", "It is the code of a season, as in autumn-2031.");
        }
        List<Pick> picks = new ArrayList<>();
        each(
                json,
                "sections",
                Plan.MOST_PICKS,
                (section, at) -> pick(section, at).ifPresent(picks::add));
        List<BusyTime> busy = new ArrayList<>();
        each(json, "busy", Plan.MOST_BUSY, (time, at) -> busy(time, at).ifPresent(busy::add));
        return name.isBlank()
                ? Optional.empty()
                : Optional.of(new Plan(
                                id,
                                new SeasonCode(season),
                                name,
                                List.of(),
                                busy,
                                json.path("notes").asString(""))
                        .adding(picks));
    }

    private void each(JsonNode json, String field, int most, BiConsumer<JsonNode, String> read) {
        JsonNode list = json.path(field);
        if (!list.isMissingNode() && !list.isArray()) {
            fault(field, "It must be a list.");
        }
        if (list.size() > most) {
            fault(field, "It holds %d; no more than %d are taken.".formatted(list.size(), most));
        }
        for (int i = 0; i < Math.min(most, list.size()); i++) {
            read.accept(list.get(i), field + "[" + i + "]");
        }
    }

    private Optional<Pick> pick(JsonNode json, String where) {
        Optional<EntryNumber> entry = EntryNumber.parse(json.path("entry").asString(""));
        Optional<Standing> standing =
                Coded.parse(Standing.class, json.path("standing").asString(Standing.TAKEN.code()));
        String term = json.path("term").asString("");
        if (entry.isEmpty()) {
            fault(where + ".entry", "An entry number is 3 to 9 digits, in quotation marks.");
        }
        if (standing.isEmpty()) {
            fault(where + ".standing", "It is taken, waited-for or beside.");
        }
        if (term.isBlank()) {
            fault(where + ".term", "It is the code of a term, as in autumn-2031.");
        }
        return entry.isPresent() && standing.isPresent() && !term.isBlank()
                ? Optional.of(new Pick(new TermCode(term), entry.get(), standing.get()))
                : Optional.empty();
    }

    private Optional<BusyTime> busy(JsonNode json, String where) {
        try {
            TimeRange hours = new TimeRange(time(json, "starts"), time(json, "ends"));
            Timing timing;
            if (json.has("date")) {
                timing = new Timing.Once(date(json.path("date")), hours);
            } else {
                List<DayOfWeek> days = new ArrayList<>();
                for (JsonNode day : json.path("days")) {
                    days.add(Days.parseDay(day.asString(""))
                            .orElseThrow(() -> new IllegalArgumentException("A day is written as in monday.")));
                }
                timing = new Timing.Weekly(
                        Days.of(days),
                        hours,
                        new DateRange(date(json.path("first")), date(json.path("last"))),
                        json.path("everyWeeks").asInt(1));
            }
            TreeSet<LocalDate> except = new TreeSet<>();
            if (json.path("except").size() > MOST_EXCEPTIONS) {
                throw new IllegalArgumentException("A busy time has at most " + MOST_EXCEPTIONS + " exceptions");
            }
            for (JsonNode date : json.path("except")) {
                except.add(date(date));
            }
            return Optional.of(new BusyTime(json.path("label").asString(""), timing, except));
        } catch (IllegalArgumentException e) {
            String sentence = String.valueOf(e.getMessage());
            fault(where, sentence.endsWith(".") ? sentence : sentence + ".");
        }
        return Optional.empty();
    }

    private static LocalTime time(JsonNode json, String field) {
        return ClockTime.parse(json.path(field).asString(""))
                .orElseThrow(() -> new IllegalArgumentException(field + " is a time, as in 09:30."));
    }

    private LocalDate date(JsonNode json) {
        LocalDate date = WrittenDate.parse(json.asString(""))
                .orElseThrow(() -> new IllegalArgumentException("A date is written as in 2031-09-08"));
        if (!within.contains(date)) {
            throw new IllegalArgumentException("%s is in no year for which a schedule is posted: those are %d to %d"
                    .formatted(date, within.first().getYear(), within.last().getYear()));
        }
        return date;
    }

    private void fault(String where, String sentence) {
        faults.add(where + ": " + sentence);
    }
}
