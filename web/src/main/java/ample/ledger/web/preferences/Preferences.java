package ample.ledger.web.preferences;

import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.calendar.WeekFrame;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.Schedule;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * How a reader likes to see things.
 *
 * @param firstDay what a week begins with: Monday, Saturday or Sunday; empty for what the institution says
 * @param lines how close lines stand
 * @param light which colours
 * @param keys whether single keys do something
 * @param home the student's home campus; empty for none, and where nothing was said
 * @param saidHome whether the student has said which it is, or that there is none: it is asked for once
 */
public record Preferences(
        ClockStyle clock,
        Optional<DayOfWeek> firstDay,
        Lines lines,
        Light light,
        Keys keys,
        Optional<CampusCode> home,
        boolean saidHome) {

    /** What somebody gets who has not said anything. */
    public static final Preferences USUAL = new Preferences(
            ClockStyle.HOURS_24, Optional.empty(), Lines.ROOMY, Light.AUTO, Keys.ON, Optional.empty(), false);

    /** The days that a week may begin with. */
    static final List<DayOfWeek> FIRST_DAYS = List.of(DayOfWeek.MONDAY, DayOfWeek.SATURDAY, DayOfWeek.SUNDAY);

    /** How close lines stand. */
    public enum Lines {
        ROOMY,
        TIGHT
    }

    /** Which colours: as on your device, or always the same. */
    public enum Light {
        AUTO,
        LIGHT,
        DARK
    }

    /** Whether pressing one key alone does something: who speaks to a machine, or shakes, turns it off (WCAG 2.1.4). */
    public enum Keys {
        ON,
        OFF
    }

    /** Whether single keys do something. */
    public boolean singleKeys() {
        return keys == Keys.ON;
    }

    /** How weeks go for this reader at the institution that posts {@code schedule}. */
    public WeekForm week(Schedule schedule) {
        WeekForm usual = schedule.institution().week();
        return firstDay.map(usual::from).orElse(usual);
    }

    /** What pictures of a week show to this reader, as far as something meets in these schedules, of which there is one at least. */
    public WeekFrame frame(List<Schedule> schedules) {
        return WeekFrame.of(
                week(schedules.get(0)),
                schedules.stream()
                        .flatMap(schedule -> schedule.hoursMet().stream())
                        .toList());
    }

    /** How conditions are said to this reader. */
    public Wording wording(Vocabulary vocabulary) {
        return new Wording(vocabulary, clock);
    }

    /** Of the root element: which colours to use, whatever the device says. */
    public String theme() {
        return light.name().toLowerCase(Locale.ROOT);
    }

    /** Of the root element. */
    public String density() {
        return lines.name().toLowerCase(Locale.ROOT);
    }

    /** As {@link #read} reads it: letters, digits, hyphens, colons and full stops, as a cookie may hold. */
    String written() {
        Map<String, String> parts = new TreeMap<>(Map.of(
                "clock", code(clock),
                "week", firstDay.map(Preferences::code).orElse(""),
                "lines", code(lines),
                "light", code(light),
                "keys", code(keys)));
        if (saidHome) {
            parts.put("home", home.map(CampusCode::text).orElse(""));
        }
        return parts.entrySet().stream()
                .map(part -> part.getKey() + ":" + part.getValue())
                .collect(Collectors.joining("."));
    }

    /** What makes no sense is passed over: a cookie may be old, or somebody's own work. */
    static Preferences read(String written) {
        Map<String, String> parts = Arrays.stream(written.split("\\."))
                .map(part -> part.split(":", 2))
                .filter(part -> part.length == 2)
                .collect(Collectors.toMap(part -> part[0], part -> part[1], (one, other) -> other));
        return of(parts);
    }

    /** What {@code parts} say, by name; as usual where they say nothing that makes sense. */
    static Preferences of(Map<String, String> parts) {
        String home = parts.getOrDefault("home", "");
        return new Preferences(
                one(ClockStyle.values(), parts.get("clock")).orElse(USUAL.clock),
                one(FIRST_DAYS.toArray(DayOfWeek[]::new), parts.get("week")),
                one(Lines.values(), parts.get("lines")).orElse(USUAL.lines),
                one(Light.values(), parts.get("light")).orElse(USUAL.light),
                one(Keys.values(), parts.get("keys")).orElse(USUAL.keys),
                home(home),
                parts.containsKey("home"));
    }

    private static Optional<CampusCode> home(String code) {
        return code.matches("[a-z0-9-]{1,40}") ? Optional.of(new CampusCode(code)) : Optional.empty();
    }

    /** With this home campus; empty for none. */
    Preferences at(String code) {
        return new Preferences(clock, firstDay, lines, light, keys, home(code), true);
    }

    static String code(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static <E extends Enum<E>> Optional<E> one(E[] values, @Nullable String code) {
        return Arrays.stream(values).filter(value -> code(value).equals(code)).findFirst();
    }
}
