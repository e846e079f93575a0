package ample.ledger.web.lineup;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.Picked;
import ample.ledger.web.term.Terms;
import ample.ledger.web.term.Terms.PostedTerm;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Answers the address of a line-up. It is all in the address, so that it can be shared. */
@Controller
class LineUpController {

    private final Terms terms;

    private final Keeping keeping;

    LineUpController(Terms terms, Keeping keeping) {
        this.keeping = keeping;
        this.terms = terms;
    }

    /**
     * @param line sections, as {@link Picked} has them
     * @param add one more section, by its entry number; or a course, by its code, of whose sections one can then be chosen
     */
    @GetMapping("/{term}/line-up")
    String lineUp(
            @PathVariable String term,
            @RequestParam(defaultValue = "") List<String> line,
            @RequestParam(defaultValue = "") String add,
            @RequestParam(defaultValue = "") String back,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        PostedTerm posted = terms.get(term);
        String name = posted.schedule().term().name();
        List<String> say = new ArrayList<>();
        List<Section> sections = new ArrayList<>();
        for (Picked picked : Picked.of(term, line)) {
            Optional<Section> section = EntryNumber.parse(picked.entry())
                    .filter(entry -> picked.term().equals(term))
                    .flatMap(posted.schedule()::section);
            section.ifPresentOrElse(
                    sections::add,
                    () -> say.add(
                            picked.term().equals(term)
                                    ? "%s has no section with the entry number “%s”.".formatted(name, picked.entry())
                                    : "Sections of one term stand side by side, here those of %s; left out: %s of %s."
                                            .formatted(name, picked.entry(), nameOf(picked.term()))));
        }
        if (sections.size() > LineUpPages.MOST) {
            say.add("%d sections stand side by side at most; left out: %s."
                    .formatted(
                            LineUpPages.MOST,
                            sections.subList(LineUpPages.MOST, sections.size()).stream()
                                    .map(Section::toString)
                                    .collect(Collectors.joining(", "))));
        }
        List<Section> shown = sections.subList(0, Math.min(LineUpPages.MOST, sections.size()));
        List<Section> meant = meant(posted, add);
        if (meant.size() == 1 && shown.size() < LineUpPages.MOST) {
            return "redirect:"
                    + new Addresses(term).lineUp(Stream.concat(shown.stream(), meant.stream()), Local.address(back));
        }
        if (!add.isBlank() && meant.isEmpty()) {
            say.add("%s has no section with the entry number “%s”, and no course of that code with sections."
                    .formatted(name, add.strip()));
        }
        LineUpPages pages = new LineUpPages(posted, shown, preferences, keeping.of(request), Local.address(back));
        model.addAttribute(
                "where",
                terms.where(
                        terms.place(term),
                        Brief.EVERYTHING,
                        pages.here(),
                        keeping.of(request).week(term).size()));
        model.addAttribute("page", pages.page(say, add.strip(), meant));
        return "lineup/page";
    }

    /** The name of another term; its code for one that is not posted. */
    private String nameOf(String term) {
        return terms.all().stream()
                .filter(posted -> posted.edition().term().equals(term))
                .map(posted -> posted.schedule().term().name())
                .findFirst()
                .orElse(term);
    }

    /** The section of an entry number, or all those of a course, whatever stands between the parts of its code. */
    private static List<Section> meant(PostedTerm posted, String text) {
        Optional<Section> section = EntryNumber.parse(text.strip()).flatMap(posted.schedule()::section);
        if (section.isPresent()) {
            return List.of(section.get());
        }
        String code = joined(text);
        return posted.schedule().courses().stream()
                .filter(course -> joined(course.written()).equals(code))
                .flatMap(course -> posted.schedule().sectionsOf(course.code()).stream())
                .toList();
    }

    private static String joined(String code) {
        return code.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}0-9]", "");
    }
}
