package ample.ledger.web.browse;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.TermChange;
import ample.ledger.core.browse.brief.WeekPainting;
import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.BriefReader;
import ample.ledger.web.term.Place;
import ample.ledger.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What an address of Browse asks.
 *
 * @param addresses of the brief, as far as it was understood
 * @param say what must be said first: what was not understood, or could not be taken along from another term
 * @param understood whether all of it was
 * @param shorter an address that says the same in fewer words, or with hours painted as it asks; empty for none
 */
record BrowseAsk(Addressing addresses, List<String> say, boolean understood, Optional<String> shorter) {

    /** What stands in the address; of {@code place}, which it names. */
    static BrowseAsk of(HttpServletRequest request, Place place) {
        BrowseView view = BrowseView.read(request);
        BriefAddress.Reading reading = BriefReader.read(request, place.vocabulary(), BrowseView.PARAMETERS);
        Addressing said = addressing(place, reading.brief(), request, view);
        Addressing addresses = new Addressing(said.addresses(), painted(said.brief(), request), said.struck(), view);
        if (reading.misreads().isEmpty()) {
            String query = request.getQueryString() == null ? "" : "?" + request.getQueryString();
            String shorter = addresses.seen(view);
            boolean long_ = !(request.getRequestURI() + query).equals(shorter);
            return new BrowseAsk(addresses, List.of(), true, long_ ? Optional.of(shorter) : Optional.empty());
        }
        List<String> say = new ArrayList<>();
        reading.misreads()
                .forEach(misread -> say.add("Not understood: %s=%s. %s"
                        .formatted(misread.parameter(), misread.value(), misread.sentence())));
        say.add("The rest of your brief is kept.");
        return new BrowseAsk(addresses, say, false, Optional.empty());
    }

    /** The same taken along from another term, {@code before}, as far as it makes sense here. */
    static BrowseAsk takenAlong(HttpServletRequest request, Place before, Place place, Preferences preferences) {
        Brief old = BriefReader.read(request, before.vocabulary(), BrowseView.PARAMETERS)
                .brief();
        TermChange change = TermChange.of(old, place.vocabulary());
        return new BrowseAsk(
                new Addressing(place.addresses(), change.kept(), List.of(), BrowseView.read(request)),
                dropped(before, old, change, preferences),
                true,
                Optional.empty());
    }

    private static Addressing addressing(Place place, Brief said, HttpServletRequest request, BrowseView view) {
        String struck = request.getParameter(Addressing.STRUCK);
        return Addressing.of(place.addresses(), said, struck == null ? "" : struck, view);
    }

    private static Brief painted(Brief brief, HttpServletRequest request) {
        Optional<WeekHours> close = hours(request.getParameter("close"));
        Optional<WeekHours> reopen = hours(request.getParameter("reopen"));
        Brief closed = close.map(hours -> WeekPainting.close(brief, hours)).orElse(brief);
        return reopen.map(hours -> WeekPainting.open(closed, hours)).orElse(closed);
    }

    private static Optional<WeekHours> hours(@Nullable String stretches) {
        return Optional.ofNullable(stretches).stream()
                .flatMap(text -> Arrays.stream(text.split(",")))
                .flatMap(stretch -> WeekHours.parse(stretch).stream())
                .reduce(WeekHours::plus);
    }

    private static List<String> dropped(Place before, Brief old, TermChange change, Preferences preferences) {
        if (change.dropped().isEmpty()) {
            return List.of();
        }
        Wording wording = preferences.wording(before.vocabulary());
        String dropped = change.dropped().stream()
                .map(condition -> Words.quoted(condition.phrase(wording).standingAlone()))
                .collect(Collectors.joining(", "));
        return List.of("Your conditions from %s: %s. Left out, because they do not apply here: %s."
                .formatted(
                        before.name(),
                        change.kept().isEmpty()
                                ? "nothing"
                                : Words.count(change.kept().conditions().size(), "condition") + " of "
                                        + old.conditions().size(),
                        dropped));
    }
}
