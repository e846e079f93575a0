package ample.ledger.web.desk;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.edition.PostingChecks;
import ample.ledger.core.edition.Warning;
import ample.ledger.core.exchange.BundleFormat;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.BundleWriter;
import ample.ledger.core.exchange.ExampleBundle;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.DeskActs;
import ample.ledger.store.Editions;
import ample.ledger.store.PostingUnderWayException;
import ample.ledger.store.Uploads;
import ample.ledger.web.head.Head;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.lang.ref.SoftReference;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Answers the addresses of the posting desk. */
@Controller
@ConditionalOnWebApplication
class DeskController {

    private static final int LONGEST_NOTE = 200;
    private static final int MOST_TERMS = 100;

    private static final int MOST_ACTS = 20;

    private final Editions editions;
    private final Uploads uploads;
    private final Terms terms;
    private final Clock clock;
    private final DeskActs acts;

    private final Cache<Long, List<Warning>> warnings =
            Caffeine.newBuilder().maximumSize(MOST_TERMS).build();

    private volatile SoftReference<@Nullable UploadedBundle> lastRead = new SoftReference<>(null);

    private final Head head;
    private final Places places;

    DeskController(
            Editions editions, Uploads uploads, Terms terms, Clock clock, DeskActs acts, Head head, Places places) {
        this.acts = acts;
        this.head = head;
        this.places = places;
        this.editions = editions;
        this.uploads = uploads;
        this.terms = terms;
        this.clock = clock;
    }

    @GetMapping("/desk")
    String desk(HttpServletRequest request, Model model) {
        head.putBeside(model, request, "/desk");
        model.addAttribute(
                "page", DeskPages.desk(terms.all(), editions::history, this::warnings, acts.latest(MOST_ACTS)));
        return "desk/page";
    }

