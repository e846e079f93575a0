package ample.ledger.web.trouble;

import ample.ledger.web.guard.Refusal;
import ample.ledger.web.head.Head;
import ample.ledger.web.operation.NamedRequests;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** Everything else that can go wrong with a request. */
@Controller
class TroubleController implements ErrorController {

    private static final TroublePage.WayOn HOME = TroublePage.HOME;

    private final Head head;

    TroubleController(Head head) {
        this.head = head;
    }

    @RequestMapping("${server.error.path:/error}")
    String trouble(HttpServletRequest request, HttpServletResponse response, Model model) {
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        HttpStatus status = code instanceof Integer known ? HttpStatus.resolve(known) : null;
        if (status == null) {
            // Asked for by its own address, there is no trouble to speak of.
            status = HttpStatus.NOT_FOUND;
        }
        response.setStatus(status.value());
        if (status.is5xxServerError()) {
            NamedRequests.of(request).ifPresent(name -> model.addAttribute("named", name));
        }
        head.putBeside(model, request, "/");
        model.addAttribute(
                "page",
                Refusal.of(request)
                        .map(refusal -> new TroublePage(refusal.title(), refusal.explanation(), List.of(HOME)))
                        .orElse(page(status)));
        return "trouble/page";
    }

    private static TroublePage page(HttpStatus status) {
        if (status == HttpStatus.NOT_FOUND) {
            return new TroublePage("There is no page at this address.", "It may have been mistyped.", List.of(HOME));
        }
        if (status == HttpStatus.SERVICE_UNAVAILABLE) {
            return TroublePage.AWAY;
        }
        if (status.is4xxClientError()) {
            return new TroublePage("The request was not understood.", "Nothing was changed by it.", List.of(HOME));
        }
        return new TroublePage(
                "Something went wrong on our side.",
                "Nothing of yours was lost. Try the same address again in a moment.",
                List.of(HOME));
    }
}
