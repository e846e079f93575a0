package ample.ledger.web.browse;

import ample.ledger.core.browse.Brief;
import ample.ledger.core.browse.Condition;
import ample.ledger.core.browse.Condition.Topic;
import ample.ledger.core.browse.CourseCondition;
import ample.ledger.core.browse.NumberPattern;
import ample.ledger.core.browse.SectionCondition;
import ample.ledger.core.browse.SectionCondition.DayRule;
import ample.ledger.core.browse.ValueCounts;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.browse.Editor.Field;
import ample.ledger.web.browse.Editor.Group;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.words.Words;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Makes the editor of each topic for one brief. */
final class Editors {

    private final Schedule schedule;
    private final Brief brief;
    private final ValueCounts counts;
    private final Addresses addresses;

    Editors(Schedule schedule, Brief brief, ValueCounts counts, Addresses addresses) {
        this.schedule = schedule;
        this.brief = brief;
        this.counts = counts;
        this.addresses = addresses;
    }

    Editor of(Topic topic) {
        return new Editor(
                "edit-" + topic.name().toLowerCase(Locale.ROOT),
                title(topic),
                groups(topic),
                brief.without(topic).parameters(),
                addresses.browse(brief.without(topic)),
                brief.about(topic).isPresent());
    }

    static String title(Topic topic) {
        return switch (topic) {
            case SUBJECT -> "Subject";
            case NUMBER -> "Course number";
            case LEVEL -> "Level";
            case CAMPUS -> "Campus";
            case DAYS -> "Days";
            case TIMES -> "Times";
            case UNTIMED -> "Sections with no set time";
            case DELIVERY -> "Delivery";
            case REQUIREMENT -> "Requirement";
            case SEATS -> "Seats";
        };
    }

    private List<Group> groups(Topic topic) {
        return switch (topic) {
            case SUBJECT ->
                values(
                        "Any of these subjects",
                        "subject",
                        schedule.subjects(),
                        subject -> subject.code().toLowerCase(Locale.ROOT),
                        subject -> subject.code() + " " + subject.name(),
                        subject -> counts.subjects().get(subject.code()),
                        subject -> chosen(CourseCondition.Subjects.class, CourseCondition.Subjects::codes)
                                .contains(subject.code()));
            case NUMBER ->
                List.of(new Group(
                        "Numbers or ranges, as in 240, 330d, 200-299",
                        List.of(filledIn("number", "text", numbers(), "Course numbers"))));
            case LEVEL ->
                values(
                        "Any of these years of study",
                        "level",
                        counts.levels().keySet(),
                        String::valueOf,
                        level -> "Level " + level,
                        counts.levels()::get,
                        chosen(CourseCondition.Levels.class, CourseCondition.Levels::levels)::contains);
            case CAMPUS ->
                values(
                        "Any of these campuses",
                        "at",
                        schedule.campuses(),
                        campus -> campus.code(),
                        campus -> campus.name(),
                        campus -> counts.campuses().get(campus.code()),
                        campus -> chosen(SectionCondition.At.class, SectionCondition.At::codes)
                                .contains(campus.code()));
            case DAYS -> days();
            case TIMES -> times();
            case UNTIMED -> List.of();
            case DELIVERY ->
                values(
                        "Any of these ways",
                        "delivery",
                        counts.deliveries().keySet(),
                        delivery -> delivery.code(),
                        delivery -> Words.capitalised(delivery.label()),
                        counts.deliveries()::get,
                        chosen(SectionCondition.Taught.class, SectionCondition.Taught::deliveries)::contains);
            case REQUIREMENT ->
                values(
                        "Counting toward any of these",
                        "toward",
                        schedule.requirements(),
                        requirement -> requirement.code(),
                        requirement -> requirement.name(),
                        requirement -> counts.requirements().get(requirement.code()),
                        requirement -> chosen(CourseCondition.Toward.class, CourseCondition.Toward::codes)
                                .contains(requirement.code()));
            case SEATS -> seats();
        };
    }

    private List<Group> days() {
        Optional<SectionCondition.OnDays> asked = brief.condition(SectionCondition.OnDays.class);
        DayRule rule = asked.map(SectionCondition.OnDays::rule).orElse(DayRule.ONLY);
        Days days = asked.map(SectionCondition.OnDays::days).orElse(Days.NONE);
        List<Field> rules = Arrays.stream(DayRule.values())
                .map(each -> choice("radio", "days", each.code() + ":", label(each), "", each == rule))
                .toList();
        List<Field> week = Arrays.stream(DayOfWeek.values())
                .map(day -> choice(
                        "checkbox",
                        "days",
                        Days.shortName(day).toLowerCase(Locale.ROOT),
                        Days.shortName(day),
                        "",
                        days.contains(day)))
                .toList();
        return List.of(new Group("It meets", rules), new Group("These days", week));
    }

    private static String label(DayRule rule) {
        return switch (rule) {
            case ONLY -> "only on these, on no other day";
            case ALL -> "on all of these, perhaps on others too";
            case ANY -> "on at least one of these";
        };
    }

    private List<Group> times() {
        Optional<SectionCondition.Between> asked = brief.condition(SectionCondition.Between.class);
        String from = asked.flatMap(SectionCondition.Between::from)
                .map(LocalTime::toString)
                .orElse("");
        String to = asked.flatMap(SectionCondition.Between::to)
                .map(LocalTime::toString)
                .orElse("");
        return List.of(new Group(
                "Every meeting lies between",
                List.of(filledIn("from", "time", from, "Not before"), filledIn("to", "time", to, "Not after"))));
    }

    private List<Group> seats() {
        Optional<SectionCondition.Seats> asked = brief.condition(SectionCondition.Seats.class);
        String atLeast = asked.map(SectionCondition.Seats::atLeast)
                .filter(seats -> seats > 0)
                .map(String::valueOf)
                .orElse("");
        String waiting = asked.map(seats ->
                        seats.waitingAtMost().stream().mapToObj(String::valueOf).collect(Collectors.joining()))
                .orElse("");
        return List.of(new Group(
                "Seats open to you",
                List.of(
                        filledIn("seats", "number", atLeast, "At least this many seats"),
                        filledIn("waiting", "number", waiting, "At most this many waiting"))));
    }

    private String numbers() {
        return brief.condition(CourseCondition.Numbers.class)
                .map(condition -> condition.numbers().stream()
                        .map(NumberPattern::toString)
                        .collect(Collectors.joining(", ")))
                .orElse("");
    }

    private <C extends Condition, T> Set<T> chosen(Class<C> type, Function<C, Set<T>> values) {
        return brief.condition(type).map(values).orElse(Set.of());
    }

    private static <T> List<Group> values(
            String legend,
            String parameter,
            Collection<T> values,
            Function<T, String> code,
            Function<T, String> label,
            Function<T, Integer> count,
            Function<T, Boolean> chosen) {
        List<Field> fields = new ArrayList<>();
        for (T value : values) {
            fields.add(choice(
                    "checkbox",
                    parameter,
                    code.apply(value),
                    label.apply(value),
                    Words.number(count.apply(value)),
                    chosen.apply(value)));
        }
        return List.of(new Group(legend, fields));
    }

    private static Field choice(
            String type, String parameter, String value, String label, String count, boolean chosen) {
        String id = "field-" + parameter + "-" + value.replace(":", "");
        return new Field(id, type, parameter, value, label, count, chosen);
    }

    private static Field filledIn(String parameter, String type, String value, String label) {
        return new Field("field-" + parameter, type, parameter, value, label, "", false);
    }
}
