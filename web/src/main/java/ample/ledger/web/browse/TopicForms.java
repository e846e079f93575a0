package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.SeasonFindings;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Not;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.calendar.Days;
import ample.ledger.web.browse.Editor.Field;
import ample.ledger.web.browse.Editor.Group;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Place;
import ample.ledger.web.words.Words;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The fields of each topic's editor, filled in with what one brief says. */
final class TopicForms {

    /** More values than this are too many to look through: those with most sections are shown. */
    private static final int MOST_VALUES = 600;

    private final Place place;
    private final Brief brief;
    private final Brief unturned;
    private final SeasonFindings findings;
    private final Preferences preferences;
    private final boolean record;

    /** @param record whether a record of the visitor is known */
    TopicForms(Place place, SeasonFindings findings, Preferences preferences, boolean record) {
        this.record = record;
        this.place = place;
        this.brief = findings.brief();
        this.unturned = new Brief(brief.conditions().stream()
                .map(condition -> condition instanceof Not not ? not.of() : condition)
                .toList());
        this.findings = findings;
        this.preferences = preferences;
    }

    /**
     * What one topic's editor is made of.
     *
     * @param title what it changes: "Days"
     * @param groups its fields
     * @param oftenAsked conditions that are offered ready made
     */
    record Form(String title, Supplier<List<Group>> groups, Supplier<List<Condition>> oftenAsked) {

        Form offering(Supplier<List<Condition>> conditions) {
            return new Form(title, groups, conditions);
        }
    }

    Form of(Topic topic) {
        return switch (topic) {
            case SUBJECT -> values("Subject", Facet.SUBJECT);
            case DEPARTMENT -> values("Department", Facet.DEPARTMENT);
            case PROGRAMME -> values("Degree programme", Facet.PROGRAMME);
            case NUMBER ->
                filledIn(
                                "Course number",
                                "Numbers or ranges, as in 240, glac:330d, 200-299",
                                new Blank("number", "text", "Course numbers"))
                        .offering(OftenAsked::numbers);
            case WORDS ->
                filledIn(
                        "Words in the title or description",
                        "Every one of these words",
                        new Blank("words", "text", "Words"));
            case ENTRY ->
                filledIn(
                        "Entry number",
                        "Any of these, with commas between",
                        new Blank("entry", "text", "Entry numbers"));
            case LEVEL -> values("Level", Facet.LEVEL);
            case CREDITS -> values("Credits", Facet.CREDITS);
            case KIND -> values("Kind of meeting", Facet.KIND);
            case INSTRUCTOR -> values("Instructor", Facet.INSTRUCTOR);
            case CAMPUS -> values("Campus", Facet.CAMPUS);
            case BUILDING -> values("Building", Facet.BUILDING);
            case DAYS -> new Form("Days", this::days, List::of);
            case TIMES ->
                filledIn(
                                "Times",
                                "Every meeting lies between",
                                new Blank("from", "time", "Not before"),
                                new Blank("to", "time", "Not after"))
                        .offering(OftenAsked::times);
            case CLOSED ->
                filledIn(
                                "Closed hours",
                                "No meeting in these hours, as in mon:9:00-12:15",
                                new Blank("closed", "text", "Closed hours"))
                        .offering(() -> OftenAsked.closed(brief));
            case UNTIMED -> new Form("Sections with no set time", List::of, List::of);
            case SPAN -> values("Span", Facet.SPAN);
            case DATES ->
                filledIn(
                                "Dates and length",
                                "Its span",
                                new Blank("starts", "date", "Starts on or after"),
                                new Blank("ends", "date", "Ends by"),
                                new Blank("weeks", "number", "Lasts at most this many weeks"))
                        .offering(() -> OftenAsked.dates(place));
            case DELIVERY -> values("Delivery", Facet.DELIVERY);
            case LANGUAGE -> values("Language", Facet.LANGUAGE);
            case REQUIREMENT -> values("Requirement", Facet.REQUIREMENT);
            case STILL_OWED -> values("Requirements still owed", Facet.STILL_OWED);
            case PREREQUISITE -> values("Prerequisite", Facet.PREREQUISITE);
            case MAY_TAKE -> values("What you may take", Facet.MAY_TAKE);
            case ON_RECORD -> values("What your record says", Facet.ON_RECORD);
            case MATERIALS -> values("Course materials", Facet.MATERIALS);
            case SEATS ->
                filledIn(
                                "Seats",
                                "Seats open",
                                new Blank("seats", "number", "At least this many seats"),
                                new Blank("waiting", "number", "At most this many waiting"))
                        .offering(OftenAsked::seats);
            case STATUS -> values("Status", Facet.STATUS);
            case PLAN ->
                filledIn(
                        "Clear of chosen sections",
                        "Entry numbers, with commas between",
                        new Blank("plan", "text", "Chosen sections"));
        };
    }

