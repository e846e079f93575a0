package ample.ledger.web.guest;

import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.web.term.Local;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Takes what visitors want to have kept, and goes back to where they were. */
@Controller
class KeptController {

    private static final int MOST_AT_ONCE = 100;

    /** @param line entry numbers, each by itself or with commas between */
    @PostMapping("/{term}/week/add")
    String add(
            @PathVariable String term,
            @RequestParam(defaultValue = "") List<String> line,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request) {
        Kept.change(request, kept -> kept.adding(term, entries(line)));
        return "redirect:" + Local.address(back);
    }

    @PostMapping("/{term}/week/remove")
    String remove(
            @PathVariable String term,
            @RequestParam(defaultValue = "") List<String> line,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request) {
        Kept.change(request, kept -> kept.removing(term, entries(line)));
        return "redirect:" + Local.address(back);
    }

    /** @param back the address of the brief, which is kept, and gone to */
    @PostMapping("/briefs/save")
    String save(@RequestParam String name, @RequestParam String back, HttpServletRequest request) {
        Kept.change(request, kept -> kept.saving(name, Local.address(back)));
        return "redirect:" + Local.address(back);
    }

    @PostMapping("/briefs/forget")
    String forget(
            @RequestParam String name, @RequestParam(defaultValue = "/") String back, HttpServletRequest request) {
        Kept.change(request, kept -> kept.forgetting(name));
        return "redirect:" + Local.address(back);
    }

    private static List<EntryNumber> entries(List<String> lines) {
        return lines.stream()
                .flatMap(line -> Arrays.stream(line.split(",")))
                .limit(MOST_AT_ONCE)
                .flatMap(entry -> EntryNumber.parse(entry).stream())
                .toList();
    }
}
