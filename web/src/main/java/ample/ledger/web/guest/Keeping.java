package ample.ledger.web.guest;

import ample.ledger.core.exchange.PlanJson;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.store.Plans;
import ample.ledger.store.Plans.Book;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.io.Serializable;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Keeps what visitors want to have kept: in their session, and the plans of those who signed in where they last. A visitor of
 * whom nothing is kept gets no session.
 */
@Component
public class Keeping {

    /** The role of who signed in as a student. */
    public static final String STUDENT = "STUDENT";

    private static final String ATTRIBUTE = "keeping";
    private static final String OF_THIS_REQUEST = Keeping.class.getName();

    /** From the last visit on. */
    private static final Duration LONG = Duration.ofDays(60);

    /** So often a change is tried again when another one of the same student came first. */
    private static final int MOST_TRIES = 8;

    private static final int SECRET_BYTES = 16;
    private static final int MOST_SHARES = 30;

    private final Plans plans;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Keeping(Plans plans, Clock clock) {
        this.plans = plans;
        this.clock = clock;
    }

    /**
     * As it lies in the session.
     *
     * @param book a guest's plans, as {@link PlanJson} writes them; empty for none
     * @param secret by which shared plans are known to be this guest's; empty until one is shared
     */
    private record InSession(String book, List<Kept.SavedBrief> briefs, KeptRecord record, String secret)
            implements Serializable {

        private static final long serialVersionUID = 1L;
        static final InSession NOTHING = new InSession("", List.of(), KeptRecord.NONE, "");

        InSession with(PlanBook plans) {
            return new InSession(PlanJson.writeBook(plans), briefs, record, secret);
        }
    }

    /** What is kept for who sends {@code request}; reading it begins no session. */
    public Kept of(HttpServletRequest request) {
        if (request.getAttribute(OF_THIS_REQUEST) instanceof Kept known) {
            return known;
        }
        InSession kept = inSession(request);
        PlanBook book = student(request)
                .map(this::ofStudent)
                .orElseGet(() -> kept.book().isEmpty() ? PlanBook.EMPTY : PlanJson.readBook(kept.book()));
        Kept all = new Kept(book, kept.briefs(), kept.record());
        request.setAttribute(OF_THIS_REQUEST, all);
        return all;
    }

    /** Changes the briefs or the record that are kept. */
    public Kept change(HttpServletRequest request, UnaryOperator<Kept> change) {
        Kept after = change.apply(of(request));
        InSession before = inSession(request);
        put(request, new InSession(before.book(), after.briefs(), after.record(), before.secret()));
        request.setAttribute(OF_THIS_REQUEST, after);
        return after;
    }

    /** Changes the plans, whatever they are meanwhile. */
    public PlanBook changePlans(HttpServletRequest request, UnaryOperator<PlanBook> change) {
        return insisting(() -> {
            Optional<PlanBook> after = keep(request, of(request).plans(), change);
            if (after.isEmpty()) {
                request.removeAttribute(OF_THIS_REQUEST);
            }
            return after;
        });
    }

