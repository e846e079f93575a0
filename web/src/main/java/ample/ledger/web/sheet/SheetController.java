package ample.ledger.web.sheet;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.exchange.CalendarFile;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.watch.Watched;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.BriefReader;
import ample.ledger.web.term.NotPostedException;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import ample.ledger.web.watch.WatchForm;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseBody;

/** Answers the address of a section's sheet. */
@Controller
class SheetController {

    private final Terms terms;
    private final Head head;
    private final Places places;
    private final Clock clock;

    private final Visits visits;

    SheetController(Terms terms, Head head, Places places, Clock clock, Visits visits) {
        this.visits = visits;
        this.terms = terms;
        this.head = head;
        this.places = places;
        this.clock = clock;
    }

    /** The sheet. What the address says of a brief only leads back, so what makes no sense in it is passed over. */
    @GetMapping("/{term}/section/{entry}")
    String sheet(
            @PathVariable TermCode term,
            @PathVariable String entry,
            HttpServletRequest request,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            Model model) {
        PostedTerm posted = terms.get(term);
        BriefAddress.Reading reading = BriefReader.read(request, posted.index().vocabulary(), Set.of());
        Section section = section(posted, entry, reading.brief());
        Place place = places.place(term);
        String here = new Addresses(term).sheet(section.entry(), reading.brief());
        head.put(model, request, place, reading.brief(), here);
        Visit visit = visits.of(request, preferences);
        model.addAttribute("page", SheetPages.page(posted, section, reading.brief(), visit));
        WatchForm.put(model, request, visit.kept(), new Watched.OfSection(term, section.entry()), here);
        return "sheet/page";
    }

    /** The section's meetings and exams as a calendar file: iCalendar. */
    @GetMapping(path = "/{term}/section/{entry}/calendar.ics", produces = "text/calendar;charset=UTF-8")
    @ResponseBody
    String calendarFile(@PathVariable TermCode term, @PathVariable String entry, HttpServletResponse response) {
        PostedTerm posted = terms.get(term);
        Section section = section(posted, entry, Brief.EVERYTHING);
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + section.entry() + ".ics\"");
        return CalendarFile.of(
                List.of(section), posted.schedule(), posted.edition().number(), clock.instant());
    }

    private static Section section(PostedTerm posted, String entry, Brief brief) {
        return EntryNumber.parse(entry)
                .flatMap(posted.schedule()::section)
                .orElseThrow(() -> NotPostedException.section(posted, entry, brief));
    }
}
