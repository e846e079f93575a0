package ample.ledger.web.preferences;

import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.head.Head;
import ample.ledger.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
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

/** What is kept about who asks: to be seen, taken away and deleted. */
@Controller
class OwnDataController {

    private final Keeping keeping;
    private final Head head;

    OwnDataController(Keeping keeping, Head head) {
        this.keeping = keeping;
        this.head = head;
    }

    @GetMapping("/kept")
    String page(HttpServletRequest request, Model model) {
        Kept kept = keeping.needed(request);
        boolean student = Keeping.studentName(request).isPresent();
        head.putBeside(model, request, "/kept");
        model.addAttribute("student", student);
        model.addAttribute("kept", words(kept, student));
        return "preferences/kept";
    }

    private static List<String> words(Kept kept, boolean student) {
        List<String> words = new ArrayList<>();
        words.add(Words.count(kept.plans().plans().size(), "plan") + ", with the changes that can be taken back.");
        words.add(Words.count(kept.briefs().size(), "saved brief") + ".");
        if (student) {
            words.add(Words.count(kept.watches().size(), "watch", "watches")
                    + ", your choice of letters, and notices and letters that were made for you.");
            words.add(
                    "What the registrar said last of your record and your registration, to find out what is different the next time.");
        } else {
            words.add(kept.record().said() ? "The record that you typed." : "No record.");
        }
        return words;
    }

    /** All of it in one file. */
    @GetMapping(path = "/kept/all.json", produces = "application/json;charset=UTF-8")
    ResponseEntity<String> all(HttpServletRequest request) {
        keeping.needed(request);
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"kept.json\"")
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(keeping.all(request).orElse("{}"));
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
