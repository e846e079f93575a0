package ample.ledger.web.guest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.store.Shares;
import ample.ledger.store.Visitors;
import ample.ledger.web.database.DatabaseBreaker;
import ample.ledger.web.database.Lookups;
import ample.ledger.web.guard.Limits;
import ample.ledger.web.guard.TooManyException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockHttpSession;

/** What is kept for guests and for students, and what becomes of it when one becomes the other. */
class KeepingTest {

    private static final SeasonCode SEASON = new SeasonCode("autumn-2031");
    private static final KeptRecord SECOND_YEAR = new KeptRecord("", "46", "2", "", "glaciology");

    private final Map<String, String> stored = new HashMap<>();
    private final Visitors visitors = mock();
    private final Shares shares = mock();
    private final Limits limits = mock();
    private final Lookups lookups = new Lookups(new DatabaseBreaker(), Duration.ofSeconds(30));
    private final Keeping keeping =
            new Keeping(visitors, shares, mock(), limits, lookups, Clock.fixed(Instant.EPOCH, ZoneOffset.UTC));
    private final Browser browser = new Browser();

    /** Keeps cookies, as browsers do. */
    private static final class Browser {

        private jakarta.servlet.http.Cookie[] cookies = {};
        private MockHttpServletResponse answer = new MockHttpServletResponse();

        MockHttpServletRequest asks() {
            Arrays.stream(answer.getCookies())
                    .forEach(cookie -> cookies = cookie.getMaxAge() == 0
                            ? new jakarta.servlet.http.Cookie[0]
                            : new jakarta.servlet.http.Cookie[] {cookie});
            answer = new MockHttpServletResponse();
            MockHttpServletRequest request = new MockHttpServletRequest();
            request.setCookies(cookies);
            request.setAttribute(GuestCookie.NAME, new GuestCookie(request, answer, Duration.ofDays(60)));
            return request;
        }

        MockHttpServletRequest asksAs(String student) {
            MockHttpServletRequest request = asks();
            request.addUserRole(Keeping.STUDENT);
            request.setRemoteUser(student);
            return request;
        }
    }

    @BeforeEach
    void keepInMemory() {
        when(visitors.find(anyString()))
                .thenAnswer(call -> Optional.ofNullable(stored.get(call.<String>getArgument(0)))
                        .map(content -> new Visitors.Found(content, false, List.of())));
        doAnswer(call -> {
                    Function<Optional<String>, Visitors.Change<Object>> change = call.getArgument(1);
                    String owner = call.getArgument(0);
                    Visitors.Change<Object> after = change.apply(Optional.ofNullable(stored.get(owner)));
                    after.content().ifPresent(content -> stored.put(owner, content));
                    return after.answer();
                })
                .when(visitors)
                .change(anyString(), any());
        doAnswer(call -> stored.remove(call.<String>getArgument(0)))
                .when(visitors)
                .forget(anyString());
    }

    @Test
    void aGuestIsKnownAgainByACookieWhoseSecretIsNotStored() {
        keeping.changePlans(browser.asks(), book -> noting(book, "ask about the lab"));

        assertThat(notes(browser.asks())).isEqualTo("ask about the lab");
        assertThat(stored).hasSize(1);
        String secret = browser.asks().getCookies()[0].getValue();
        assertThat(secret).hasSize(32);
        assertThat(stored.keySet().iterator().next()).startsWith("guest:").doesNotContain(secret);
        assertThat(notes(new Browser().asks())).isEmpty();
    }

    /** Sixty days from the last visit on: what is kept for longer needs a cookie that is. */
    @Test
    void aGuestWhoComesAgainKeepsTheCookieForLonger() {
        keeping.changePlans(browser.asks(), book -> noting(book, "mine"));
        keeping.of(browser.asks());
        assertThat(browser.answer.getCookies()).isEmpty();

        MockHttpServletRequest later = browser.asks();
        when(visitors.find(anyString()))
                .thenAnswer(call ->
                        Optional.of(new Visitors.Found(stored.get(call.<String>getArgument(0)), true, List.of())));
        keeping.of(later);
        assertThat(browser.answer.getCookies()).singleElement().satisfies(cookie -> {
            assertThat(cookie.getValue()).isEqualTo(later.getCookies()[0].getValue());
            assertThat(cookie.getMaxAge()).isEqualTo(60 * 86_400);
        });
    }

