package ample.ledger.web.browse;

import ample.ledger.core.browse.Brief;
import ample.ledger.core.browse.Condition;
import ample.ledger.core.browse.Condition.Topic;
import ample.ledger.core.browse.CourseFacet;
import ample.ledger.core.browse.Facet;
import ample.ledger.core.browse.Not;
import ample.ledger.core.browse.Order;
import ample.ledger.core.browse.SeasonFindings;
import ample.ledger.core.browse.SetCondition.DayRule;
import ample.ledger.core.browse.SetCondition.OnDays;
import ample.ledger.core.calendar.Days;
import ample.ledger.web.browse.Editor.Field;
import ample.ledger.web.browse.Editor.Group;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Place;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Makes the editor of each topic for one brief. */
final class Editors {

    /** More values than this are too many to look through: those with most sections are shown. */
    private static final int MOST_VALUES = 60;

    private final Place place;
    private final Brief brief;
    private final Brief unturned;
    private final SeasonFindings findings;
    private final Preferences preferences;
    private final Addressing addresses;

    Editors(Place place, SeasonFindings findings, Preferences preferences, Addressing addresses) {
        this.place = place;
        this.brief = findings.brief();
        this.unturned = new Brief(brief.conditions().stream()
                .map(condition -> condition instanceof Not not ? not.of() : condition)
                .toList());
        this.findings = findings;
        this.preferences = preferences;
        this.addresses = addresses;
    }

    Editor of(Topic topic) {
        Brief others = brief.without(topic);
        List<Condition> aside = addresses.struck().stream()
                .filter(condition -> condition.topic() != topic)
                .toList();
        for (Condition condition : aside) {
            others = others.with(condition);
        }
        Map<String, String> keep = new LinkedHashMap<>(others.parameters());
        if (!aside.isEmpty()) {
            keep.put(Addressing.STRUCK, Addressing.topics(aside));
        }
        if (addresses.view().order() != Order.COURSE) {
            keep.put("order", addresses.view().order().code());
        }
        return new Editor(
                "edit-" + topic.code(),
                title(topic),
                withTurn(topic, groups(topic)),
                OftenAsked.about(topic, place, brief).stream().map(this::offer).toList(),
                keep,
                addresses.to(brief.without(topic)),
                brief.about(topic).isPresent());
    }

    private Editor.Offer offer(Condition condition) {
        Brief with = brief.with(condition);
        return new Editor.Offer(
                condition.phrase(preferences.wording(place.vocabulary())).standingAlone(),
                Words.number(SeasonFindings.count(place.indexes(), with)),
                addresses.to(with));
    }

    static String title(Topic topic) {
        return switch (topic) {
            case SUBJECT -> "Subject";
            case DEPARTMENT -> "Department";
            case PROGRAMME -> "Degree programme";
            case NUMBER -> "Course number";
            case WORDS -> "Words in the title or description";
            case ENTRY -> "Entry number";
            case LEVEL -> "Level";
            case CREDITS -> "Credits";
            case KIND -> "Kind of meeting";
            case INSTRUCTOR -> "Instructor";
            case CAMPUS -> "Campus";
            case BUILDING -> "Building";
            case DAYS -> "Days";
            case TIMES -> "Times";
            case CLOSED -> "Closed hours";
            case UNTIMED -> "Sections with no set time";
            case SPAN -> "Span";
            case DATES -> "Dates and length";
            case DELIVERY -> "Delivery";
            case LANGUAGE -> "Language";
            case REQUIREMENT -> "Requirement";
            case MATERIALS -> "Course materials";
            case SEATS -> "Seats";
            case STATUS -> "Status";
            case PLAN -> "Clear of chosen sections";
            case RECORD -> "Courses already taken";
        };
    }

    private List<Group> groups(Topic topic) {
        return switch (topic) {
            case NUMBER ->
                filledIn("Numbers or ranges, as in 240, glac:330d, 200-299", text("number", "Course numbers"));
            case WORDS -> filledIn("Every one of these words", text("words", "Words"));
            case ENTRY -> filledIn("Any of these, with commas between", text("entry", "Entry numbers"));
            case DAYS -> days();
            case TIMES ->
                filledIn(
                        "Every meeting lies between",
                        field("from", "time", "Not before"),
                        field("to", "time", "Not after"));
            case CLOSED -> filledIn("No meeting in these hours, as in mon:9:00-12:15", text("closed", "Closed hours"));
            case UNTIMED -> List.of();
            case DATES ->
                filledIn(
                        "Its span",
                        field("starts", "date", "Starts on or after"),
                        field("ends", "date", "Ends by"),
                        field("weeks", "number", "Lasts at most this many weeks"));
            case SEATS ->
                filledIn(
                        "Seats open to you",
                        field("seats", "number", "At least this many seats"),
                        field("waiting", "number", "At most this many waiting"));
            case PLAN -> filledIn("Entry numbers, with commas between", text("plan", "Chosen sections"));
            case RECORD -> filledIn("Courses, as in glac:120", text("taken", "Courses already taken"));
            default -> Facet.about(topic).map(this::values).orElse(List.of());
        };
    }

