package ample.ledger.core.reading;

import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.StudentGroup;
import ample.ledger.core.schedule.WishRound;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Who asks, and when, as far as it matters to the seats and the status of the sections of one schedule. Two of whom the same is known are
 * equal.
 *
 * @param known whether somebody in particular asks, and it is known that registration has opened for them, or when it will
 * @param belongs of the groups that the schedule speaks of, whether the person is one of them; what is not known is missing
 * @param permissions those given, by whose they are
 * @param opened whether registration has opened for them; where that is not known, whether it has opened for anybody
 * @param later openings that concern them and are still to come, the next one first; where it is not known which concern them, all
 * @param closed since when registration is closed to them, as far as that is not the same for everybody; empty while it is not
 * @param undecided the codes of the wish rounds whose period has not ended
 * @param today where the institution stands
 */
public record Person(
        boolean known,
        Map<StudentGroup, Boolean> belongs,
        Set<String> permissions,
        boolean opened,
        List<Opening> later,
        Optional<LocalDateTime> closed,
        Set<String> undecided,
        LocalDate today) {

    public Person {
        belongs = Map.copyOf(belongs);
        permissions = Set.copyOf(permissions);
        later = List.copyOf(later);
        undecided = Set.copyOf(undecided);
    }

    /**
     * Somebody at one moment.
     *
     * @param record empty for nobody in particular
     * @param now on the wall clock of the institution
     */
    public static Person of(Schedule schedule, Optional<StudentRecord> record, LocalDateTime now) {
        Optional<Opening> own = record.flatMap(StudentRecord::creditsEarned)
                .flatMap(earned -> schedule.lists().openings().stream()
                        .filter(opening -> opening.isFor(earned))
                        .findFirst());
        return of(schedule, record, own, Optional.empty(), now);
    }

    /**
     * Somebody of whom the registrar has said when they may register.
     *
     * @param own their opening; empty where it is not known
     * @param closes when registration closes to them; empty where it does not before it does to everybody
     */
    public static Person of(
            Schedule schedule,
            Optional<StudentRecord> record,
            Optional<Opening> own,
            Optional<LocalDateTime> closes,
            LocalDateTime now) {
        Map<StudentGroup, Boolean> belongs = new HashMap<>();
        schedule.groups()
                .forEach(group ->
                        record.flatMap(known -> known.belongsTo(group)).ifPresent(one -> belongs.put(group, one)));
        List<Opening> all = schedule.lists().openings();
        List<Opening> concerning = own.map(List::of).orElse(all);
        List<Opening> later = concerning.stream()
                .filter(opening -> opening.from().isAfter(now))
                .sorted(Comparator.comparing(Opening::from))
                .toList();
        return new Person(
                record.isPresent() && (own.isPresent() || later.isEmpty()),
                belongs,
                record.map(StudentRecord::permissions).orElse(Set.of()),
                later.isEmpty() || later.size() < concerning.size(),
                later,
                closes.filter(end -> !now.isBefore(end)),
                schedule.lists().wishRounds().stream()
                        .filter(round -> now.isBefore(round.closes()))
                        .map(WishRound::code)
                        .collect(Collectors.toSet()),
                now.toLocalDate());
    }

    /** Nobody in particular. */
    public static Person nobody(Schedule schedule, LocalDateTime now) {
        return of(schedule, Optional.empty(), now);
    }

    /** Whether the person is one of {@code group}; empty where that is not known. */
    public Optional<Boolean> belongsTo(StudentGroup group) {
        return Optional.ofNullable(belongs.get(group));
    }
}
