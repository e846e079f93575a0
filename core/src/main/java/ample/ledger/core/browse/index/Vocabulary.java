package ample.ledger.core.browse.index;

import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Subject;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The codes that a brief can name, and what they are called: of one schedule, or of several that are browsed together. A
 * code that several of them know has one name, the first; where their names differ, both.
 *
 * <p>Safe for many threads; built once and kept.
 */
public final class Vocabulary {

    private final List<Schedule> schedules;
    private final Map<Facet, List<Facet.Value>> values = new EnumMap<>(Facet.class);
    private final Map<CourseCode, Course> courses = new LinkedHashMap<>();

    private Vocabulary(List<Schedule> schedules) {
        this.schedules = List.copyOf(schedules);
        Arrays.stream(Facet.values()).forEach(facet -> values.put(facet, union(facet)));
        schedules.forEach(schedule -> schedule.courses().forEach(course -> courses.putIfAbsent(course.code(), course)));
    }

    public static Vocabulary of(Schedule schedule) {
        return new Vocabulary(List.of(schedule));
    }

    /** @param schedules at least one */
    public static Vocabulary of(List<Schedule> schedules) {
        if (schedules.isEmpty()) {
            throw new IllegalArgumentException("Without a schedule there are no words");
        }
        return new Vocabulary(schedules);
    }

    private List<Facet.Value> union(Facet facet) {
        Map<String, Facet.Value> known = new LinkedHashMap<>();
        for (Schedule schedule : schedules) {
            facet.values(schedule).forEach(value -> known.merge(value.code(), value, Vocabulary::both));
        }
        List<Facet.Value> union = new ArrayList<>(known.values());
        if (schedules.size() > 1) {
            order(facet).ifPresent(union::sort);
        }
        return Collections.unmodifiableList(union);
    }

    /** The order of a facet whose values are sorted, so that those of several schedules are sorted together. */
    private Optional<Comparator<Facet.Value>> order(Facet facet) {
        if (facet == Facet.LEVEL || facet == Facet.CREDITS) {
            return Optional.of(Comparator.comparing(value -> new BigDecimal(value.code())));
        }
        return facet == Facet.INSTRUCTOR || facet == Facet.BUILDING
                ? Optional.of(Comparator.comparing(
                                (Facet.Value value) -> value.code().equals(Facet.TO_BE_ANNOUNCED))
                        .thenComparing(Facet.Value::name, first().institution().nameOrder()))
                : Optional.empty();
    }

    private static Facet.Value both(Facet.Value one, Facet.Value other) {
        return one.name().equals(other.name()) ? one : new Facet.Value(one.code(), one.name() + " / " + other.name());
    }

    /** Every value of {@code facet}, in the order to show them. */
    public List<Facet.Value> values(Facet facet) {
        return Objects.requireNonNull(values.get(facet));
    }

    /** The value of {@code facet} that {@code code} names, in any case. */
    public Optional<Facet.Value> value(Facet facet, String code) {
        return values(facet).stream()
                .filter(value -> value.code().equalsIgnoreCase(code))
                .findFirst();
    }

    /** These values by their names: those that there are in the order to show them, then those that nothing has. */
    public List<Facet.Value> named(Facet facet, Collection<String> codes) {
        List<Facet.Value> named = new ArrayList<>(values(facet).stream()
                .filter(value -> codes.contains(value.code()))
                .toList());
        codes.stream()
                .filter(code -> named.stream().noneMatch(value -> value.code().equals(code)))
                .sorted()
                .flatMap(code -> facet.possible(code).stream())
                .forEach(named::add);
        return named;
    }

    /** The code of a value that makes sense, though nothing here has it. */
    public Optional<String> possible(Facet facet, String code) {
        return facet.possible(code).map(Facet.Value::code);
    }

    /** Every course posted, of a code that several know the first. */
    public Collection<Course> courses() {
        return Collections.unmodifiableCollection(courses.values());
    }

    /** The course that a subject and a number name, in any case. */
    public Optional<Course> course(String subject, String number) {
        return courses.values().stream()
                .filter(course -> course.code().subject().equalsIgnoreCase(subject)
                        && course.code().number().equalsIgnoreCase(number))
                .findFirst();
    }

    /** An entry number, as an example; empty where there is no section. */
    public String anEntry() {
        return sections().findFirst().map(section -> section.entry().digits()).orElse("");
    }

    /** Every subject posted, term by term. */
    public Stream<Subject> subjects() {
        return schedules.stream().flatMap(schedule -> schedule.subjects().stream());
    }

    /** Every section posted, term by term. */
    public Stream<Section> sections() {
        return schedules.stream().flatMap(schedule -> schedule.sections().stream());
    }

    /** Whether some section has this entry number. */
    public boolean hasEntry(EntryNumber entry) {
        return schedules.stream().anyMatch(schedule -> schedule.section(entry).isPresent());
    }

    /** Whether these are campuses of no place, all of them. */
    public boolean remote(Collection<String> campuses) {
        return schedules.stream()
                .flatMap(schedule -> schedule.campuses().stream())
                .filter(campus -> campuses.contains(campus.code().text()))
                .allMatch(Campus::remote);
    }

    /** What is browsed, in a sentence: "Autumn 2031". */
    public String name() {
        return schedules.size() == 1
                ? schedules.get(0).term().name()
                : schedules.get(0).term().season().name();
    }

    /** The first of them, in whose dates and forms examples are given. */
    public Schedule first() {
        return schedules.get(0);
    }
}
