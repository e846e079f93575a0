package ample.ledger.web.guest;

import ample.ledger.core.exchange.PlanJson;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.store.OwnData;
import ample.ledger.store.Shares;
import ample.ledger.store.Shares.Share;
import ample.ledger.store.Visitors;
import ample.ledger.web.database.Lookups;
import ample.ledger.web.guard.ClientAddress;
import ample.ledger.web.guard.Limits;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Keeps what visitors want to have kept, students' and guests' alike. For a visitor of whom nothing is kept nothing is
 * begun. Whoever changes something changes what is there at that moment: many changes at once come one after the other, in whatever
 * windows and on whatever instances they are made.
 */
@Component
public class Keeping {

    /** The role of who signed in as a student. */
    public static final String STUDENT = "STUDENT";

    /** The role of who advises students. */
    public static final String ADVISER = "ADVISER";

    /** Of a session that cannot be read, since the database is away. */
    public static final String AWAY_SESSION = "away";

    private static final String OF_THIS_REQUEST = Keeping.class.getName();
    private static final String FOUND = OF_THIS_REQUEST + ".found";
    private static final String AWAY = OF_THIS_REQUEST + ".away";

    private static final int MOST_SHARES = 30;

    /** Of everything that is kept for one visitor, in bytes of JSON: a dozen full plans and twenty changes to take back. */
    private static final int LARGEST = 256 * 1024;

    /** The same on a guest's first visit, before their browser has shown that it keeps the cookie. */
    private static final int LARGEST_AT_FIRST = 32 * 1024;

    private final Visitors visitors;
    private final Shares shares;
    private final OwnData ownData;
    private final Limits limits;
    private final Lookups lookups;
    private final Clock clock;

    Keeping(Visitors visitors, Shares shares, OwnData ownData, Limits limits, Lookups lookups, Clock clock) {
        this.lookups = lookups;
        this.visitors = visitors;
        this.shares = shares;
        this.ownData = ownData;
        this.limits = limits;
        this.clock = clock;
    }

    /** What is kept for who sends {@code request}: as for a new guest, where it cannot be reached for the moment. */
    public Kept of(HttpServletRequest request) {
        if (request.getAttribute(OF_THIS_REQUEST) instanceof Kept known) {
            return known;
        }
        Kept kept = Kept.NOTHING;
        try {
            kept = found(request, owner -> lookups.soon(() -> visitors.find(owner)))
                    .orElse(Kept.NOTHING);
        } catch (AwayException | DataAccessException | TransactionException away) {
            request.setAttribute(AWAY, true);
        }
        request.setAttribute(OF_THIS_REQUEST, kept);
        return kept;
    }

    /**
     * The same for a page that makes no sense without it.
     *
     * @throws AwayException where it cannot be reached for the moment
     */
    public Kept needed(HttpServletRequest request) {
        Kept kept = of(request);
        if (isAway(request)) {
            throw new AwayException();
        }
        return kept;
    }

    /** Whether something may be kept for the visitor, and could not be reached when it was looked for. */
    public static boolean isAway(HttpServletRequest request) {
        return request.getAttribute(AWAY) != null || isAway(request.getSession(false));
    }

    private static boolean isAway(@Nullable HttpSession session) {
        return session != null && session.getAttribute(AWAY_SESSION) != null;
    }

    private Optional<Kept> found(HttpServletRequest request, Function<String, Optional<Visitors.Found>> find) {
        Optional<Visitors.Found> found = owner(request).flatMap(find);
        if (found.filter(Visitors.Found::renewed).isPresent()
                && student(request).isEmpty()) {
            GuestCookie.of(request).renew();
        }
        found.ifPresent(some -> request.setAttribute(FOUND, some));
        return found.map(Visitors.Found::content).map(KeptJson::read);
    }

    /** Changes the briefs or the record that are kept. */
    public Kept change(HttpServletRequest request, UnaryOperator<Kept> change) {
        return changing(request, change);
    }

