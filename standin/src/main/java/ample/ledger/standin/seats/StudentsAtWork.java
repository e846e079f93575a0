package ample.ledger.standin.seats;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.standin.StandinSettings;
import ample.ledger.standin.clock.InstitutionClock;
import ample.ledger.standin.submission.Registry;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.scheduling.annotation.SchedulingConfigurer;
import org.springframework.scheduling.config.ScheduledTaskRegistrar;
import org.springframework.stereotype.Component;

/** Lets students do something every now and then: they take seats, join waitlists, and drop. */
@Component
@ConditionalOnProperty("standin.registrations")
class StudentsAtWork implements SchedulingConfigurer {

    private final Registry registry;
    private final InstitutionClock clock;
    private final SimulatedRegistrations students = new SimulatedRegistrations(new Random());
    private final Duration pause;
    private final Map<Schedule, List<Attendance>> sections = new LinkedHashMap<>();

    StudentsAtWork(Registry registry, InstitutionClock clock, PostedSchedules posted, StandinSettings settings) {
        this.registry = registry;
        this.clock = clock;
        this.pause = Objects.requireNonNull(settings.registrations());
        posted.all()
                .forEach(schedule -> sections.put(
                        schedule,
                        schedule.sections().stream()
                                // Places that are wished are not for whoever comes first.
                                .filter(section -> !section.cancelled()
                                        && schedule.roundOf(section.entry()).isEmpty())
                                .map(section -> posted.attendance(section, schedule))
                                .toList()));
    }

    @Override
    public void configureTasks(ScheduledTaskRegistrar tasks) {
        tasks.addFixedDelayTask(this::work, pause);
    }

    private void work() {
        sections.forEach((schedule, all) -> registry.others((book, rules) -> {
            Instant now = clock.now();
            return students.next(
                    book,
                    rules,
                    all,
                    now,
                    LocalDateTime.ofInstant(now, schedule.institution().zone()).toLocalDate());
        }));
    }
}
