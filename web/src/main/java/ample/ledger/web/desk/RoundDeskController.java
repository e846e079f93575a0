package ample.ledger.web.desk;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.round.RoundFile;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.schedule.WishRound;
import ample.ledger.store.DeskActs;
import ample.ledger.web.head.Head;
import ample.ledger.web.term.Terms;
import ample.ledger.web.words.RoundWords;
import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** How wish rounds stand, for the desk. */
@Controller
class RoundDeskController {

    private final Registrar registrar;
    private final Terms terms;
    private final Head head;
    private final Clock clock;
    private final DeskActs acts;

    RoundDeskController(Registrar registrar, Terms terms, Head head, Clock clock, DeskActs acts) {
        this.acts = acts;
        this.registrar = registrar;
        this.terms = terms;
        this.head = head;
        this.clock = clock;
    }

    /** The round as it would come out, or as it did, without names. */
    @GetMapping("/desk/rounds/{term}/{code}")
    String round(@PathVariable TermCode term, @PathVariable String code, HttpServletRequest request, Model model) {
        Schedule schedule = terms.get(term).schedule();
        WishRound round = schedule.round(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        head.putBeside(model, request, "/desk/rounds/" + term + "/" + code);
        LocalDateTime now =
                LocalDateTime.ofInstant(clock.instant(), schedule.institution().zone());
        String period = new RoundWords(round).period(now);
        RoundDeskPage page;
        try {
            page = registrar
                    .round(term.text(), code)
                    .map(report -> RoundDeskPage.of(schedule, round, report, period))
                    .orElseGet(
                            () -> RoundDeskPage.unknown(round, period + " The registrar knows nothing of this round."));
        } catch (RegistrarAwayException away) {
            page = RoundDeskPage.unknown(round, period + " The registrar does not answer right now.");
        }
        model.addAttribute("page", page);
        return "desk/round";
    }

    /** All that the places were distributed by, to be distributed again by anybody. */
    @GetMapping("/desk/rounds/{term}/{code}/file.json")
    ResponseEntity<RoundFile> file(@PathVariable TermCode term, @PathVariable String code, Principal desk) {
        Optional<RoundFile> file = registrar.roundFile(term.text(), code);
        file.ifPresent(known -> acts.note(new DeskActs.Act(
                clock.instant(), desk.getName(), "saved the file of the round %s of %s".formatted(code, term))));
        return file.map(known -> ResponseEntity.ok()
                        .header(
                                HttpHeaders.CONTENT_DISPOSITION,
                                "attachment; filename=\"%s-%s.json\"".formatted(term, known.round()))
                        .body(known))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