    /** Changes the plans, whatever they are meanwhile. */
    public PlanBook changePlans(HttpServletRequest request, UnaryOperator<PlanBook> change) {
        return changing(request, kept -> kept.with(change.apply(kept.plans()))).plans();
    }

    /**
     * Changes the plans as somebody saw them.
     *
     * @param seen the version that they saw
     * @return empty, and nothing changed, where the plans are another version meanwhile
     */
    public Optional<PlanBook> changePlans(HttpServletRequest request, long seen, UnaryOperator<PlanBook> change) {
        boolean[] asSeen = {false};
        PlanBook after = changing(request, kept -> {
                    asSeen[0] = kept.plans().version() == seen;
                    return asSeen[0] ? kept.with(change.apply(kept.plans())) : kept;
                })
                .plans();
        return Optional.of(after).filter(book -> asSeen[0]);
    }

    private Kept changing(HttpServletRequest request, UnaryOperator<Kept> change) {
        limits.count(Limits.Act.CHANGE, request);
        boolean begun = ownerToBe(request);
        String owner = owner(request).orElseThrow();
        record Done(Kept before, Kept after) {}
        Done done = visitors.change(owner, content -> {
            Kept before = content.map(KeptJson::read).orElse(Kept.NOTHING);
            Kept after = change.apply(before);
            if (after.equals(before)) {
                return new Visitors.Change<>(Optional.empty(), new Done(before, before));
            }
            Kept kept = fitting(after, begun ? LARGEST_AT_FIRST : LARGEST);
            return new Visitors.Change<>(
                    Optional.of(KeptJson.write(kept)),
                    KeptStudents.concerns(owner, before, kept),
                    new Done(before, kept));
        });
        request.setAttribute(OF_THIS_REQUEST, done.after());
        done.after().plans().plans().stream()
                .filter(plan -> !done.before().plans().plans().contains(plan))
                .forEach(plan -> shares.showChanged(
                        owner, plan.season(), plan.id(), PlanJson.write(plan), PlanJson.write(plan.noted(""))));
        return done.after();
    }

    /**
     * What the notices are about that the student has not seen who sends {@code request}: of each its term and what it is about, with a blank
     * between. None of a guest, and where it cannot be reached.
     */
    public List<String> unseen(HttpServletRequest request) {
        of(request);
        return request.getAttribute(FOUND) instanceof Visitors.Found found ? found.unseen() : List.of();
    }

    /**
     * Gives a guest a cookie who has none, or of whom nothing is kept under the one they have: somebody else may know it.
     *
     * @return whether that was so
     */
    private boolean ownerToBe(HttpServletRequest request) {
        if (student(request).isPresent() || found(request, visitors::find).isPresent()) {
            return false;
        }
        limits.count(Limits.Act.VISIT, request);
        GuestCookie.of(request).begin();
        return true;
    }

    /** Without the oldest of what can be taken back, as far as that is needed. */
    private static Kept fitting(Kept kept, int largest) {
        Kept fitting = kept;
        while (KeptJson.write(fitting).getBytes(StandardCharsets.UTF_8).length > largest) {
            PlanBook shorter = fitting.plans().forgettingTheOldestChange();
            if (shorter.equals(fitting.plans())) {
                throw new KeptFullException(
                        "Your plans are full. Your last change was not saved: delete an old plan, and do it again.");
            }
            fitting = fitting.with(shorter);
        }
        return fitting;
    }

    /**
     * Shows a plan at an address of its own; nothing happens where enough are shown.
     *
     * @param withNotes whether the notes are shown too
     * @param withRecord whether a student's record is shown too, to advisers; a guest has none to show
     */
    public void share(HttpServletRequest request, Plan plan, String purpose, boolean withNotes, boolean withRecord) {
        ownerToBe(request);
        String owner = owner(request).orElseThrow();
        visitors.change(owner, content -> new Visitors.Change<>(Optional.of(content.orElse("{}")), ""));
        if (shares.of(owner).size() < MOST_SHARES) {
            shares.share(
                    new Share(
                            Secrets.next(),
                            owner,
                            purpose,
                            plan.season(),
                            plan.id(),
                            withNotes,
                            withRecord && student(request).isPresent(),
                            PlanJson.write(withNotes ? plan : plan.noted(""))),
                    clock.instant());
        }
    }

