package ample.ledger.web.guest;

import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.Picked;
import jakarta.servlet.http.HttpServletRequest;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Takes what visitors want to have kept, and goes back to where they were. */
@Controller
class KeptController {

    private static final int MOST_AT_ONCE = 100;

    /**
     * @param line sections, as {@link Picked} has them
     * @param list whether {@code back} is a list that can be gone back to at one of its lines
     */
    @PostMapping("/{term}/week/add")
    String add(
            @PathVariable String term,
            @RequestParam(defaultValue = "") List<String> line,
            @RequestParam(defaultValue = "/") String back,
            @RequestParam(defaultValue = "false") boolean list,
            HttpServletRequest request) {
        Map<String, List<EntryNumber>> entries = entries(term, line);
        Kept.change(request, kept -> {
            Kept after = kept;
            for (Map.Entry<String, List<EntryNumber>> some : entries.entrySet()) {
                after = after.adding(some.getKey(), some.getValue());
            }
            return after;
        });
        List<EntryNumber> added =
                entries.values().stream().flatMap(List::stream).toList();
        if (list && added.size() == 1) {
            EntryNumber entry = added.get(0);
            return "redirect:" + Addresses.with(Local.address(back), "line", entry.digits()) + "#e" + entry;
        }
        return "redirect:" + Local.address(back);
    }

    @PostMapping("/{term}/week/remove")
    String remove(
            @PathVariable String term,
            @RequestParam(defaultValue = "") List<String> line,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request) {
        Kept.change(request, kept -> kept.removing(term, entries(term, line).getOrDefault(term, List.of())));
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

    /** By the codes of their terms. */
    private static Map<String, List<EntryNumber>> entries(String term, List<String> line) {
        return Picked.of(term, line).stream()
                .limit(MOST_AT_ONCE)
                .filter(picked -> EntryNumber.parse(picked.entry()).isPresent())
                .collect(Collectors.groupingBy(
                        Picked::term,
                        LinkedHashMap::new,
                        Collectors.mapping(
                                picked -> EntryNumber.parse(picked.entry()).orElseThrow(), Collectors.toList())));
    }
}
