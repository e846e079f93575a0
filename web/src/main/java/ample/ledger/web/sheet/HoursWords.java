package ample.ledger.web.sheet;

import ample.ledger.core.reading.Workload;
import ample.ledger.core.reading.Workload.Standard;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.List;

/** The hours of one section in sentences, beside what published standards say of its credits. */
final class HoursWords {

    private HoursWords() {}

    static List<String> of(Workload workload) {
        List<String> sentences = new ArrayList<>();
        if (workload.classHours().signum() > 0) {
            sentences.add("In class or arranged: %s a week on the average of %s, %s in all."
                    .formatted(
                            Words.hours(workload.classHoursAWeek()),
                            Words.count(workload.weeks(), "week"),
                            Words.hours(workload.classHours())));
        }
        if (workload.credits().signum() > 0) {
            sentences.add("By %s (%s), %s imply %s of study a week beside that."
                    .formatted(
                            Standard.CREDIT_HOUR.source(),
                            Standard.CREDIT_HOUR.words(),
                            Words.credits(workload.credits()),
                            Words.hours(workload.studyHoursAWeek(Standard.CREDIT_HOUR))));
            sentences.add("By the %s (%s), so many credits would be %s to %s of work in all."
                    .formatted(
                            Standard.ECTS.source(),
                            Standard.ECTS.words(),
                            Words.number(
                                    Standard.ECTS.leastHours(workload.credits()).intValue()),
                            Words.hours(Standard.ECTS.mostHours(workload.credits()))));
        }
        return sentences;
    }
}
