package ample.ledger.core.exchange;

import ample.ledger.core.schedule.Building;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Companion;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.CrossListing;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Institution;
import ample.ledger.core.schedule.Instructor;
import ample.ledger.core.schedule.Marks;
import ample.ledger.core.schedule.OwnKind;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Span;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Turns the rows of the sections table, and of those that say more about a section, into {@link Section}s. */
final class SectionAssembler {

    private final RowsToAssemble rows;
    private final Institution institution;
    private final Map<String, Campus> campuses;
    private final Map<String, Span> spans;
    private final Map<CourseCode, Course> courses;
    private final Groups groups;
    private final Kinds kinds;
    private final Map<String, CourseCode> courseOf;
    private final Map<String, Building> buildings;
    private final Map<String, Instructor> people;
    private final Map<String, SeatPool> pools;
    private final Map<String, Companion> companions;
    private final Map<String, CrossListing> listings;
    private final Map<String, List<BundleTable.Row>> meetings;
    private final Map<String, List<BundleTable.Row>> exams;
    private final Map<String, List<BundleTable.Row>> teaching;
    private final Map<String, List<BundleTable.Row>> restrictions;
    private final Map<String, List<BundleTable.Row>> notes;

    SectionAssembler(
            RowsToAssemble rows,
            Institution institution,
            Map<String, Campus> campuses,
            Map<String, Span> spans,
            Map<CourseCode, Course> courses,
            Groups groups,
            Kinds kinds) {
        this.rows = rows;
        this.institution = institution;
        this.campuses = campuses;
        this.spans = spans;
        this.courses = courses;
        this.groups = groups;
        this.kinds = kinds;
        courseOf =
                rows.of("sections").stream().collect(Collectors.toMap(row -> row.text("entry"), CourseAssembler::code));
        buildings = rows.byKey("buildings", row -> row.text("building"), this::building);
        people = rows.byKey(
                "instructors",
                row -> row.text("instructor"),
                row -> new Instructor(row.text("instructor"), row.text("name")));
        pools = pools();
        companions = companions();
        listings = listings();
        meetings = byEntry("meetings");
        exams = byEntry("exams");
        teaching = byEntry("section_instructors");
        restrictions = byEntry("restrictions");
        notes = byEntry("notes");
        checkCourses("restrictions");
        checkCourses("notes");
    }

    List<Section> sections() {
        return rows.each("sections", this::section);
    }

    private Section section(BundleTable.Row row) {
        String entry = row.text("entry");
        Campus campus = RowsToAssemble.named(campuses, row.text("campus"));
        Span span = RowsToAssemble.named(spans, row.text("span"));
        OwnKind kind = kinds.named(row, "kind");
        return new Section(
                new EntryNumber(entry),
                RowsToAssemble.named(courses, CourseAssembler.code(row)),
                row.text("section"),
                kind.standsFor(),
                kind.name(),
                campus,
                coded(Delivery.class, row.text("delivery")),
                span,
                row.yes("cancelled"),
                row.optionalText("language").map(Locale::forLanguageTag).orElse(institution.language()),
                row.yes("free_materials"),
                marks(row),
                of(teaching, entry).stream()
                        .map(person -> RowsToAssemble.named(people, person.text("instructor")))
                        .toList(),
                rows.collect(
                        of(meetings, entry),
                        meeting -> reading(meeting, span, campus).meeting()),
                rows.collect(
                        of(exams, entry), exam -> reading(exam, span, campus).exam()),
                RowsToAssemble.named(pools, row.text("pool")),
                Optional.ofNullable(listings.get(entry)),
                Optional.ofNullable(companions.get(entry)),
                rows.collect(of(restrictions, entry), groups::restriction),
                RowsToAssemble.texts(notes, entry, "text"));
    }

    private MeetingAssembler reading(BundleTable.Row row, Span span, Campus campus) {
        return new MeetingAssembler(row, span, campus, buildings, institution.week(), kinds);
    }

    private static Marks marks(BundleTable.Row row) {
        Optional<String> kind = row.optionalText("kind_mark");
        Optional<String> status = row.optionalText("status_mark");
        Optional<String> attributes = row.optionalText("attribute_marks");
        return kind.isEmpty() && status.isEmpty() && attributes.isEmpty()
                ? Marks.NONE
                : new Marks(
                        kind,
                        status,
                        attributes
                                .map(marks -> List.of(marks.trim().split(" +")))
                                .orElse(List.of()));
    }

    private Building building(BundleTable.Row row) {
        return new Building(
                row.text("building"),
                row.text("name"),
                RowsToAssemble.named(campuses, row.text("campus")),
                row.number("latitude").doubleValue(),
                row.number("longitude").doubleValue());
    }

