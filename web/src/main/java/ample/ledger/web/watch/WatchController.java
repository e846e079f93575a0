package ample.ledger.web.watch;

import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.watch.Tell;
import ample.ledger.core.watch.Watch;
import ample.ledger.core.watch.Watched;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.Picked;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.UnknownTermException;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Puts watches on sections, courses and saved briefs, and ends them. Who is no student yet signs in first. */
@Controller
class WatchController {

    private final Keeping keeping;
    private final Places places;

    WatchController(Keeping keeping, Places places) {
        this.keeping = keeping;
        this.places = places;
    }

    /**
     * @param line sections, as {@link Picked} reads them
     * @param course the code of a course, however it is written; empty for none
     * @param tell what to tell; what is usual where nothing is said
     * @param seats how many seats have to be open
     */
    @PostMapping("/{term}/watch")
    String watch(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") List<String> line,
            @RequestParam(defaultValue = "") String course,
            @RequestParam(defaultValue = "") List<String> tell,
            @RequestParam(defaultValue = "1") String seats,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request) {
        Set<Tell> asked = Arrays.stream(Tell.values())
                .filter(one -> tell.contains(WatchForm.code(one)))
                .collect(Collectors.toSet());
        Set<Tell> tells = asked.isEmpty() ? WatchForm.USUAL : asked;
        int wanted = number(seats);
        return changed(request, back, kept -> {
            Kept after = kept;
            for (Watched about : abouts(term, line, course)) {
                after = after.watching(new Watch(about, tells, wanted));
            }
            return after;
        });
    }

    @PostMapping("/{term}/unwatch")
    String unwatch(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") List<String> line,
            @RequestParam(defaultValue = "") String course,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request) {
        return changed(request, back, kept -> {
            Kept after = kept;
            for (Watched about : abouts(term, line, course)) {
                after = after.unwatching(about);
            }
            return after;
        });
    }

    /** Begins or ends to watch a saved brief, in each of its terms. */
    @PostMapping("/briefs/watch")
    String watchBrief(
            @RequestParam String name,
            @RequestParam(defaultValue = "true") boolean watched,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request) {
        return changed(request, back, kept -> {
            Kept after = kept;
            for (Watched about : abouts(name, kept)) {
                after = watched ? after.watching(new Watch(about, Set.of(Tell.FITS), 1)) : after.unwatching(about);
            }
            return after;
        });
    }

    private String changed(HttpServletRequest request, String back, UnaryOperator<Kept> change) {
        String leads = Local.address(back);
        if (Keeping.studentName(request).isEmpty()) {
            return "redirect:" + Addresses.with("/sign-in/begin/institution", "back", leads);
        }
        keeping.change(request, change);
        return "redirect:" + leads;
    }

    /** Only what is posted: a watch on anything else would never tell. */
    private List<Watched> abouts(TermCode term, List<String> line, String course) {
        Stream<Watched> sections = Picked.of(term, line).stream()
                .flatMap(picked -> EntryNumber.parse(picked.entry()).stream()
                        .filter(entry ->
                                places.schedules().find(picked.term(), entry).isPresent())
                        .map(entry -> new Watched.OfSection(picked.term(), entry)));
        Stream<Watched> courses = places.schedules().schedule(term).stream()
                .flatMap(schedule -> schedule.courseWritten(course).stream())
                .map(found -> new Watched.OfCourse(term, found.code()));
        return Stream.concat(sections, courses).toList();
    }

    private List<Watched> abouts(String name, Kept kept) {
        return kept.briefs().stream()
                .filter(brief -> brief.name().equals(name))
                .flatMap(brief -> terms(brief.address()))
                .<Watched>map(term -> new Watched.OfBrief(term, name))
                .toList();
    }

    private Stream<TermCode> terms(String address) {
        String path = address.replaceFirst("/browse.*", "").substring(1);
        try {
            return places.at(path).terms().stream()
                    .map(posted -> posted.edition().term());
        } catch (UnknownTermException | IllegalArgumentException nowhere) {
            return Stream.of();
        }
    }

    private static int number(String text) {
        try {
            return Math.max(1, Math.min(Watch.MOST_SEATS, Integer.parseInt(text.strip())));
        } catch (NumberFormatException noNumber) {
            return 1;
        }
    }
}