    /** Tries again while another change of the same student's plans comes first. */
    private static PlanBook insisting(Supplier<Optional<PlanBook>> attempt) {
        return Stream.generate(attempt)
                .limit(MOST_TRIES)
                .flatMap(Optional::stream)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException(
                        "The plans of one student were changed all the time by somebody else"));
    }

    /**
     * Changes the plans as somebody saw them.
     *
     * @param seen the version that they saw
     * @return empty, and nothing changed, where the plans are another version meanwhile
     */
    public Optional<PlanBook> changePlans(HttpServletRequest request, long seen, UnaryOperator<PlanBook> change) {
        PlanBook before = of(request).plans();
        return before.version() == seen ? keep(request, before, change) : Optional.empty();
    }

    private Optional<PlanBook> keep(HttpServletRequest request, PlanBook before, UnaryOperator<PlanBook> change) {
        PlanBook after = change.apply(before);
        if (after == before) {
            return Optional.of(before);
        }
        Optional<String> student = student(request);
        if (student.isPresent()) {
            if (!keep(student.get(), before, after)) {
                return Optional.empty();
            }
        } else {
            put(request, inSession(request).with(after));
        }
        request.setAttribute(OF_THIS_REQUEST, of(request).with(after));
        owner(request)
                .ifPresent(owner -> after.plans().stream()
                        .filter(plan -> !before.plans().contains(plan))
                        .forEach(plan -> plans.showChanged(owner, plan.season(), plan.id(), PlanJson.write(plan))));
        return Optional.of(after);
    }

    /** Shows a plan at an address of its own; nothing happens where enough are shown. */
    public void share(HttpServletRequest request, Plan plan, String purpose) {
        if (owner(request).isEmpty()) {
            InSession kept = inSession(request);
            put(request, new InSession(kept.book(), kept.briefs(), kept.record(), secret()));
        }
        if (plans.sharesOf(owner(request).orElseThrow()).size() >= MOST_SHARES) {
            return;
        }
        plans.share(
                new Plans.Share(
                        secret(),
                        owner(request).orElseThrow(),
                        purpose,
                        plan.season(),
                        plan.id(),
                        PlanJson.write(plan)),
                clock.instant());
    }

    /** Ends it. */
    public void withdraw(HttpServletRequest request, String token) {
        owner(request).ifPresent(owner -> plans.withdraw(owner, token));
    }

    /** Where a plan of who sends {@code request} is shown, the oldest first. */
    public List<Plans.Share> sharesOf(HttpServletRequest request, Plan plan) {
        return owner(request).stream()
                .flatMap(owner -> plans.sharesOf(owner).stream())
                .filter(share ->
                        share.season().equals(plan.season()) && share.planId().equals(plan.id()))
                .toList();
    }

    /** Gives the plans that a guest has made to the student as whom they just signed in; the guest's stay where that fails. */
    public void adopt(HttpServletRequest request, String student) {
        InSession guest = inSession(request);
        if (!guest.book().isEmpty()) {
            PlanBook brought = PlanJson.readBook(guest.book());
            insisting(() -> {
                PlanBook before = ofStudent(student);
                PlanBook after = before.adopting(brought);
                return Optional.of(after).filter(it -> it == before || keep(student, before, it));
            });
        }
        if (!guest.secret().isEmpty()) {
            plans.handOver(guest(guest.secret()), student);
        }
        request.removeAttribute(OF_THIS_REQUEST);
        put(request, new InSession("", guest.briefs(), guest.record(), ""));
    }

    private PlanBook ofStudent(String student) {
        return plans.book(student)
                .map(stored -> PlanJson.readBook(stored.content()))
                .orElse(PlanBook.EMPTY);
    }

    private boolean keep(String student, PlanBook before, PlanBook after) {
        return plans.keep(
                student, before.version(), new Book(after.version(), PlanJson.writeBook(after)), clock.instant());
    }

    private String secret() {
        byte[] bytes = new byte[SECRET_BYTES];
        random.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    private Optional<String> owner(HttpServletRequest request) {
        return student(request)
                .or(() -> Optional.of(inSession(request).secret())
                        .filter(secret -> !secret.isEmpty())
                        .map(Keeping::guest));
    }

    /** No name of a student has a colon. */
    private static String guest(String secret) {
        return "guest:" + secret;
    }

    /** The name as which a student signed in; empty for guests and for the desk. */
    public static Optional<String> student(HttpServletRequest request) {
        return request.isUserInRole(STUDENT) ? Optional.ofNullable(request.getRemoteUser()) : Optional.empty();
    }

    private static InSession inSession(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        @Nullable Object kept = session == null ? null : session.getAttribute(ATTRIBUTE);
        return kept instanceof InSession known ? known : InSession.NOTHING;
    }

    private static void put(HttpServletRequest request, InSession kept) {
        HttpSession session = request.getSession();
        session.setAttribute(ATTRIBUTE, kept);
        session.setMaxInactiveInterval((int) LONG.toSeconds());
    }
}
