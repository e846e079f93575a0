package ample.ledger.web.plan;

import ample.ledger.core.browse.Brief;
import ample.ledger.core.browse.SetCondition;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.plan.Clash;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Terms;
import ample.ledger.web.term.Terms.PostedTerm;
import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Strip;
import ample.ledger.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** Answers the address of My week. */
@Controller
class WeekController {

    private final Terms terms;

    WeekController(Terms terms) {
        this.terms = terms;
    }

    /**
     * What stands on My week.
     *
     * @param missing entry numbers that the current edition no longer has
     * @param entries the entry numbers, one below the other, to be copied
     * @param clear the address of Browse with what is clear of these
     */
    public record WeekPage(
            String term,
            String title,
            Strip.Ground ground,
            List<Line> lines,
            List<String> missing,
            List<String> clashes,
            String entries,
            String clear,
            String lineUp) {}

    /** One section. */
    public record Line(
            String entry,
            String name,
            String title,
            String sheet,
            Strip strip,
            List<String> when,
            String where,
            SeatWords seats) {}

    @GetMapping("/{term}/week")
    String week(
            @PathVariable String term,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        PostedTerm posted = terms.get(term);
        List<EntryNumber> entries = Kept.of(request).week(term);
        model.addAttribute(
                "where", terms.where(terms.place(term), Brief.EVERYTHING, "/" + term + "/week", entries.size()));
        model.addAttribute("page", page(posted, entries, preferences));
        return "plan/page";
    }

    private static WeekPage page(PostedTerm posted, List<EntryNumber> entries, Preferences preferences) {
        Schedule schedule = posted.schedule();
        String term = schedule.term().code();
        List<Section> sections = entries.stream()
                .flatMap(entry -> schedule.section(entry).stream())
                .toList();
        Strip.Ground ground = Strip.ground(
                sections.stream().map(Section::days).reduce(Days.NONE, Days::plus),
                Brief.EVERYTHING,
                preferences.week());
        Brief clear =
                entries.isEmpty() ? Brief.EVERYTHING : Brief.of(new SetCondition.ClearOf(new LinkedHashSet<>(entries)));
        String numbers =
                sections.stream().map(section -> section.entry().digits()).collect(Collectors.joining(","));
        return new WeekPage(
                term,
                schedule.term().name(),
                ground,
                sections.stream()
                        .map(section -> line(posted, section, ground, preferences))
                        .toList(),
                entries.stream()
                        .filter(entry -> schedule.section(entry).isEmpty())
                        .map(EntryNumber::digits)
                        .toList(),
                Clash.among(sections, schedule.term().calendar()).stream()
                        .map(Words::clash)
                        .toList(),
                numbers.replace(',', '\n'),
                new Addresses(term).browse(clear),
                new Addresses(term).lineUp(sections.stream(), "/" + term + "/week"));
    }

    private static Line line(PostedTerm posted, Section section, Strip.Ground ground, Preferences preferences) {
        return new Line(
                section.entry().toString(),
                section.toString(),
                section.course().title(),
                new Addresses(posted.edition().term()).sheet(section.entry(), Brief.EVERYTHING),
                Strip.of(section, ground),
                section.meetings().stream()
                        .map(meeting -> Words.when(meeting.timing(), preferences.clock()))
                        .toList(),
                Words.where(section) + " · " + Words.who(section),
                SeatWords.of(
                        section,
                        posted.index().seatsOf(section.entry()).orElseThrow(),
                        posted.schedule().twinsOf(section)));
    }
}
