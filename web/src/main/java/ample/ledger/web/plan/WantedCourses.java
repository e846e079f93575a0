package ample.ledger.web.plan;

import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Instructor;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.weave.Demand;
import ample.ledger.core.weave.WeaveRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The courses of which a week is to be woven, as they were typed. */
final class WantedCourses {

    private static final String IF_IT_FITS = " if it fits";
    private static final int MOST_PEOPLE = 12;

    /** Commas in one title. */
    private static final int MOST_COMMAS = 2;

    /** Courses named when it is not clear which is meant. */
    private static final int MOST_MEANT = 6;

    private final PostedSchedules posted;
    private final SeasonCode seasonCode;
    private final List<Schedule> season;
    private final List<String> wanted;
    private final List<String> faults;

    /** @param faults is told what cannot be read, in sentences, when {@link #wants()} is asked for */
    WantedCourses(String typed, PlannedWeek week, List<String> faults) {
        this.posted = week.posted();
        this.seasonCode = week.plan().season();
        this.season = posted.ofSeason(seasonCode);
        this.faults = faults;
        this.wanted = read(typed);
    }

    /** What is wanted; what cannot be read of it becomes a fault. */
    List<Demand.Want> wants() {
        List<Demand.Want> wants = new ArrayList<>();
        for (String text : wanted) {
            List<Course> found =
                    codes(text).flatMap(code -> course(code).stream()).toList();
            if (!found.isEmpty()) {
                wants.add(new Demand.Want(found, !ifItFits(text)));
            }
        }
        if (wants.size() > WeaveRequest.MOST_WANTS) {
            faults.add("You can weave at most %d courses at once, not %d."
                    .formatted(WeaveRequest.MOST_WANTS, wants.size()));
            return List.of();
        }
        return wants;
    }

    /** What was typed between commas, a title that has commas of its own in one. */
    private List<String> read(String typed) {
        List<String> pieces = WeaveReading.parts(typed);
        List<String> found = new ArrayList<>();
        int from = 0;
        while (from < pieces.size()) {
            int to = Math.min(pieces.size(), from + MOST_COMMAS + 1);
            while (to > from + 1 && !namesSome(String.join(", ", pieces.subList(from, to)))) {
                to--;
            }
            found.add(String.join(", ", pieces.subList(from, to)));
            from = to;
        }
        return found;
    }

    private boolean namesSome(String text) {
        return codes(text).noneMatch(title -> named(title).isEmpty());
    }

    private static boolean ifItFits(String text) {
        return text.toLowerCase(Locale.ROOT).endsWith(IF_IT_FITS);
    }

    /** The courses of which one is wanted, as they were typed. */
    private static Stream<String> codes(String text) {
        String said = ifItFits(text) ? text.substring(0, text.length() - IF_IT_FITS.length()) : text;
        return Arrays.stream(said.split("(?i)\\s+or\\s+"));
    }

    /** The courses that a code or a title names. */
    private List<Course> named(String text) {
        List<Course> written = posted.coursesWritten(text, seasonCode);
        return written.isEmpty() ? posted.coursesTitled(text, seasonCode) : written;
    }

    private Optional<Course> course(String typed) {
        List<Course> named = named(typed);
        if (named.isEmpty()) {
            Course example = season.get(0).courses().get(0);
            faults.add("“%s” is not a course here. Write its code or its title, like %s or %s."
                    .formatted(typed.strip(), example.written(), example.title()));
            return Optional.empty();
        }
        List<String> codes = named.stream().map(Course::written).distinct().toList();
        if (codes.size() > 1) {
            faults.add("“%s” is in the titles of %s: write the code of the one you mean."
                    .formatted(
                            typed.strip(),
                            codes.size() > MOST_MEANT
                                    ? String.join(", ", codes.subList(0, MOST_MEANT)) + " and "
                                            + (codes.size() - MOST_MEANT) + " more"
                                    : String.join(", ", codes)));
            return Optional.empty();
        }
        Optional<Course> held = named.stream()
                .filter(course -> season.stream()
                        .anyMatch(
                                schedule -> !schedule.sectionsOf(course.code()).isEmpty()))
                .findFirst();
        if (held.isEmpty()) {
            faults.add("%s is posted, but no section of it is held this time."
                    .formatted(named.get(0).written()));
        }
        return held;
    }

    /** As they were typed, without some of {@link #wants()}. */
    String without(List<Demand> given, List<Demand.Want> wants) {
        return IntStream.range(0, wants.size())
                .filter(want -> !given.contains(wants.get(want)))
                .mapToObj(wanted::get)
                .collect(Collectors.joining(", "));
    }

    /** Who teaches what is wanted, by name. */
    List<String> people() {
        return wanted.stream()
                .flatMap(WantedCourses::codes)
                .flatMap(code -> named(code).stream())
                .flatMap(course -> season.stream().flatMap(schedule -> schedule.sectionsOf(course.code()).stream()))
                .flatMap(section -> section.instructors().stream())
                .map(Instructor::name)
                .distinct()
                .sorted(season.get(0).institution().nameOrder())
                .limit(MOST_PEOPLE)
                .toList();
    }
}
