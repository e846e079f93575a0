package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.store.Letters.Letter;
import ample.ledger.store.Letters.Outcome;
import ample.ledger.store.PrivateAddresses.Purpose;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Letters on their way, in the real PostgreSQL. */
class LettersTest {

    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");

    private TestStore store;
    private Letters letters;

    @BeforeEach
    void openTheStore() throws Exception {
        store = new TestStore();
        letters = store.letters();
    }

    private void due(String owner, String key, Instant at) {
        store.telling()
                .write(List.of(new Notices.Draft(
                        owner, key, "changes", "autumn-2031", "40129", "{}", NOW, Optional.empty(), Optional.of(at))));
    }

    @Test
    void whatIsDueOfOneStudentIsOneLetter() {
        due("student:odo", "one", NOW);
        due("student:odo", "two", NOW.minusSeconds(60));
        due("student:odo", "tomorrow", NOW.plusSeconds(86_400));
        due("student:wren", "one", NOW);

        assertThat(letters.gather("a", NOW)).isTrue();
        assertThat(letters.gather("b", NOW)).isTrue();
        assertThat(letters.gather("c", NOW)).isFalse();

        List<Letter> sent = sent();
        assertThat(sent).extracting(Letter::owner).containsExactlyInAnyOrder("student:odo", "student:wren");
        assertThat(sent)
                .filteredOn(letter -> letter.owner().equals("student:odo"))
                .singleElement()
                .satisfies(letter -> assertThat(letter.notices()).hasSize(2));
        letters.cancel("student:odo");
        assertThat(letters.gather("d", NOW.plusSeconds(90_000))).isFalse();
    }

    private List<Letter> sent() {
        List<Letter> sent = new ArrayList<>();
        boolean more = true;
        while (more) {
            more = letters.post(letter -> {
                sent.add(letter);
                return Outcome.SENT;
            });
        }
        return sent;
    }

    /** Dead after the mail server has taken the letter, and before that is noted: it is handed over again, under the same name. */
    @Test
    void aLetterIsNeverLostAndKnownWhenItComesTwice() {
        due("student:odo", "one", NOW);
        letters.gather("a", NOW);
        List<String> taken = new ArrayList<>();
        for (int death = 0; death < 2; death++) {
            assertThatThrownBy(() -> letters.post(letter -> {
                        taken.add(letter.id());
                        throw new IllegalStateException("died");
                    }))
                    .hasMessage("died");
        }
        assertThat(sent()).extracting(Letter::id).containsExactly("a");
        assertThat(taken).containsOnly("a");
        assertThat(sent()).isEmpty();
    }

    @Test
    void aMailServerThatIsAwayIsAskedLaterAndOneThatRefusesIsNot() {
        due("student:odo", "one", NOW);
        due("student:wren", "one", NOW);
        letters.gather("a", NOW);
        letters.gather("b", NOW);
        assertThat(letters.post(letter -> Outcome.REFUSED)).isTrue();
        assertThat(letters.post(letter -> Outcome.LATER)).isFalse();
        assertThat(sent())
                .as("one is refused, the other waits for some seconds")
                .isEmpty();
    }

    @Test
    void aPrivateAddressIsOnesOwnUntilItIsWithdrawn() {
        PrivateAddresses addresses = store.privateAddresses();
        assertThat(addresses.make("student:odo", Purpose.FEED, "abc")).isEqualTo("abc");
        assertThat(addresses.make("student:odo", Purpose.FEED, "xyz")).isEqualTo("abc");
        assertThat(addresses.owner(Purpose.FEED, "abc")).hasValue("student:odo");
        assertThat(addresses.owner(Purpose.STOP, "abc")).isEmpty();
        addresses.withdraw("student:odo", Purpose.FEED);
        assertThat(addresses.owner(Purpose.FEED, "abc")).isEmpty();
    }
}
