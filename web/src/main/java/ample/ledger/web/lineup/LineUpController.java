package ample.ledger.web.lineup;

import ample.ledger.core.browse.Brief;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.Terms;
import ample.ledger.web.term.Terms.PostedTerm;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Answers the address of a line-up. It is all in the address, so that it can be shared. */
@Controller
class LineUpController {

    private static final int MOST = 6;

    private final Terms terms;

    LineUpController(Terms terms) {
        this.terms = terms;
    }

    /** @param line entry numbers, each by itself, as forms send them, or with commas between */
    @GetMapping("/{term}/line-up")
    String lineUp(
            @PathVariable String term,
            @RequestParam(defaultValue = "") List<String> line,
            @RequestParam(defaultValue = "") String back,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        PostedTerm posted = terms.get(term);
        List<String> say = new ArrayList<>();
        List<Section> sections = new ArrayList<>();
        for (String entry : line.stream()
                .flatMap(some -> Arrays.stream(some.split(",")))
                .map(String::strip)
                .filter(some -> !some.isEmpty())
                .distinct()
                .toList()) {
            Optional<Section> section = EntryNumber.parse(entry).flatMap(posted.schedule()::section);
            section.ifPresentOrElse(
                    sections::add,
                    () -> say.add("%s has no section with the entry number “%s”."
                            .formatted(posted.schedule().term().name(), entry)));
        }
        if (sections.size() > MOST) {
            say.add("%d sections stand side by side at most; left out: %s."
                    .formatted(
                            MOST,
                            sections.subList(MOST, sections.size()).stream()
                                    .map(Section::toString)
                                    .collect(Collectors.joining(", "))));
        }
        List<Section> shown = sections.subList(0, Math.min(MOST, sections.size()));
        String here = LineUpPages.address(term, shown, Local.address(back));
        model.addAttribute(
                "where",
                terms.where(
                        terms.place(term),
                        Brief.EVERYTHING,
                        here,
                        Kept.of(request).week(term).size()));
        model.addAttribute("page", new LineUpPages(posted, shown, preferences, Local.address(back)).page(say));
        return "lineup/page";
    }
}
