package ample.ledger.core.edition;

import ample.ledger.core.schedule.Schedule;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/** Looks a posting over for what is probably not meant. */
public final class PostingChecks {

    private static final List<Function<Schedule, Stream<Warning>>> CHECKS = List.of(
            DoubleBookings::of,
            ExamClashes::of,
            ExamDates::of,
            CompanionsOutOfReach::of,
            Declarations::of,
            PrerequisiteChecks::of);

    private PostingChecks() {}

    /** Every warning, by kind and then by what it is found in. */
    public static List<Warning> warningsOf(Schedule schedule) {
        return CHECKS.stream()
                .flatMap(check -> check.apply(schedule))
                .sorted(Comparator.comparing(Warning::kind).thenComparing(Warning::about))
                .toList();
    }
}
