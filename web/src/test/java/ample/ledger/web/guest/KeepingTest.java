package ample.ledger.web.guest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import ample.ledger.core.exchange.PlanJson;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.store.Plans;
import ample.ledger.store.Plans.Book;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpSession;

/** What is kept where somebody else's change comes in between. */
class KeepingTest {

    private static final String SEASON = "autumn-2031";
    private static final String WREN = "wren";

    private final Plans plans = mock(Plans.class);
    private final Keeping keeping = new Keeping(plans, Clock.fixed(Instant.EPOCH, ZoneOffset.UTC));
    private final MockHttpSession session = new MockHttpSession();

    @Test
    void aGuestsPlansLieInTheirSessionAlone() {
        keeping.changePlans(ofGuest(), book -> noting(book, "ask about the lab"));

        assertThat(notes(ofGuest())).isEqualTo("ask about the lab");
        verifyNoInteractions(plans);
    }

    @Test
    void aVisitorOfWhomNothingIsKeptGetsNoSession() {
        MockHttpServletRequest visit = new MockHttpServletRequest();
        assertThat(keeping.of(visit).plans()).isEqualTo(PlanBook.EMPTY);
        assertThat(visit.getSession(false)).isNull();
    }

    @Test
    void aChangeIsMadeToWhatAnotherHasLeft() {
        PlanBook other = noting(PlanBook.EMPTY, "from the library");
        when(plans.book(WREN)).thenReturn(Optional.empty()).thenReturn(Optional.of(stored(other)));
        when(plans.keep(eq(WREN), anyLong(), any(), any())).thenReturn(false, true);

        PlanBook after = keeping.changePlans(ofWren(), book -> book.beginning(SEASON, "Plan B"));

        assertThat(after.ofSeason(SEASON)).extracting(Plan::notes).containsExactly("from the library", "");
        verify(plans).keep(eq(WREN), eq(other.version()), eq(stored(after)), any());
    }

    @Test
    void aChangeOfPlansThatWereSeenAsTheyAreNoLongerIsNotMade() {
        PlanBook book = noting(noting(PlanBook.EMPTY, "one"), "two");
        when(plans.book(WREN)).thenReturn(Optional.of(stored(book)));
        when(plans.keep(eq(WREN), anyLong(), any(), any())).thenReturn(true);

        assertThat(keeping.changePlans(ofWren(), 1, it -> noting(it, "three"))).isEmpty();
        assertThat(keeping.changePlans(ofWren(), 2, it -> noting(it, "three"))).isPresent();
    }

    @Test
    void whoSignsInBringsTheirPlansAndTheirBriefs() {
        keeping.changePlans(ofGuest(), book -> noting(book, "made as a guest"));
        keeping.change(ofGuest(), kept -> kept.saving("Mornings", "/autumn-2031/browse?to=12:00"));
        when(plans.book(WREN)).thenReturn(Optional.of(stored(noting(PlanBook.EMPTY, "hers"))));
        when(plans.keep(eq(WREN), anyLong(), any(), any())).thenReturn(true);

        keeping.adopt(ofGuest(), WREN);

        ArgumentCaptor<Book> kept = ArgumentCaptor.forClass(Book.class);
        verify(plans).keep(eq(WREN), eq(1L), kept.capture(), any());
        assertThat(PlanJson.readBook(kept.getValue().content()).ofSeason(SEASON))
                .extracting(Plan::notes)
                .containsExactly("hers", "made as a guest");
        assertThat(keeping.of(ofGuest()).plans()).isEqualTo(PlanBook.EMPTY);
        assertThat(keeping.of(ofWren()).briefs())
                .extracting(Kept.SavedBrief::name)
                .containsExactly("Mornings");
    }

    @Test
    void plansThatCannotBeBroughtStayWithTheGuest() {
        keeping.changePlans(ofGuest(), book -> noting(book, "made as a guest"));
        when(plans.book(WREN)).thenReturn(Optional.empty());
        when(plans.keep(eq(WREN), anyLong(), any(), any())).thenReturn(false);

        assertThatThrownBy(() -> keeping.adopt(ofGuest(), WREN)).hasMessageContaining("changed all the time");

        assertThat(notes(ofGuest())).isEqualTo("made as a guest");
    }

    private static PlanBook noting(PlanBook book, String notes) {
        return book.changing(SEASON, "noted", plan -> plan.noted(notes));
    }

    private static Book stored(PlanBook book) {
        return new Book(book.version(), PlanJson.writeBook(book));
    }

    private String notes(MockHttpServletRequest request) {
        return keeping.of(request).plans().current(SEASON).notes();
    }

    private MockHttpServletRequest ofGuest() {
        MockHttpServletRequest request = new MockHttpServletRequest();
        request.setSession(session);
        return request;
    }

    private MockHttpServletRequest ofWren() {
        MockHttpServletRequest request = ofGuest();
        request.addUserRole(Keeping.STUDENT);
        request.setRemoteUser(WREN);
        return request;
    }
}