    private Map<String, SeatPool> pools() {
        Map<String, List<BundleTable.Row>> held = rows.grouped("held_seats", row -> row.optionalText("pool"));
        return rows.byKey("seat_pools", row -> row.text("pool"), row -> {
            String code = row.text("pool");
            return new SeatPool(
                    code,
                    row.integer("capacity"),
                    row.integer("waitlist_capacity"),
                    rows.collect(of(held, code), this::held),
                    new SeatPool.Count(row.integer("enrolled"), row.integer("waiting"), row.integer("promised")));
        });
    }

    private SeatPool.Held held(BundleTable.Row row) {
        return new SeatPool.Held(row.text("held_for"), groups.group(row), row.integer("seats"), row.date("until"));
    }

    private Map<String, Companion> companions() {
        Set<String> all =
                rows.of("companions").stream().map(row -> row.text("entry")).collect(Collectors.toSet());
        return rows.byKey("companions", row -> row.text("entry"), row -> {
            Optional<String> boundTo = row.optionalText("bound_to");
            boundTo.ifPresent(lead -> checkLead(row, lead, all));
            return new Companion(kinds.choice(row), boundTo.map(EntryNumber::new));
        });
    }

    private void checkLead(BundleTable.Row row, String lead, Set<String> companions) {
        CourseCode own = RowsToAssemble.named(courseOf, row.text("entry"));
        CourseCode other = RowsToAssemble.named(courseOf, lead);
        if (!own.equals(other)) {
            throw new Unfit(
                    "bound_to",
                    "A companion is bound to a section of its own course, %s; this is one of %s."
                            .formatted(own, other));
        }
        if (companions.contains(lead)) {
            throw new Unfit("bound_to", "This section is a companion itself; name the section that both go with.");
        }
    }

    /** Cost: one pass over the listings and one over the sections. */
    private Map<String, CrossListing> listings() {
        if (!rows.complete("sections", "cross_listings")) {
            return Map.of();
        }
        Map<String, String> poolOf = rows.of("sections").stream()
                .collect(Collectors.toMap(row -> row.text("entry"), row -> row.text("pool")));
        Map<String, List<BundleTable.Row>> byListing =
                rows.grouped("cross_listings", row -> row.optionalText("listing"));
        Map<String, CrossListing> listings = rows.byKey("cross_listings", row -> row.text("entry"), row -> {
            List<BundleTable.Row> twins = byListing.getOrDefault(row.text("listing"), List.of());
            checkListing(row, twins, poolOf);
            return new CrossListing(row.text("listing"), row.yes("home"));
        });
        Map<String, String> firstOfPool = new HashMap<>();
        rows.of("sections")
                .forEach(row -> rows.attempt(row, section -> {
                    String entry = section.text("entry");
                    String first = firstOfPool.putIfAbsent(section.text("pool"), entry);
                    if (first != null && !sameListing(listings.get(first), listings.get(entry))) {
                        throw new Unfit(
                                "pool",
                                "Section %s draws on it too; sections that share a pool are in one listing of cross_listings.csv."
                                        .formatted(first));
                    }
                    return entry;
                }));
        return listings;
    }

    private static boolean sameListing(@Nullable CrossListing one, @Nullable CrossListing other) {
        return one != null && other != null && one.code().equals(other.code());
    }

    private static void checkListing(BundleTable.Row row, List<BundleTable.Row> twins, Map<String, String> poolOf) {
        BundleTable.Row first = twins.get(0);
        if (!Objects.equals(poolOf.get(row.text("entry")), poolOf.get(first.text("entry")))) {
            throw new Unfit(
                    "entry",
                    "Its pool is %s, and that of section %s of this listing %s; a listing has one pool."
                            .formatted(
                                    poolOf.get(row.text("entry")),
                                    first.text("entry"),
                                    poolOf.get(first.text("entry"))));
        }
        if (row.equals(first)) {
            long homes = twins.stream().filter(twin -> twin.yes("home")).count();
            if (twins.size() < 2) {
                throw new Unfit("listing", "It is the only section of this listing; a listing has two or more.");
            }
            if (homes != 1) {
                throw new Unfit("home", "Of each listing one section is at home; of this one %d are.".formatted(homes));
            }
        }
    }

    /** That rows limited to a section name the course of that section. */
    private void checkCourses(String table) {
        rows.of(table)
                .forEach(row -> rows.attempt(row, limited -> {
                    CourseCode named = CourseAssembler.code(limited);
                    limited.optionalText("entry")
                            .map(courseOf::get)
                            .filter(own -> !own.equals(named))
                            .ifPresent(own -> {
                                throw new Unfit("entry", "This is a section of %s, not of %s.".formatted(own, named));
                            });
                    return named;
                }));
    }

    private Map<String, List<BundleTable.Row>> byEntry(String table) {
        return rows.grouped(table, row -> row.optionalText("entry"));
    }

    private static List<BundleTable.Row> of(Map<String, List<BundleTable.Row>> map, String key) {
        return map.getOrDefault(key, List.of());
    }

    private static <E extends Enum<E> & Coded> E coded(Class<E> type, String code) {
        return Coded.parse(type, code).orElseThrow();
    }
}