    @Test
    void aVisitorOfWhomNothingIsKeptGetsNoCookie() {
        MockHttpServletRequest visit = browser.asks();

        assertThat(keeping.of(visit).plans()).isEqualTo(PlanBook.EMPTY);
        assertThat(browser.answer.getCookies()).isEmpty();
        assertThat(visit.getSession(false)).isNull();
    }

    /** Somebody who knows a secret of which nothing is kept may have planted it; what is kept now gets another. */
    @Test
    void aCookieThatNothingIsKeptUnderIsNotTakenOver() {
        Browser planted = new Browser();
        planted.cookies =
                new jakarta.servlet.http.Cookie[] {new jakarta.servlet.http.Cookie(GuestCookie.NAME, "A".repeat(32))};
        keeping.changePlans(planted.asks(), book -> noting(book, "mine"));

        assertThat(planted.asks().getCookies()[0].getValue()).isNotEqualTo("A".repeat(32));
        assertThat(notes(planted.asks())).isEqualTo("mine");
    }

    @Test
    void aChangeOfPlansThatWereSeenAsTheyAreNoLongerIsNotMade() {
        keeping.changePlans(browser.asksAs("wren"), book -> noting(book, "one"));
        keeping.changePlans(browser.asksAs("wren"), book -> noting(book, "two"));

        assertThat(keeping.changePlans(browser.asksAs("wren"), 1, book -> noting(book, "three")))
                .isEmpty();
        assertThat(notes(browser.asksAs("wren"))).isEqualTo("two");
        assertThat(keeping.changePlans(browser.asksAs("wren"), 2, book -> noting(book, "three")))
                .isPresent();
    }

    @Test
    void whoSignsInBringsEverythingAndNothingOfItStaysInTheBrowser() {
        keeping.changePlans(browser.asks(), book -> noting(book, "made as a guest"));
        keeping.change(browser.asks(), kept -> kept.saving("Mornings", "/autumn-2031/browse?to=12:00"));
        keeping.change(browser.asks(), kept -> kept.with(SECOND_YEAR));
        keeping.changePlans(new Browser().asksAs("maris"), book -> noting(book, "hers"));

        assertThat(keeping.adopt(browser.asks(), "maris")).isEqualTo(new Keeping.Adopted(true, true));

        Kept after = keeping.of(browser.asksAs("maris"));
        assertThat(after.plans().ofSeason(SEASON)).extracting(Plan::notes).containsExactly("hers", "made as a guest");
        assertThat(after.briefs()).extracting(Kept.SavedBrief::name).containsExactly("Mornings");
        assertThat(after.record()).as("only once she says so").isEqualTo(KeptRecord.NONE);
        assertThat(after.takingOver().record()).isEqualTo(SECOND_YEAR);
        assertThat(after.takingOver().offered()).isEqualTo(KeptRecord.NONE);
        assertThat(browser.asks().getCookies()).isNullOrEmpty();
        assertThat(stored).containsOnlyKeys("student:maris");
    }

    /** On one computer, without signing out in between: nothing of the first is seen by the second. */
    @Test
    void aSecondStudentSeesNothingOfTheFirst() {
        keeping.change(browser.asks(), kept -> kept.with(new KeptRecord("NUMB 112 A", "", "", "", "")));
        keeping.adopt(browser.asks(), "maris");
        keeping.adopt(browser.asks(), "odo");

        assertThat(keeping.of(browser.asksAs("maris")).offered().courses()).isEqualTo("NUMB 112 A");
        assertThat(keeping.of(browser.asksAs("odo")).offered()).isEqualTo(KeptRecord.NONE);
    }

    @Test
    void whatAStudentHasNoRoomForStaysWithTheGuest() {
        for (int i = 0; i < PlanBook.MOST_ADOPTED; i++) {
            String words = "hers " + i;
            keeping.changePlans(browser.asksAs("maris"), book -> book.adopting(noting(PlanBook.EMPTY, words)));
        }
        keeping.changePlans(browser.asks(), book -> noting(book, "made as a guest"));

        assertThat(keeping.adopt(browser.asks(), "maris")).isEqualTo(new Keeping.Adopted(false, false));

        assertThat(notes(browser.asks())).isEqualTo("made as a guest");
        verify(shares, never()).handOver(anyString(), anyString());
    }

