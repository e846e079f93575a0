package ample.ledger.standin.clock;

import ample.ledger.standin.posted.PostedBundles;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page on which the clock is moved. */
@Controller
class ClockController {

    private static final DateTimeFormatter SHOWN =
            DateTimeFormatter.ofPattern("EEEE d MMMM uuuu, H:mm", Locale.ENGLISH);
    private static final Duration FURTHEST = Duration.ofDays(3 * 365);

    private final InstitutionClock clock;
    private final ZoneId zone;
    private final List<PostedBundles.Moment> moments;

    ClockController(InstitutionClock clock, PostedBundles bundles) {
        this.clock = clock;
        this.zone = bundles.zone();
        this.moments = bundles.openings();
    }

    /** A moment that is worth going to. */
    public record Choice(String words, String value) {}

    @GetMapping({"/", "/clock"})
    String page(Model model) {
        return shown(model, "");
    }

    /**
     * Moves it on.
     *
     * @param by an hour or a day, as ISO 8601 writes durations: {@code PT1H}; left out for a moment
     * @param to a moment on the institution's wall clock: {@code 2031-06-18T08:00}
     */
    @PostMapping("/clock")
    String move(
            @RequestParam(required = false) @Nullable String by,
            @RequestParam(required = false) @Nullable String to,
            Model model) {
        Optional<Instant> moment = moment(by, to);
        if (moment.isEmpty()) {
            return shown(
                    model, "“%s” is no moment; it should read like 2031-06-18T08:00.".formatted(by == null ? to : by));
        }
        if (moment.get().isAfter(clock.now().plus(FURTHEST))) {
            return shown(model, "The clock moves on by three years at most.");
        }
        try {
            clock.moveTo(moment.get());
        } catch (IllegalArgumentException over) {
            return shown(model, String.valueOf(over.getMessage()));
        }
        return "redirect:/clock";
    }

    private Optional<Instant> moment(@Nullable String by, @Nullable String to) {
        try {
            return Optional.of(
                    by != null
                            ? clock.now().plus(Duration.parse(by))
                            : LocalDateTime.parse(String.valueOf(to))
                                    .atZone(zone)
                                    .toInstant());
        } catch (DateTimeParseException | ArithmeticException wrong) {
            return Optional.empty();
        }
    }

    private String shown(Model model, String fault) {
        LocalDateTime now = LocalDateTime.ofInstant(clock.now(), zone);
        model.addAttribute("now", SHOWN.format(now));
        model.addAttribute(
                "value", now.truncatedTo(ChronoUnit.MINUTES).plusMinutes(1).toString());
        model.addAttribute("fault", fault);
        model.addAttribute(
                "moments",
                moments.stream()
                        .filter(moment -> moment.at().isAfter(now))
                        .map(moment -> new Choice(
                                moment.words() + ": " + SHOWN.format(moment.at()),
                                moment.at().toString()))
                        .toList());
        return "clock";
    }
}