    /** The groups, and the choice of turning what they say round. */
    private List<Group> withTurn(Topic topic, List<Group> groups) {
        List<Group> all = new ArrayList<>(groups);
        boolean turned = brief.about(topic).filter(Not.class::isInstance).isPresent();
        all.add(new Group(
                "Or the opposite",
                List.of(choice("checkbox", "not", topic.code(), "Leave these out instead", "", turned))));
        return all;
    }

    private List<Group> values(Facet facet) {
        Set<String> chosen = unturned.codes(facet);
        Map<String, Integer> counted = findings.valueCounts().of(facet);
        List<Facet.Value> shown = place.vocabulary().values(facet);
        String legend = legend(facet);
        if (shown.size() > MOST_VALUES) {
            legend = "The %d of %d with most sections".formatted(MOST_VALUES, shown.size());
            Set<String> most = shown.stream()
                    .map(Facet.Value::code)
                    .sorted(Comparator.comparing(chosen::contains).reversed().thenComparing(code -> -counted.get(code)))
                    .limit(MOST_VALUES)
                    .collect(Collectors.toSet());
            shown = shown.stream().filter(value -> most.contains(value.code())).toList();
        }
        return List.of(new Group(
                legend,
                shown.stream()
                        .map(value -> choice(
                                "checkbox",
                                facet.parameter(),
                                value.code().toLowerCase(Locale.ROOT),
                                label(facet, value),
                                Words.number(counted.get(value.code())),
                                chosen.contains(value.code())))
                        .toList()));
    }

    private static String legend(Facet facet) {
        return facet == CourseFacet.REQUIREMENT
                ? "Counting toward any of these"
                : "Any of these " + facet.traits().plural();
    }

    private static String label(Facet facet, Facet.Value value) {
        if (facet == CourseFacet.SUBJECT) {
            return value.code() + " " + value.name();
        }
        return facet == CourseFacet.LEVEL ? "Level " + value.name() : Words.capitalised(value.name());
    }

    private List<Group> days() {
        SeasonFindings.Counts counts = findings.valueCounts();
        Optional<OnDays> asked = unturned.condition(OnDays.class);
        DayRule rule = asked.map(OnDays::rule).orElse(DayRule.ONLY);
        Days days = asked.map(OnDays::days).orElse(Days.NONE);
        List<Field> rules = Arrays.stream(DayRule.values())
                .map(each -> choice("radio", "days", each.code() + ":", label(each), "", each == rule))
                .toList();
        List<Field> week = preferences.week().stream()
                .map(day -> choice(
                        "checkbox",
                        "days",
                        Days.shortName(day).toLowerCase(Locale.ROOT),
                        Days.shortName(day),
                        Words.number(counts.of(day)),
                        days.contains(day)))
                .toList();
        return List.of(new Group("It meets", rules), new Group("These days", week));
    }

    private static String label(DayRule rule) {
        return switch (rule) {
            case ONLY -> "only on these, on no other day";
            case ALL -> "on all of these, perhaps on others too";
            case ANY -> "on at least one of these";
            case NONE -> "on none of these";
        };
    }

    private static List<Group> filledIn(String legend, Field... fields) {
        return List.of(new Group(legend, List.of(fields)));
    }

    private Field text(String parameter, String label) {
        return field(parameter, "text", label);
    }

    /** A field with what the brief's address says for its parameter. */
    private Field field(String parameter, String type, String label) {
        String value = unturned.parameters().getOrDefault(parameter, "");
        return new Field("field-" + parameter, type, parameter, value, label, "", false);
    }

    private static Field choice(
            String type, String parameter, String value, String label, String count, boolean chosen) {
        String id = "field-" + parameter + "-" + value.replaceAll("[^a-z0-9-]", "");
        return new Field(id, type, parameter, value, label, count, chosen);
    }
}
