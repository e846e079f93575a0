package ample.ledger.web.record;

import ample.ledger.core.requirement.RecordLines;
import ample.ledger.core.schedule.Programme;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.text.NameOrder;
import ample.ledger.web.guard.Limits;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.KeptRecord;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.FromRegistrar;
import ample.ledger.web.visit.Visits;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Shows a record: a student's as the registrar has it, with what they suppose beside it; and a guest's as they typed it. */
@Controller
class RecordController {

    /** What is kept of one answer. */
    private static final int LARGEST_FILE = 8_000;

    private final Terms terms;
    private final Keeping keeping;
    private final Limits limits;

    private final Head head;
    private final Visits visits;

    RecordController(Terms terms, Keeping keeping, Limits limits, Head head, Visits visits) {
        this.visits = visits;
        this.head = head;
        this.limits = limits;
        this.keeping = keeping;
        this.terms = terms;
    }

    /** @param back where to go on afterwards; a page of this application */
    @GetMapping("/record")
    String record(@RequestParam(defaultValue = "/") String back, HttpServletRequest request, Model model) {
        KeptRecord record = keeping.needed(request).record();
        return page(record, faults(record, posted()), back, request, model);
    }

    /** Forgets what was typed: a guest's record, or what a student supposes. */
    @PostMapping("/record/forget")
    String forget(@RequestParam(defaultValue = "/") String back, HttpServletRequest request) {
        keeping.change(request, kept -> kept.with(KeptRecord.NONE));
        return "redirect:" + Addresses.with("/record", "back", Local.address(back));
    }

    /**
     * Answers the offer of what a student typed before signing in.
     *
     * @param take whether it is supposed beside the record from now on; otherwise it is forgotten
     */
    @PostMapping("/record/offered")
    String offered(
            @RequestParam(defaultValue = "false") boolean take,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request) {
        keeping.change(request, kept -> take ? kept.takingOver() : kept.offeringNothing());
        return "redirect:" + Addresses.with("/record", "back", Local.address(back));
    }

    /**
     * Keeps what can be read. What cannot be read of the courses is said, and stays in its field.
     *
     * @param file a list of courses and grades as CSV, added to what was typed
     */
    @PostMapping("/record")
    String keep(
            @RequestParam(defaultValue = "") String courses,
            @RequestParam(defaultValue = "") String credits,
            @RequestParam(defaultValue = "") String level,
            @RequestParam(defaultValue = "") String placements,
            @RequestParam(defaultValue = "") String programme,
            @RequestParam(defaultValue = "/") String back,
            @RequestParam(required = false) @Nullable MultipartFile file,
            HttpServletRequest request,
            Model model)
            throws IOException {
        if (file != null && !file.isEmpty()) {
            limits.count(Limits.Act.UPLOAD, request);
        }
        boolean tooLarge = file != null && file.getSize() > LARGEST_FILE;
        String listed = file == null || tooLarge ? "" : new String(file.getBytes(), StandardCharsets.UTF_8);
        KeptRecord record = new KeptRecord(
                listed.isBlank() ? courses : (courses.strip() + "\n" + listed).strip(),
                credits,
                level,
                placements,
                programme);
        boolean official = registrar(request).file().isPresent();
        keeping.change(request, kept -> kept.with(official ? record.coursesAlone() : record));
        List<String> faults = faults(record, posted());
        if (tooLarge) {
            faults.add("The file is larger than any list of courses: 8 KB at most. It was not used.");
        }
        return faults.isEmpty() ? "redirect:" + Local.address(back) : page(record, faults, back, request, model);
    }

    private String page(KeptRecord record, List<String> faults, String back, HttpServletRequest request, Model model) {
        head.putBeside(model, request, Local.address(back));
        FromRegistrar registrar = registrar(request);
        model.addAttribute("away", registrar.awaySince().isPresent());
        model.addAttribute("record", record);
        model.addAttribute("offered", keeping.of(request).offered().inWords());
        model.addAttribute("back", Local.address(back));
        model.addAttribute("faults", faults);
        model.addAttribute("programmes", programmes());
        model.addAttribute(
                "preferencesAddress", Addresses.with("/preferences", "back", Addresses.with("/record", "back", back)));
        List<Schedule> posted = posted();
        registrar
                .file()
                .ifPresent(file ->
                        model.addAttribute("own", new OwnRecordWords(file, posted).ofOneself(keeping.of(request))));
        return registrar.file().isPresent() ? "record/own" : "record/page";
    }

    private FromRegistrar registrar(HttpServletRequest request) {
        return visits.of(request, Preferences.USUAL).registrar();
    }

    private Locale language() {
        return posted().stream()
                .findFirst()
                .map(schedule -> schedule.institution().language())
                .orElse(Locale.ENGLISH);
    }

    /** Those of all terms posted, each once, by name. */
    private List<Programme> programmes() {
        return posted().stream()
                .flatMap(schedule -> schedule.lists().programmes().stream())
                .distinct()
                .sorted(Comparator.comparing(Programme::name, NameOrder.of(language())))
                .toList();
    }

    private List<Schedule> posted() {
        return terms.all().stream().map(PostedTerm::schedule).toList();
    }

    private static List<String> faults(KeptRecord record, List<Schedule> posted) {
        List<String> faults =
                new ArrayList<>(new RecordLines(posted).read(record.courses()).faults());
        if (!record.credits().matches("[0-9]{0,3}")) {
            faults.add("Credits earned are a whole number up to 999, not “%s”.".formatted(record.credits()));
        }
        if (!record.level().matches("[1-9]?")) {
            faults.add("The year of study is a number from 1 to 9, not “%s”.".formatted(record.level()));
        }
        return faults;
    }
}
