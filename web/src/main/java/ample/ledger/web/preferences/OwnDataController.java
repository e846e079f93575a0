package ample.ledger.web.preferences;

import ample.ledger.store.Retention;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.head.Head;
import ample.ledger.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What is kept about who asks: to be seen, taken away and deleted. */
@Controller
class OwnDataController {

    private static final String NOTHING = "{}";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Keeping keeping;
    private final Retention retention;
    private final Head head;

    OwnDataController(Keeping keeping, Retention retention, Head head) {
        this.keeping = keeping;
        this.retention = retention;
        this.head = head;
    }

    @GetMapping("/kept")
    String page(HttpServletRequest request, Model model) {
        Kept kept = keeping.needed(request);
        head.putBeside(model, request, "/kept");
        boolean student = Keeping.studentName(request).isPresent();
        model.addAttribute("student", student);
        model.addAttribute("howLong", student ? ofStudents() : ofGuests());
        model.addAttribute(
                "kept", words(kept, JSON.readTree(keeping.all(request).orElse(NOTHING))));
        return "preferences/kept";
    }

    private String ofStudents() {
        return retention.students().isZero()
                ? "It is kept until you delete it."
                : "It is kept until you delete it, and for %s at most after you signed in or changed something last."
                        .formatted(days(retention.students()));
    }

    private String ofGuests() {
        return "It is kept for %s after your last visit, under a number that only this browser knows."
                .formatted(days(retention.guests()));
    }

    private static String days(Duration time) {
        return Words.count(Math.toIntExact(time.toDays()), "day");
    }

    /** How much there is of what everybody may make, and of the rest only what there is. */
    private static List<String> words(Kept kept, JsonNode all) {
        List<String> words = new ArrayList<>();
        words.add(Words.count(kept.plans().plans().size(), "plan") + ", with the changes that can be taken back.");
        words.add(Words.count(kept.briefs().size(), "saved brief") + ".");
        words.add(Words.count(kept.watches().size(), "watch", "watches") + ".");
        if (kept.record().said()) {
            words.add("What you typed of your record.");
        }
        add(
                words,
                all.path("shown to others").size(),
                "plan that is shown to others",
                "plans that are shown to others");
        add(words, all.path("notices").size(), "notice", "notices");
        add(words, all.path("letters").size(), "letter, without what it said", "letters, without what they said");
        add(words, all.path("private addresses").size(), "private address", "private addresses");
        add(words, all.path("not answered yet").size(), "submission not answered yet", "submissions not answered yet");
        if (!all.path("said by the registrar").isEmpty()) {
            words.add(
                    "What the registrar said last of your record and your registration, to find out what is different the next time.");
        }
        return words;
    }

    private static void add(List<String> words, int count, String one, String several) {
        if (count > 0) {
            words.add(Words.count(count, one, several) + ".");
        }
    }

    /** All of it in one file. */
    @GetMapping(path = "/kept/all.json", produces = "application/json;charset=UTF-8")
    ResponseEntity<String> all(HttpServletRequest request) {
        keeping.needed(request);
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"kept.json\"")
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(keeping.all(request).orElse(NOTHING));
    }

    /** @param sure "yes" where the box is ticked */
    @PostMapping("/kept/delete")
    String delete(
            @RequestParam(defaultValue = "") String sure, HttpServletRequest request, RedirectAttributes redirect) {
        if (!sure.equals("yes")) {
            redirect.addFlashAttribute("told", "Nothing was deleted. Tick the box if you are sure.");
            return "redirect:/kept";
        }
        keeping.delete(request);
        redirect.addFlashAttribute("told", "All of it is deleted.");
        return "redirect:/kept";
    }
}
