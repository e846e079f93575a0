package ample.ledger.web.sheet;

import ample.ledger.core.reading.Workload;
import ample.ledger.core.schedule.CreditWorth;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Says in sentences how many hours a section takes, with what it is taken with, and what its institution counts for the credits. */
final class HoursWords {

    private HoursWords() {}

    /** @param set the section with its companions, the leading one first */
    static List<String> of(List<Section> set, Schedule schedule) {
        Workload workload = Workload.of(set, schedule);
        List<String> sentences = new ArrayList<>();
        if (workload.classHours().signum() > 0) {
            sentences.add("In class%s: %s a week on average over %s, %s in all."
                    .formatted(
                            set.size() == 1 ? "" : " with " + others(set),
                            Words.hours(workload.classHoursAWeek()),
                            Words.count(workload.weeks(), "week"),
                            Words.hours(workload.classHours())));
        }
        if (workload.credits().signum() == 0) {
            return sentences;
        }
        sentences.add("%s counts %s of work for a credit, class and study together."
                .formatted(
                        schedule.institution().name(),
                        hours(schedule.institution().credit())));
        sentences.add(
                workload.isMoreThanAWeekHolds()
                        ? "For the %s of this course that is more than a week holds. Its dates here may be only a part of it."
                                .formatted(Words.credits(workload.credits()))
                        : "For %s that leaves about %s of study a week."
                                .formatted(Words.credits(workload.credits()), study(workload)));
        return sentences;
    }

    private static String others(List<Section> set) {
        return set.stream()
                .skip(1)
                .map(section -> section.kindName().toLowerCase(Locale.ROOT) + " " + section.code())
                .collect(Collectors.joining(" and "));
    }

    private static String hours(CreditWorth worth) {
        return worth.isRange()
                ? "%s to %s".formatted(worth.leastHours().toPlainString(), Words.hours(worth.mostHours()))
                : Words.hours(worth.leastHours());
    }

    private static String study(Workload workload) {
        return workload.worth().isRange()
                ? "%s to %s"
                        .formatted(
                                workload.leastStudyAWeek().stripTrailingZeros().toPlainString(),
                                Words.hours(workload.mostStudyAWeek()))
                : Words.hours(workload.leastStudyAWeek());
    }
}
