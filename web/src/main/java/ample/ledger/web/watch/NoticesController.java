package ample.ledger.web.watch;

import ample.ledger.store.Notices;
import ample.ledger.store.PrivateAddresses;
import ample.ledger.store.PrivateAddresses.Purpose;
import ample.ledger.store.Visitors;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.LetterChoice;
import ample.ledger.web.guest.LetterChoice.NoticeKind;
import ample.ledger.web.guest.LetterChoice.Pace;
import ample.ledger.web.guest.Secrets;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.Places;
import ample.ledger.web.visit.Visits;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.server.ResponseStatusException;

/** Shows students their notices, and takes what they have seen and how they want to be told. */
@Controller
class NoticesController {

    private static final int MOST = 200;
    private static final int MOST_IN_FEED = 50;

    private final Notices notices;
    private final PrivateAddresses addresses;
    private final LetterSettings settings;
    private final Keeping keeping;
    private final Visits visits;
    private final Head head;
    private final Places places;
    private final Clock clock;

    NoticesController(
            Notices notices,
            PrivateAddresses addresses,
            LetterSettings settings,
            Keeping keeping,
            Visits visits,
            Head head,
            Places places,
            Clock clock) {
        this.notices = notices;
        this.addresses = addresses;
        this.settings = settings;
        this.keeping = keeping;
        this.visits = visits;
        this.head = head;
        this.places = places;
        this.clock = clock;
    }

    /** @param back where to go on afterwards; a page of this application */
    @GetMapping("/notices")
    String notices(
            @RequestParam(defaultValue = "/") String back,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        String leads = Local.address(back);
        head.putBeside(model, request, leads);
        model.addAttribute(
                "page",
                Keeping.studentName(request)
                        .map(student -> new NoticesPages(visits.of(request, preferences), zone())
                                .page(
                                        notices.of(Visitors.student(student), MOST),
                                        addresses
                                                .token(Visitors.student(student), Purpose.FEED)
                                                .map(token -> "/notices/feed/" + token)
                                                .orElse(""),
                                        leads))
                        .orElseGet(() -> NoticesPages.ofNobody(leads)));
        return "notices/page";
    }

    private ZoneId zone() {
        return places.usual()
                .map(place -> place.schedules().get(0).institution().zone())
                .orElse(ZoneOffset.UTC);
    }

    /**
     * @param id one of them
     * @param upTo all up to this one
     */
    @PostMapping("/notices/seen")
    String seen(
            @RequestParam Optional<Long> id,
            @RequestParam Optional<Long> upTo,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request) {
        Keeping.studentName(request).map(Visitors::student).ifPresent(owner -> {
            id.ifPresent(one -> notices.see(owner, List.of(one), clock.instant()));
            upTo.ifPresent(last -> notices.seeUpTo(owner, last, clock.instant()));
        });
        return back(back);
    }

    /** @param said how soon each kind of notice is to come by letter */
    @PostMapping("/notices/letters")
    String letters(
            @RequestParam Map<String, String> said,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request) {
        if (Keeping.studentName(request).isPresent()) {
            Map<NoticeKind, Pace> paces = new EnumMap<>(NoticeKind.class);
            for (NoticeKind kind : NoticeKind.values()) {
                for (Pace pace : Pace.values()) {
                    if (pace.name()
                            .toLowerCase(Locale.ROOT)
                            .equals(said.get(kind.name().toLowerCase(Locale.ROOT)))) {
                        paces.put(kind, pace);
                    }
                }
            }
            keeping.change(request, kept -> kept.with(new LetterChoice(paces)));
        }
        return back(back);
    }

    /** Makes the private address of a feed, or withdraws it. */
    @PostMapping("/notices/feed")
    String feed(
            @RequestParam boolean wanted, @RequestParam(defaultValue = "/") String back, HttpServletRequest request) {
        Keeping.studentName(request).map(Visitors::student).ifPresent(owner -> {
            if (wanted) {
                addresses.make(owner, Purpose.FEED, Secrets.next());
            } else {
                addresses.withdraw(owner, Purpose.FEED);
            }
        });
        return back(back);
    }

    /** The notices of whoever has given this address away, for programs that read feeds. */
    @GetMapping(value = "/notices/feed/{token}", produces = "application/atom+xml;charset=UTF-8")
    @ResponseBody
    String feed(@PathVariable String token) {
        String owner = addresses
                .owner(Purpose.FEED, token)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return NoticeFeed.write(
                notices.of(owner, MOST_IN_FEED),
                settings.root(),
                clock.instant().toString());
    }

    private static String back(String back) {
        return "redirect:" + Addresses.with("/notices", "back", Local.address(back));
    }
}
