package ample.ledger.web.seats;

import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.Visitors;
import ample.ledger.web.guard.ClientAddress;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import ample.ledger.web.words.SeatWords;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Answers the addresses that keep the seats of open pages up to date. */
@Controller
class SeatController {

    private static final int MOST_CELLS = 200;

    private final Places places;
    private final SeatStreams streams;
    private final Visits visits;

    SeatController(Places places, SeatStreams streams, Visits visits) {
        this.visits = visits;
        this.places = places;
        this.streams = streams;
    }

    /** The seats of one section, for the page to put in their place. */
    public record Cell(String entry, SeatWords seats) {}

    /** @param since the number of the last change that the page knows of; without it only what is to come is told */
    @GetMapping(
            value = {"/{term}/seats", "/season/{season}/seats"},
            produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @ResponseBody
    SseEmitter stream(
            @PathVariable Optional<TermCode> term,
            @PathVariable Optional<SeasonCode> season,
            @RequestParam Optional<Long> since,
            HttpServletRequest request) {
        return streams.open(
                place(term, season),
                since.orElse(Long.MAX_VALUE),
                ClientAddress.of(request),
                Keeping.studentName(request).map(Visitors::student));
    }

    /** @param entries entry numbers with commas between; those that there are not are passed over */
    @GetMapping({"/{term}/seats/cells", "/season/{season}/seats/cells"})
    String cells(
            @PathVariable Optional<TermCode> term,
            @PathVariable Optional<SeasonCode> season,
            @RequestParam String entries,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        Place place = place(term, season);
        Visit visit = visits.of(request, preferences);
        model.addAttribute(
                "cells",
                Arrays.stream(entries.split(","))
                        .limit(MOST_CELLS)
                        .flatMap(entry -> EntryNumber.parse(entry).stream())
                        .flatMap(entry -> cell(place.terms(), entry, visit).stream())
                        .toList());
        return "parts/strip :: cells";
    }

    private Place place(Optional<TermCode> term, Optional<SeasonCode> season) {
        return season.map(places::season).orElseGet(() -> places.place(term.orElseThrow()));
    }

    private static Optional<Cell> cell(List<PostedTerm> terms, EntryNumber entry, Visit visit) {
        return terms.stream()
                .flatMap(posted -> posted
                        .schedule()
                        .section(entry)
                        .map(section -> new Cell(section.entry().toString(), visit.seats(posted, section)))
                        .stream())
                .findFirst();
    }
}
