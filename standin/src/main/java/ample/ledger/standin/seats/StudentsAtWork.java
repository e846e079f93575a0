package ample.ledger.standin.seats;

import ample.ledger.core.registrar.RegistrarNews.Seats;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.standin.StandinSettings;
import ample.ledger.standin.clock.InstitutionClock;
import ample.ledger.standin.news.InstitutionNews;
import ample.ledger.standin.posted.PostedBundles;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.scheduling.annotation.SchedulingConfigurer;
import org.springframework.scheduling.config.ScheduledTaskRegistrar;
import org.springframework.stereotype.Component;

/** Lets students do something every now and then: they take seats, join waitlists, and drop. */
@Component
@ConditionalOnProperty("standin.registrations")
class StudentsAtWork implements SchedulingConfigurer {

    private static final Logger LOG = LoggerFactory.getLogger(StudentsAtWork.class);

    private final InstitutionNews news;
    private final SimulatedRegistrations students;
    private final Duration pause;
    private final Map<TermCode, List<SeatPool>> pools = new HashMap<>();
    private final Map<TermCode, Map<String, SeatPool.Count>> standing = new HashMap<>();

    StudentsAtWork(InstitutionNews news, InstitutionClock clock, PostedBundles bundles, StandinSettings settings) {
        this.news = news;
        this.students = new SimulatedRegistrations(new Random(), clock.clock());
        this.pause = Objects.requireNonNull(settings.registrations());
        bundles.all().forEach(schedule -> pools.put(schedule.term().code(), pools(schedule)));
        for (Seats seats : news.standing()) {
            var word = seats.word();
            standing(word.term()).put(word.pool(), word.count());
        }
    }

    private static List<SeatPool> pools(Schedule schedule) {
        return schedule.sections().stream()
                .filter(section -> !section.cancelled())
                .map(Section::pool)
                .distinct()
                .toList();
    }

    private Map<String, SeatPool.Count> standing(TermCode term) {
        return standing.computeIfAbsent(term, code -> new HashMap<>());
    }

    @Override
    public void configureTasks(ScheduledTaskRegistrar tasks) {
        tasks.addFixedDelayTask(this::work, pause);
    }

    private void work() {
        try {
            pools.forEach((term, all) -> {
                var words = students.next(term, all, standing(term));
                news.put(words);
                words.forEach(word -> standing(term).put(word.pool(), word.count()));
            });
        } catch (RuntimeException e) {
            LOG.warn("The students rest for now", e);
        }
    }
}