    private Form values(String title, Facet facet) {
        return new Form(title, () -> values(facet), List::of);
    }

    private List<Group> values(Facet facet) {
        Set<String> chosen = unturned.codes(facet);
        Map<String, Integer> counted = findings.valueCounts().of(facet);
        List<Facet.Value> known = place.vocabulary().values(facet);
        List<Facet.Value> shown = Stream.concat(
                        known.stream(),
                        place.vocabulary().named(facet, chosen).stream().filter(value -> !known.contains(value)))
                .toList();
        String legend = legend(facet);
        if (shown.size() > MOST_VALUES) {
            legend = "The %d of %d with most sections".formatted(MOST_VALUES, shown.size());
            Set<String> most = shown.stream()
                    .map(Facet.Value::code)
                    .sorted(Comparator.comparing(chosen::contains)
                            .reversed()
                            .thenComparing(code -> -counted.getOrDefault(code, 0)))
                    .limit(MOST_VALUES)
                    .collect(Collectors.toSet());
            shown = shown.stream().filter(value -> most.contains(value.code())).toList();
        }
        return List.of(new Group(
                legend,
                shown.stream()
                        .map(value -> choice(
                                "checkbox",
                                facet.parameter().name(),
                                value.code().toLowerCase(Locale.ROOT),
                                label(facet, value),
                                Words.number(counted.getOrDefault(value.code(), 0)),
                                chosen.contains(value.code())))
                        .toList()));
    }

    private String legend(Facet facet) {
        if (facet.isByRecord()) {
            return record ? "By your record" : "By your record. Add it under My record first";
        }
        return facet == Facet.REQUIREMENT ? "Counting toward any of these" : "Any of these " + facet.plural();
    }

    private static String label(Facet facet, Facet.Value value) {
        if (facet == Facet.SUBJECT) {
            return value.code() + " " + value.name();
        }
        return facet == Facet.LEVEL ? "Level " + value.name() : Words.capitalised(value.name());
    }

    private List<Group> days() {
        SeasonFindings.Counts counts = findings.valueCounts();
        Optional<OnDays> asked = unturned.condition(OnDays.class);
        OnDays.Rule rule = asked.map(OnDays::rule).orElse(OnDays.Rule.ONLY);
        Days days = asked.map(OnDays::days).orElse(Days.NONE);
        boolean alone = asked.filter(OnDays::alone).isPresent();
        List<Field> rules = Arrays.stream(OnDays.Rule.values())
                .map(each -> choice("radio", "days", each.code() + ":", label(each), "", each == rule))
                .toList();
        List<Field> week = preferences.week(place.schedules().get(0)).days().stream()
                .map(day -> choice(
                        "checkbox",
                        "days",
                        Days.shortName(day).toLowerCase(Locale.ROOT),
                        Days.shortName(day),
                        Words.number(counts.of(day)),
                        days.contains(day)))
                .toList();
        return List.of(
                new Group("It meets", rules),
                new Group(
                        "These days"
                                + (counts.untimed() == 0
                                        ? ""
                                        : ", the %s without a set time counted with each"
                                                .formatted(Words.number(counts.untimed()))),
                        week),
                new Group(
                        "Labs and other companions",
                        List.of(choice(
                                "checkbox", "days-of", "section", "each section by its own days only", "", alone))));
    }

    private static String label(OnDays.Rule rule) {
        return switch (rule) {
            case ONLY -> "only on these, on no other day";
            case ALL -> "on all of these, perhaps on others too";
            case ANY -> "on at least one of these";
            case NONE -> "on none of these";
        };
    }

    /** A field to fill in, after HTML's input element. */
    private record Blank(String parameter, String type, String label) {}

    private Form filledIn(String title, String legend, Blank... blanks) {
        return new Form(
                title,
                () -> List.of(
                        new Group(legend, Arrays.stream(blanks).map(this::field).toList())),
                List::of);
    }

    /** With what the brief's address says for its parameter. */
    private Field field(Blank blank) {
        String value = unturned.parameters().getOrDefault(blank.parameter(), "");
        return new Field(
                "field-" + blank.parameter(), blank.type(), blank.parameter(), value, blank.label(), "", false);
    }

    static Field choice(String type, String parameter, String value, String label, String count, boolean chosen) {
        String id = "field-" + parameter + "-" + value.replaceAll("[^a-z0-9-]", "");
        return new Field(id, type, parameter, value, label, count, chosen);
    }
}
