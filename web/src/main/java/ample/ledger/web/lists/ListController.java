package ample.ledger.web.lists;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.exchange.LinkedData;
import ample.ledger.core.exchange.SectionCsv;
import ample.ledger.core.exchange.SectionJson;
import ample.ledger.core.exchange.SectionList;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.BriefReader;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.Writer;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseBody;

/** Answers the addresses that hand sections on. The conditions in an address are those of Browse. */
@Controller
class ListController {

    private final Terms terms;

    private final Visits visits;

    ListController(Terms terms, Visits visits) {
        this.visits = visits;
        this.terms = terms;
    }

    /** What is done with the list that was asked for. */
    private interface Form {
        void write(SectionList list, Writer out) throws IOException;
    }

    @GetMapping("/lists")
    String documentation(Model model) {
        model.addAttribute("conditions", Topic.allParameters());
        return "lists/page";
    }

    @GetMapping(value = "/lists/v1/openapi.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String openApi() {
        return OpenApi.DOCUMENT;
    }

    @GetMapping("/lists/v1/{term}/sections.csv")
    void csv(@PathVariable TermCode term, HttpServletRequest request, HttpServletResponse response) throws IOException {
        answer(term, request, response, "text/csv;charset=UTF-8", SectionCsv::write);
    }

    @GetMapping("/lists/v1/{term}/sections.json")
    void json(@PathVariable TermCode term, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        answer(term, request, response, "application/json", SectionJson::write);
    }

    @GetMapping("/lists/v1/{term}/sections/{entry}.jsonld")
    void linkedData(@PathVariable TermCode term, @PathVariable String entry, HttpServletResponse response)
            throws IOException {
        PostedTerm posted = terms.get(term);
        Optional<Section> section = EntryNumber.parse(entry).flatMap(posted.schedule()::section);
        if (section.isEmpty()) {
            refuse(response, HttpStatus.NOT_FOUND, "There is no section with the entry number " + entry + ".");
            return;
        }
        response.setContentType("application/ld+json;charset=UTF-8");
        response.getWriter()
                .write(LinkedData.of(
                        section.get(), posted.schedule(), visits.ofNobody().reading(posted, section.get())));
    }

    private void answer(TermCode term, HttpServletRequest request, HttpServletResponse response, String type, Form form)
            throws IOException {
        PostedTerm posted = terms.get(term);
        BriefAddress.Reading reading = BriefReader.read(request, posted.index().vocabulary(), Set.of());
        if (!reading.misreads().isEmpty()) {
            refuse(
                    response,
                    HttpStatus.BAD_REQUEST,
                    reading.misreads().stream()
                            .map(misread -> "Not understood: %s=%s. %s"
                                    .formatted(misread.parameter(), misread.value(), misread.sentence()))
                            .collect(Collectors.joining("\n")));
            return;
        }
        Visit visit = visits.ofNobody();
        Moment moment = visit.of(posted);
        SectionList list = new SectionList(
                posted.schedule(),
                posted.edition().number(),
                posted.edition().postedAt(),
                Addresses.query(reading.brief()).replaceFirst("^\\?", ""),
                visit.instant(),
                Findings.of(moment, reading.brief()).fitting().stream()
                        .map(section -> new SectionList.Line(section, moment.reading(section)))
                        .toList());
        response.setContentType(type);
        response.setCharacterEncoding("UTF-8");
        form.write(list, response.getWriter());
    }

    private static void refuse(HttpServletResponse response, HttpStatus status, String sentence) throws IOException {
        response.setStatus(status.value());
        response.setContentType("text/plain;charset=UTF-8");
        response.getWriter().write(sentence + "\n");
    }
}
