package ample.ledger.web.watch;

import ample.ledger.store.Letters;
import ample.ledger.store.PrivateAddresses;
import ample.ledger.store.PrivateAddresses.Purpose;
import ample.ledger.web.guest.KeptStudents;
import ample.ledger.web.guest.LetterChoice;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.server.ResponseStatusException;

/** Stops letters by the secret address that each of them has: without signing in, and nothing else. RFC 8058. */
@Controller
class StopLettersController {

    private final Letters letters;
    private final PrivateAddresses addresses;
    private final KeptStudents kept;

    StopLettersController(Letters letters, PrivateAddresses addresses, KeptStudents kept) {
        this.addresses = addresses;
        this.letters = letters;
        this.kept = kept;
    }

    /** Asks first: programs that look through letters follow their links. */
    @GetMapping("/letters/stop/{token}")
    String ask(@PathVariable String token, Model model) {
        model.addAttribute("token", token);
        model.addAttribute("stopped", owner(token).filter(this::hasStopped).isPresent());
        return "notices/stop";
    }

    private boolean hasStopped(String owner) {
        return kept.of(List.of(owner)).values().stream()
                .anyMatch(kept -> kept.letters().equals(LetterChoice.NONE));
    }

    private Optional<String> owner(String token) {
        Optional<String> owner = addresses.owner(Purpose.STOP, token);
        if (owner.isEmpty()) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return owner;
    }

    @PostMapping("/letters/stop/{token}")
    String stop(@PathVariable String token, Model model) {
        owner(token).ifPresent(owner -> {
            kept.change(owner, some -> some.with(LetterChoice.NONE));
            letters.cancel(owner);
        });
        model.addAttribute("token", token);
        model.addAttribute("stopped", true);
        return "notices/stop";
    }
}
