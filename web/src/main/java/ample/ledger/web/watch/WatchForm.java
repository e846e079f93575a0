package ample.ledger.web.watch;

import ample.ledger.core.watch.Tell;
import ample.ledger.core.watch.Watch;
import ample.ledger.core.watch.Watched;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.Kept;
import jakarta.servlet.http.HttpServletRequest;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.ui.Model;

/**
 * What a page asks about watching a section or a course.
 *
 * @param term code of its term
 * @param line entry number of a section; empty for a course
 * @param course code of a course; empty for a section
 * @param watched whether it is watched
 * @param student whether who looks has signed in as a student; others cannot be told anything
 * @param seats how many seats have to be open
 * @param back the address of the page
 */
public record WatchForm(
        String term,
        String line,
        String course,
        boolean watched,
        boolean student,
        List<Choice> choices,
        int seats,
        String back) {

    /** What a watch tells, until a student chooses. */
    static final Set<Tell> USUAL = EnumSet.of(Tell.SEAT, Tell.CHANGED);

    /** One thing that a watch can tell. */
    public record Choice(String code, String label, boolean chosen) {

        /** Whether it asks for a number of seats. */
        public boolean ofSeats() {
            return code.equals(WatchForm.code(Tell.SEAT));
        }
    }

    /** Puts it into the model of a page about {@code about}. */
    public static void put(Model model, HttpServletRequest request, Kept kept, Watched about, String back) {
        Optional<Watch> watch = kept.watch(about);
        Set<Tell> tells = watch.map(Watch::tells).orElse(USUAL);
        model.addAttribute(
                "watch",
                new WatchForm(
                        about.term().text(),
                        about instanceof Watched.OfSection section
                                ? section.entry().digits()
                                : "",
                        about instanceof Watched.OfCourse course
                                ? course.course().toString()
                                : "",
                        watch.isPresent(),
                        Keeping.studentName(request).isPresent(),
                        Watch.possible(about).stream()
                                .map(tell -> new Choice(code(tell), label(tell), tells.contains(tell)))
                                .toList(),
                        watch.map(Watch::seats).orElse(1),
                        back));
    }

    static String code(Tell tell) {
        return tell.name().toLowerCase(Locale.ROOT);
    }

    static String label(Tell tell) {
        return switch (tell) {
            case SEAT -> "seats open";
            case CHANGED -> "anything changes";
            case CANCELLED -> "it is cancelled";
            case NAMED -> "a person or a room is named";
            case FITS -> "something new fits";
        };
    }
}