    /** A small bundle that is complete, the descriptor among its files. */
    @GetMapping("/desk/example-bundle.zip")
    void example(HttpServletResponse response) throws IOException {
        response.setContentType("application/zip");
        response.setHeader("Content-Disposition", "attachment; filename=\"example-bundle.zip\"");
        try (ZipOutputStream zip = new ZipOutputStream(response.getOutputStream())) {
            for (Map.Entry<String, String> file : ExampleBundle.files().entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
    }

    /** The descriptor that every bundle carries. */
    @GetMapping(value = "/desk/datapackage.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String descriptor() {
        return BundleFormat.descriptorText();
    }

    /** The format for people: every table and column. */
    @GetMapping("/desk/format")
    String format(HttpServletRequest request, Model model) {
        head.putBeside(model, request, "/desk/format");
        model.addAttribute("tables", BundleFormat.current().tables());
        return "desk/format";
    }

    @PostMapping("/desk/bundles")
    String upload(@RequestParam MultipartFile bundle, RedirectAttributes told) throws IOException {
        if (bundle.isEmpty()) {
            return back(told, "/desk", "No file was chosen. Choose the zip file of a bundle, then check it.");
        }
        String name = Optional.ofNullable(bundle.getOriginalFilename()).orElse("bundle.zip");
        String id = uploads.keep(name.substring(0, Math.min(name.length(), 100)), bundle.getBytes(), clock.instant());
        return "redirect:/desk/bundles/" + id;
    }

    @GetMapping("/desk/bundles/{id}")
    String check(@PathVariable String id, HttpServletRequest request, Model model) throws IOException {
        head.putBeside(model, request, "/desk/bundles/" + id);
        UploadedBundle upload = read(id);
        List<Edition> history = upload.bundle()
                .map(bundle -> editions.history(bundle.schedule().term().code()))
                .orElse(List.of());
        Optional<Edition> current = upload.bundle()
                .flatMap(bundle -> editions.current(bundle.schedule().term().code()));
        int next = history.isEmpty() ? 1 : history.get(0).number() + 1;
        model.addAttribute("page", DeskPages.check(upload, current, next));
        return "desk/check";
    }

    @PostMapping("/desk/bundles/{id}/post")
    String post(@PathVariable String id, @RequestParam String note, Principal desk, RedirectAttributes told)
            throws IOException {
        UploadedBundle upload = read(id);
        if (upload.bundle().isEmpty()) {
            return "redirect:/desk/bundles/" + id;
        }
        ScheduleBundle bundle = upload.bundle().get();
        String words = note.strip();
        Editions.Posting posting = editions.post(
                bundle, words.substring(0, Math.min(words.length(), LONGEST_NOTE)), desk.getName(), clock.instant());
        uploads.putAway(id);
        lastRead.clear();
        terms.refresh();
        acts.note(new DeskActs.Act(
                clock.instant(),
                desk.getName(),
                posting.posted()
                        ? "posted edition %d of %s"
                                .formatted(
                                        posting.edition().number(),
                                        posting.edition().term())
                        : "posted what edition %d of %s is already"
                                .formatted(
                                        posting.edition().number(),
                                        posting.edition().term())));
        return back(
                told,
                "/desk/terms/" + posting.edition().term(),
                posting.posted()
                        ? "Edition %d is posted and current."
                                .formatted(posting.edition().number())
                        : "Edition %d is the same already. Nothing has changed."
                                .formatted(posting.edition().number()));
    }

    @PostMapping("/desk/bundles/{id}/put-away")
    String putAway(@PathVariable String id, RedirectAttributes told) {
        uploads.putAway(id);
        return back(told, "/desk", "The upload was discarded. Nothing has changed.");
    }

    @GetMapping("/desk/terms/{term}")
    String history(@PathVariable TermCode term, HttpServletRequest request, Model model) {
        head.putWithoutVisitor(model, request, places.place(term), Brief.EVERYTHING, "/desk/terms/" + term);
        model.addAttribute("page", history(terms.get(term)));
        return "desk/history";
    }

    private HistoryPage history(PostedTerm posted) {
        List<Warning> found = warnings(posted);
        return DeskPages.history(
                posted,
                editions.history(posted.edition().term()),
                found,
                found.isEmpty() ? new BundleTables(Map.of()) : editions.tables(posted.edition()));
    }

    /** Those of a current edition, which never changes: they are looked for once. */
    private List<Warning> warnings(PostedTerm posted) {
        return warnings.get(posted.edition().id(), absent -> PostingChecks.warningsOf(posted.schedule()));
    }

    /** The edition as a bundle again, which reads back to the same edition. */
    @GetMapping("/desk/terms/{term}/editions/{number}.zip")
    void takeOut(@PathVariable TermCode term, @PathVariable int number, HttpServletResponse response)
            throws IOException {
        Optional<Edition> edition = editions.numbered(term, number);
        if (edition.isEmpty()) {
            response.sendError(HttpStatus.NOT_FOUND.value());
            return;
        }
        response.setContentType("application/zip");
        response.setHeader("Content-Disposition", "attachment; filename=\"%s-edition-%d.zip\"".formatted(term, number));
        BundleWriter.toZip(editions.tables(edition.get()), response.getOutputStream());
    }

    @PostMapping("/desk/terms/{term}/editions/{number}/current")
    String makeCurrent(@PathVariable TermCode term, @PathVariable int number, Principal desk, RedirectAttributes told) {
        Optional<Edition> edition = editions.makeCurrent(term, number);
        edition.ifPresent(made -> acts.note(new DeskActs.Act(
                clock.instant(), desk.getName(), "made edition %d of %s current".formatted(number, term))));
        terms.refresh();
        return back(
                told,
                "/desk/terms/" + term,
                edition.isPresent()
                        ? "Edition %d is current again.".formatted(number)
                        : "There is no edition %d; nothing has changed.".formatted(number));
    }

    @ExceptionHandler
    String underWay(PostingUnderWayException e, RedirectAttributes told) {
        return back(told, "/desk", Objects.requireNonNull(e.getMessage()));
    }

    @ExceptionHandler
    String tooLarge(MaxUploadSizeExceededException e, RedirectAttributes told) {
        return back(
                told, "/desk", "The file is larger than 64 MB, the most for a zipped bundle. Nothing of it was kept.");
    }

    @ExceptionHandler
    String gone(UploadGoneException e, RedirectAttributes told) {
        return back(
                told, "/desk", "That upload was posted or discarded already. Upload the bundle again if you need it.");
    }

    /** Looked over and then posted, a bundle is read once, unless memory is short meanwhile. */
    private UploadedBundle read(String id) throws IOException {
        Uploads.Upload upload = find(id);
        UploadedBundle known = lastRead.get();
        if (known != null && known.id().equals(id)) {
            return known;
        }
        UploadedBundle read = UploadedBundle.read(upload);
        lastRead = new SoftReference<>(read);
        return read;
    }

    private Uploads.Upload find(String id) {
        return uploads.find(id).orElseThrow(UploadGoneException::new);
    }

    private static String back(RedirectAttributes told, String address, String message) {
        told.addFlashAttribute("told", message);
        return "redirect:" + address;
    }

    /** That an upload is not there any more. */
    private static final class UploadGoneException extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }
}
