package ample.ledger.web.head;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.web.term.Place;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The address of the whole site. */
@Controller
class HomeController {

    private final LastPlace lastPlace;

    HomeController(LastPlace lastPlace) {
        this.lastPlace = lastPlace;
    }

    /** Leads to where the visitor was last, and otherwise to the term that matters most now. */
    @GetMapping("/")
    String home(HttpServletRequest request) {
        Optional<Place> place = lastPlace.of(request);
        return place.map(found -> "redirect:" + found.addresses().browse(Brief.EVERYTHING))
                .orElse("trouble/nothing-posted");
    }
}
