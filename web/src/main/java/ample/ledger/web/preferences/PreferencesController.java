package ample.ledger.web.preferences;

import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.web.guard.Cookies;
import ample.ledger.web.head.Head;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.Terms;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Shows the preferences, and keeps them for a year. */
@Controller
class PreferencesController {

    private static final Duration KEPT = Duration.ofDays(365);

    private final Terms terms;

    private final Head head;

    PreferencesController(Terms terms, Head head) {
        this.terms = terms;
        this.head = head;
    }

    /** One question with its answers. */
    public record Question(String name, String legend, List<Answer> answers) {}

    /** One answer. */
    public record Answer(String value, String label, boolean chosen) {}

    /** @param back where to go on afterwards; a page of this application */
    @GetMapping("/preferences")
    String preferences(
            @ModelAttribute(name = "preferences", binding = false) Preferences now,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request,
            Model model) {
        head.putBeside(model, request, Local.address(back));
        model.addAttribute("back", Local.address(back));
        model.addAttribute(
                "questions",
                List.of(
                        new Question(
                                "clock",
                                "Times of day",
                                List.of(
                                        new Answer(
                                                "hours-24",
                                                "9:30, 13:00",
                                                now.clock().ordinal() == 0),
                                        new Answer(
                                                "hours-12",
                                                "9:30 am, 1 pm",
                                                now.clock().ordinal() == 1))),
                        new Question(
                                "week",
                                "The week begins with",
                                Stream.concat(
                                                Stream.of(new Answer(
                                                        "",
                                                        "the day that the institution says",
                                                        now.firstDay().isEmpty())),
                                                Preferences.FIRST_DAYS.stream()
                                                        .map(day -> new Answer(
                                                                Preferences.code(day),
                                                                name(day),
                                                                now.firstDay().equals(Optional.of(day)))))
                                        .toList()),
                        new Question(
                                "lines",
                                "Lines of a list",
                                List.of(
                                        answer(Preferences.Lines.ROOMY, "with room around them", now.lines()),
                                        answer(Preferences.Lines.TIGHT, "close together", now.lines()))),
                        new Question(
                                "light",
                                "Colours",
                                List.of(
                                        answer(Preferences.Light.AUTO, "as on your device", now.light()),
                                        answer(Preferences.Light.LIGHT, "light", now.light()),
                                        answer(Preferences.Light.DARK, "dark", now.light()))),
                        new Question(
                                "keys",
                                "Single keys, such as / to find",
                                List.of(
                                        answer(Preferences.Keys.ON, "on (press ? to see them)", now.keys()),
                                        answer(Preferences.Keys.OFF, "off", now.keys()))),
                        new Question("home", "Home campus", campuses(now.home()))));
        return "preferences/page";
    }

    @PostMapping("/preferences")
    String keep(
            @RequestParam Map<String, String> said,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request,
            HttpServletResponse response) {
        Cookies.write(
                request,
                response,
                PreferencesAdvice.COOKIE,
                Preferences.of(said).written(),
                KEPT);
        return "redirect:" + Local.address(back);
    }

    /** Answers what a page asks in passing; all else stays as it is. */
    @PostMapping("/preferences/home")
    String home(
            @ModelAttribute(name = "preferences", binding = false) Preferences now,
            @RequestParam(defaultValue = "") String home,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request,
            HttpServletResponse response) {
        Cookies.write(request, response, PreferencesAdvice.COOKIE, now.at(home).written(), KEPT);
        return "redirect:" + Local.address(back);
    }

    private List<Answer> campuses(Optional<CampusCode> home) {
        return Stream.concat(
                        Stream.of(new Answer("", "none", home.isEmpty())),
                        terms.all().stream()
                                .flatMap(posted -> posted.schedule().campuses().stream())
                                .filter(campus -> !campus.remote())
                                .distinct()
                                .map(campus -> answer(campus, home)))
                .toList();
    }

    private static Answer answer(Campus campus, Optional<CampusCode> home) {
        return new Answer(
                campus.code().text(),
                campus.name(),
                home.filter(campus.code()::equals).isPresent());
    }

    private static Answer answer(Enum<?> value, String label, Enum<?> chosen) {
        return new Answer(Preferences.code(value), label, value == chosen);
    }

    private static String name(DayOfWeek day) {
        return day.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }
}