    @Test
    void theOldestChangesAreForgottenBeforeAnythingIsRefused() {
        String book = "x".repeat(4_000);
        for (int i = 0; i < 40; i++) {
            String name = "Plan " + i;
            keeping.changePlans(browser.asksAs("wren"), all -> noting(all.beginning(SEASON, name), name + book));
        }
        PlanBook kept = keeping.of(browser.asksAs("wren")).plans();
        assertThat(kept.ofSeason(SEASON)).hasSize(PlanBook.MOST_PLANS);
        assertThat(kept.past()).hasSize(PlanBook.MOST_PAST);

        assertThatThrownBy(() -> keeping.changePlans(new Browser().asks(), all -> {
                    PlanBook full = all;
                    for (int i = 0; i < 10; i++) {
                        full = noting(full.beginning(SEASON, "Plan " + i), i + book);
                    }
                    return full;
                }))
                .as("on a first visit little is kept")
                .isInstanceOf(KeptFullException.class);
        assertThat(stored).containsOnlyKeys("student:wren");
    }

    @Test
    void newGuestsOfOneAddressAreCounted() {
        doThrow(new TooManyException("too many", Duration.ofSeconds(1)))
                .when(limits)
                .count(eq(Limits.Act.VISIT), any());

        assertThatThrownBy(() -> keeping.changePlans(browser.asks(), book -> noting(book, "x")))
                .isInstanceOf(TooManyException.class);
        assertThat(stored).isEmpty();
        keeping.changePlans(browser.asksAs("wren"), book -> noting(book, "students are known already"));
    }

    @Test
    void whileTheDatabaseIsAwayAVisitorIsAGuestWhoIsToldSo() {
        keeping.changePlans(browser.asks(), book -> noting(book, "mine"));
        when(visitors.find(anyString())).thenThrow(new DataAccessResourceFailureException("away"));

        MockHttpServletRequest visit = browser.asks();
        assertThat(keeping.of(visit)).isEqualTo(Kept.NOTHING);
        assertThat(Keeping.isAway(visit)).isTrue();
        assertThatThrownBy(() -> keeping.needed(visit)).isInstanceOf(AwayException.class);
        assertThatThrownBy(() -> keeping.changePlans(browser.asks(), book -> noting(book, "other")))
                .isInstanceOf(DataAccessResourceFailureException.class);
        assertThat(Keeping.isAway(new Browser().asks())).isFalse();
    }

    /** A session that cannot be read may be a student's: what they do then is not kept for a guest. */
    @Test
    void whoCannotBeKnownIsTakenForNobody() {
        MockHttpSession unknown = new MockHttpSession();
        unknown.setAttribute(Keeping.AWAY_SESSION, true);
        MockHttpServletRequest visit = browser.asks();
        visit.setSession(unknown);

        assertThat(keeping.of(visit)).isEqualTo(Kept.NOTHING);
        assertThat(Keeping.isAway(visit)).isTrue();
        assertThatThrownBy(() -> keeping.changePlans(visit, book -> noting(book, "lost")))
                .isInstanceOf(AwayException.class);
        assertThat(stored).isEmpty();
    }

    @Test
    void notesAreShownOnlyWhereTheirOwnerSaysSo() {
        keeping.changePlans(browser.asks(), book -> noting(book, "private"));
        Plan plan = keeping.of(browser.asks()).plans().current(SEASON);
        keeping.share(browser.asks(), plan, "reading", false, true);
        keeping.share(browser.asks(), plan, "reading", true, false);

        var shown = org.mockito.ArgumentCaptor.forClass(Shares.Share.class);
        verify(shares, org.mockito.Mockito.times(2)).share(shown.capture(), any());
        List<Shares.Share> both = shown.getAllValues();
        assertThat(both.get(0).content()).doesNotContain("private");
        assertThat(both.get(1).content()).contains("private");
        assertThat(both).as("a guest has no record to show").noneMatch(Shares.Share::withRecord);
        assertThat(both)
                .extracting(Shares.Share::token)
                .doesNotHaveDuplicates()
                .allMatch(token -> token.length() == 32);
    }

    private static PlanBook noting(PlanBook book, String notes) {
        return book.changing(SEASON, "noted", plan -> plan.noted(notes));
    }

    private String notes(MockHttpServletRequest request) {
        return keeping.of(request).plans().current(SEASON).notes();
    }
}
