package ample.ledger.web.words;

import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.reading.StatusReading.Reason;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Programme;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.StudentGroup;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Names groups of students. */
public final class GroupWords {

    private GroupWords() {}

    /** "students of Glaciology or Tidal Engineering", "students in year 3". */
    public static String of(StudentGroup group, Schedule schedule) {
        return switch (group.about()) {
            case PROGRAMME ->
                "students of "
                        + joined(
                                group,
                                schedule.lists().programmes().stream()
                                        .filter(programme -> group.anyOf().contains(programme.code()))
                                        .map(Programme::name));
            case LEVEL -> "students in " + years(group.anyOf());
            case CAMPUS ->
                "students of "
                        + joined(
                                group,
                                schedule.campuses().stream()
                                        .filter(campus -> group.anyOf()
                                                .contains(campus.code().text()))
                                        .map(Campus::name));
            case COHORT -> "students of the cohort " + String.join(" or ", group.anyOf());
        };
    }

    /** "year 3", "years 3 to 6", "years 1 or 4". */
    private static String years(List<String> levels) {
        List<Integer> years = levels.stream().map(Integer::valueOf).sorted().toList();
        int first = years.get(0);
        int last = years.get(years.size() - 1);
        if (years.size() == 1) {
            return "year " + first;
        }
        return years.size() > 2 && last - first == years.size() - 1
                ? "years " + first + " to " + last
                : "years " + String.join(" or ", levels);
    }

    /** Codes that nothing posted has a name for stay as they are. */
    private static String joined(StudentGroup group, Stream<String> names) {
        String found = names.collect(Collectors.joining(" or "));
        return found.isEmpty() ? String.join(" or ", group.anyOf()) : found;
    }

    /** To whom a section that is open to some is open: "students of Glaciology". */
    static String some(StatusReading reading, Schedule schedule) {
        String restricted = reading.reasons().stream()
                .filter(Reason.NotForAll.class::isInstance)
                .flatMap(reason -> ((Reason.NotForAll) reason).restriction().rule().stream())
                .map(rule -> (rule.include() ? "" : "all but ") + of(rule.group(), schedule))
                .distinct()
                .collect(Collectors.joining(", of those only "));
        return restricted.isEmpty()
                ? reading.perhapsYours().stream().map(SeatPool.Held::words).collect(Collectors.joining(" or "))
                : restricted;
    }
}
