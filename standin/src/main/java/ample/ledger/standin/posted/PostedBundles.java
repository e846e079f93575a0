package ample.ledger.standin.posted;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.standin.StandinSettings;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The schedules of the institution's terms: of each term the last one. They are those that Ample Ledger is given to post. */
@Component
public class PostedBundles {

    private final Map<TermCode, Schedule> schedules = new LinkedHashMap<>();

    PostedBundles(StandinSettings settings) {
        bundles(settings.bundles()).forEach(folder -> {
            Schedule schedule = ScheduleBundle.read(folder).schedule();
            schedules.put(schedule.term().code(), schedule);
        });
        List<Schedule> all = all();
        schedules.replaceAll((term, schedule) -> schedule.among(all));
        if (schedules.isEmpty()) {
            throw new IllegalStateException("There is no schedule bundle in " + settings.bundles());
        }
    }

    /**
     * A moment at which something begins.
     *
     * @param words what: "Registration opens for 30 to 59 credits"
     * @param at on the institution's wall clock
     */
    public record Moment(String words, LocalDateTime at) {}

    private static List<Path> bundles(Path folder) {
        if (isBundle(folder)) {
            return List.of(folder);
        }
        try (Stream<Path> inside = Files.list(folder)) {
            return inside.filter(PostedBundles::isBundle).sorted().toList();
        } catch (IOException e) {
            throw new UncheckedIOException("The bundles cannot be read", e);
        }
    }

    private static boolean isBundle(Path folder) {
        return Files.exists(folder.resolve("sections.csv"));
    }

    /** One of each term. */
    public List<Schedule> all() {
        return List.copyOf(schedules.values());
    }

    public Optional<Schedule> of(TermCode term) {
        return Optional.ofNullable(schedules.get(term));
    }

    /** Where the institution stands, of which most is posted. */
    public ZoneId zone() {
        return all().stream()
                .max(Comparator.comparing(schedule -> schedule.sections().size()))
                .orElseThrow()
                .institution()
                .zone();
    }

    /** When registration opens for whom, the soonest first. */
    public List<Moment> openings() {
        return all().stream()
                .flatMap(schedule -> schedule.lists().openings().stream()
                        .map(opening -> new Moment(
                                "%s, for %s"
                                        .formatted(
                                                schedule.term().name(),
                                                opening.name().substring(0, 1).toLowerCase(Locale.ROOT)
                                                        + opening.name().substring(1)),
                                opening.from())))
                .sorted(Comparator.comparing(Moment::at))
                .toList();
    }
}
