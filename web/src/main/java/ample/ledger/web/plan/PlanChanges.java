package ample.ledger.web.plan;

import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.text.PlainText;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.Picked;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.Terms;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How the forms of My week change a plan: as the visitor saw it, or not at all. */
@Component
class PlanChanges {

    /** Of the page that is gone to: sentences that say what was wrong, or what came of it. */
    static final String TOLD = "told";

    /** A plan of sixty sections and sixty busy times has a fifth of it. */
    static final int LARGEST_PLAN = 64 * 1024;

    static final int LARGEST_CALENDAR = 1024 * 1024;

    private static final int MOST_AT_ONCE = 100;
    private static final int LONGEST_NAME = 80;
    private static final int MOST_SENTENCES = 12;

    private final Keeping keeping;
    private final Terms terms;
    private final Places places;

    PlanChanges(Keeping keeping, Terms terms, Places places) {
        this.keeping = keeping;
        this.terms = terms;
        this.places = places;
    }

    /**
     * What every form sends beside what it is for.
     *
     * @param version of the plans that the page showed; empty where it showed none
     * @param back the page that is gone to; one of this application
     */
    record Sent(String version, String back) {

        Sent(@Nullable String version, @Nullable String back) {
            this.version = version == null || !version.matches("[0-9]{1,18}") ? "" : version;
            this.back = Local.address(back == null ? "/" : back);
        }
    }

    /** Changes the current plan of the season of {@code term}, and goes back. */
    String change(
            HttpServletRequest request,
            TermCode term,
            Sent sent,
            RedirectAttributes told,
            String words,
            UnaryOperator<Plan> change) {
        return changeBook(request, sent, told, words, book -> book.changing(season(term), words, change));
    }

    /** Changes the plans and goes back; where another window has changed them since, nothing is changed and that is said. */
    String changeBook(
            HttpServletRequest request,
            Sent sent,
            RedirectAttributes told,
            String words,
            UnaryOperator<PlanBook> change) {
        if (sent.version().isEmpty()) {
            keeping.changePlans(request, change);
        } else if (keeping.changePlans(request, Long.parseLong(sent.version()), change)
                .isEmpty()) {
            List<PlanBook.Change> past = keeping.of(request).plans().past();
            String last = past.isEmpty()
                    ? ""
                    : " The last change was: %s."
                            .formatted(past.get(past.size() - 1).words());
            return tell(
                    told,
                    sent,
                    "This plan was changed in another window.%s Your change (%s) was not made. Check the plan as it is now, and try again if you still want to."
                            .formatted(last, words));
        }
        return "redirect:" + sent.back();
    }

    /** Goes back, and says something there: the first of many sentences, and how many more there are. */
    static String tell(RedirectAttributes told, Sent sent, String... sentences) {
        told.addFlashAttribute(TOLD, Listed.first(List.of(sentences), MOST_SENTENCES, "more of the kind"));
        return "redirect:" + sent.back();
    }

    SeasonCode season(TermCode term) {
        return terms.get(term).schedule().term().season().code();
    }

    /** The sections that a form sends; what is of no term that is posted is passed over. */
    List<Pick> picks(TermCode term, List<String> line, Standing standing) {
        return Picked.of(term, line).stream()
                .limit(MOST_AT_ONCE)
                .flatMap(picked -> EntryNumber.parse(picked.entry()).stream()
                        .map(entry -> new Pick(picked.term(), entry, standing)))
                .filter(pick -> places.schedules().schedule(pick.term()).isPresent())
                .toList();
    }

    String names(List<Pick> picks) {
        return picks.stream()
                .map(pick -> places.schedules()
                        .find(pick.term(), pick.entry())
                        .map(Object::toString)
                        .orElse(pick.entry().digits()))
                .collect(Collectors.joining(", "));
    }

    /** What an uploaded file says; empty where it is longer than {@code largest} bytes. */
    static Optional<String> text(MultipartFile file, int largest) throws IOException {
        return file.getSize() > largest
                ? Optional.empty()
                : Optional.of(new String(file.getBytes(), StandardCharsets.UTF_8));
    }

    static String name(MultipartFile file) {
        String name = file.getOriginalFilename();
        String plain = name == null ? "" : PlainText.onOneLine(name).strip();
        return plain.isEmpty() ? "the file" : plain.substring(0, Math.min(plain.length(), LONGEST_NAME));
    }
}
