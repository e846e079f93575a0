package ample.ledger.web.lists;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.Entries;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.exchange.LinkedData;
import ample.ledger.core.exchange.SectionCsv;
import ample.ledger.core.exchange.SectionJson;
import ample.ledger.core.exchange.SectionList;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.BriefReader;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.StringWriter;
import java.io.Writer;
import java.util.Map;
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

    private final Places places;
    private final Visits visits;

    ListController(Terms terms, Places places, Visits visits) {
        this.places = places;
        this.visits = visits;
        this.terms = terms;
    }

    /** What is done with the list that was asked for. */
    private interface Form {
        void write(SectionList list, Writer out) throws IOException;
    }

    @GetMapping("/lists")
    String documentation(Model model) throws IOException {
        Optional<Vocabulary> vocabulary = places.usual().map(Place::vocabulary);
        model.addAttribute(
                "conditions",
                Topic.allParameters().stream()
                        .map(condition -> new Condition(
                                condition.name(),
                                condition.meaning(),
                                vocabulary.map(condition.example()).orElse("")))
                        .toList());
        model.addAttribute("example", example());
        return "lists/page";
    }

    /** A condition as the page documents it. */
    public record Condition(String name, String meaning, String example) {}

    /** The cells of the first section of the CSV by their columns; nothing where no section is posted. */
    private Map<String, String> example() throws IOException {
        Optional<PostedTerm> posted = places.usual().map(place -> place.terms().get(0));
        if (posted.isEmpty() || posted.get().schedule().sections().isEmpty()) {
            return Map.of();
        }
        StringWriter csv = new StringWriter();
        SectionCsv.write(
                list(
                        posted.get(),
                        Brief.of(new Entries(
                                Set.of(posted.get().schedule().sections().get(0).entry())))),
                csv);
        try (CsvReader<NamedCsvRecord> lines = CsvReader.builder().ofNamedCsvRecord(csv.toString())) {
            return lines.iterator().next().getFieldsAsMap();
        }
    }

    @GetMapping(value = "/lists/v1/openapi.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String openApi() {
        return OpenApi.document(places.usual().map(Place::vocabulary));
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
        response.setContentType(type);
        response.setCharacterEncoding("UTF-8");
        form.write(list(posted, reading.brief()), response.getWriter());
    }

    private SectionList list(PostedTerm posted, Brief brief) {
        Visit visit = visits.ofNobody();
        Moment moment = visit.of(posted);
        return new SectionList(
                posted.schedule(),
                posted.edition().number(),
                posted.edition().postedAt(),
                Addresses.query(brief).replaceFirst("^\\?", ""),
                visit.instant(),
                Findings.of(moment, brief).fitting().stream()
                        .map(section -> new SectionList.Line(section, moment.reading(section)))
                        .toList());
    }

    private static void refuse(HttpServletResponse response, HttpStatus status, String sentence) throws IOException {
        response.setStatus(status.value());
        response.setContentType("text/plain;charset=UTF-8");
        response.getWriter().write(sentence + "\n");
    }
}
