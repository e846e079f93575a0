package ample.ledger.web.guest;

import ample.ledger.core.requirement.RecordLines;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.requirement.StudentRecord.Part;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.StudentGroup.About;
import ample.ledger.core.text.PlainText;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What somebody said of their record, as they typed it; of a student whose record the registrar has, what they suppose beside it.
 *
 * @param courses one a line, as {@link RecordLines} reads them
 * @param credits earned; empty for those of the courses
 * @param level year of study; empty where nothing was said
 * @param placements one a line, by the names that the institution gives them
 * @param programme its code; empty where nothing was said
 */
public record KeptRecord(String courses, String credits, String level, String placements, String programme) {

    /** Nothing was said. */
    public static final KeptRecord NONE = new KeptRecord("", "", "", "", "");

    /** More than this of one answer is cut off: a record is no place for a book. */
    private static final int LONGEST = 8_000;

    /** Null stands in a record that is older than the question. */
    public KeptRecord(
            @Nullable String courses,
            @Nullable String credits,
            @Nullable String level,
            @Nullable String placements,
            @Nullable String programme) {
        this.courses = cut(courses);
        this.credits = cut(credits);
        this.level = cut(level);
        this.placements = cut(placements);
        this.programme = cut(programme);
    }

    private static String cut(@Nullable String text) {
        String stripped = text == null ? "" : PlainText.of(text).strip();
        return stripped.length() > LONGEST ? stripped.substring(0, LONGEST) : stripped;
    }

    /** The courses, as what a student supposes beside what the registrar has of them, read by what is posted. */
    public List<StudentRecord.Taken> supposed(Collection<Schedule> posted) {
        return new RecordLines(posted).read(courses).courses();
    }

    /** Only the courses: of all else of a student the registrar knows. */
    public KeptRecord coursesAlone() {
        return new KeptRecord(courses, "", "", "", "");
    }

    /** Line by line with what {@code other} says beside it; what both say differently stays. */
    KeptRecord with(KeptRecord other) {
        return new KeptRecord(
                lines(courses, other.courses),
                credits.isEmpty() ? other.credits : credits,
                level.isEmpty() ? other.level : level,
                lines(placements, other.placements),
                programme.isEmpty() ? other.programme : programme);
    }

    private static String lines(String some, String more) {
        return Stream.concat(some.lines(), more.lines()).distinct().collect(Collectors.joining("\n"));
    }

    /** What was said, one thing a line. */
    public List<String> inWords() {
        return Stream.of(
                        courses.lines(),
                        Stream.of(credits).filter(said -> !said.isEmpty()).map(said -> said + " credits earned"),
                        Stream.of(level).filter(said -> !said.isEmpty()).map(said -> "year " + said),
                        placements.lines(),
                        Stream.of(programme).filter(said -> !said.isEmpty()))
                .flatMap(said -> said)
                .toList();
    }

    /** Whether anything was said. */
    public boolean said() {
        return !equals(NONE);
    }

    /**
     * The record that it states; what cannot be read is passed over. Where no courses, or no placements, were given, it is not known whether
     * there are any.
     *
     * @param home the home campus; empty for none
     * @param schedule what the courses count, where nothing was said of the credits earned
     * @param posted the schedules of all terms, whose codes and grades are read
     */
    public StudentRecord read(Optional<CampusCode> home, Schedule schedule, Collection<Schedule> posted) {
        List<StudentRecord.Taken> taken = new RecordLines(posted).read(courses).courses();
        Map<About, Set<String>> groups = new EnumMap<>(About.class);
        if (!programme.isEmpty()) {
            groups.put(About.PROGRAMME, Set.of(programme));
        }
        home.ifPresent(campus -> groups.put(About.CAMPUS, Set.of(campus.text())));
        Set<String> names = placements
                .lines()
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .collect(Collectors.toSet());
        Set<Part> known = EnumSet.noneOf(Part.class);
        if (!courses.isEmpty()) {
            known.add(Part.COURSES);
        }
        if (!placements.isEmpty()) {
            known.add(Part.PLACEMENTS);
        }
        return new StudentRecord(
                known,
                taken,
                number(credits)
                        .map(BigDecimal::valueOf)
                        .or(() -> courses.isEmpty()
                                ? Optional.empty()
                                : Optional.of(StudentRecord.creditsOf(taken, schedule))),
                number(level).filter(year -> year >= 1),
                names,
                Set.of(),
                groups);
    }

    private static Optional<Integer> number(String text) {
        return text.matches("[0-9]{1,3}") ? Optional.of(Integer.valueOf(text)) : Optional.empty();
    }
}