    /** All that is kept of who sends {@code request}, as JSON; empty where nothing can be. */
    public Optional<String> all(HttpServletRequest request) {
        return owner(request).map(ownData::all);
    }

    /** Deletes all of it; a guest is a new one from then on. */
    public void delete(HttpServletRequest request) {
        owner(request).ifPresent(ownData::delete);
        GuestCookie.of(request).end();
        request.setAttribute(OF_THIS_REQUEST, Kept.NOTHING);
    }

    /** Ends it. */
    public void withdraw(HttpServletRequest request, String token) {
        owner(request).ifPresent(owner -> shares.withdraw(owner, token));
    }

    /** Where a plan of who sends {@code request} is shown, the oldest first. */
    public List<Share> sharesOf(HttpServletRequest request, Plan plan) {
        return owner(request).stream()
                .flatMap(owner -> shares.of(owner).stream())
                .filter(share ->
                        share.season().equals(plan.season()) && share.planId().equals(plan.id()))
                .toList();
    }

    /**
     * Gives everything that a guest has made to the student as whom they just signed in. What the student has no room for stays
     * with the guest.
     *
     * @return what there is to say of it
     */
    public Adopted adopt(HttpServletRequest request, String name) {
        request.removeAttribute(OF_THIS_REQUEST);
        GuestCookie cookie = GuestCookie.of(request);
        Optional<Kept> guest = cookie.owner().flatMap(visitors::find).map(found -> KeptJson.read(found.content()));
        String student = Visitors.student(name);
        boolean all = takeOver(student, guest.orElse(Kept.NOTHING));
        if (all && guest.isPresent()) {
            shares.handOver(cookie.owner().orElseThrow(), student);
            visitors.forget(cookie.owner().orElseThrow());
            cookie.end();
        }
        return new Adopted(all, guest.filter(some -> some.record().said()).isPresent());
    }

    /**
     * What came of giving a student what they made as a guest.
     *
     * @param all whether nothing had to stay
     * @param offered whether the student is to decide on what they typed of their record
     */
    public record Adopted(boolean all, boolean offered) {}

    private boolean takeOver(String student, Kept guest) {
        try {
            return visitors.change(student, content -> {
                Kept both = content.map(KeptJson::read).orElse(Kept.NOTHING).adopting(guest);
                Kept after = fitting(both, LARGEST);
                return new Visitors.Change<>(
                        Optional.of(KeptJson.write(after)),
                        Optional.of(after.concerns()),
                        guest.plans().plans().stream().allMatch(after.plans()::holds));
            });
        } catch (KeptFullException full) {
            return false;
        }
    }

    private Optional<String> owner(HttpServletRequest request) {
        return student(request)
                .map(Visitors::student)
                .or(() -> GuestCookie.of(request).owner());
    }

    /** By which one visitor is told from another where nothing is kept of them yet: by their cookie, or else by their address. */
    public String visitor(HttpServletRequest request) {
        return isAway(request) ? ClientAddress.of(request) : owner(request).orElseGet(() -> ClientAddress.of(request));
    }

    /**
     * The name as which a student signed in; empty for guests and for the desk.
     *
     * @throws AwayException where it cannot be found out whether somebody has signed in
     */
    private static Optional<String> student(HttpServletRequest request) {
        if (isAway(request.getSession(false))) {
            throw new AwayException();
        }
        return studentName(request);
    }

    /** The same for words on a page; empty where it cannot be found out. */
    public static Optional<String> studentName(HttpServletRequest request) {
        return request.isUserInRole(STUDENT) ? Optional.ofNullable(request.getRemoteUser()) : Optional.empty();
    }
}
