package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Uploads in the real PostgreSQL. */
class UploadsTest {

    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");

    private static Uploads uploads;

    @BeforeAll
    static void openTheStore() throws Exception {
        uploads = new TestStore().uploads();
    }

    @Test
    void anUploadIsThereUntilItIsPutAway() {
        String id = uploads.keep("autumn.zip", new byte[] {1, 0, -1}, NOW);

        assertThat(uploads.find(id)).hasValueSatisfying(upload -> {
            assertThat(upload.fileName()).isEqualTo("autumn.zip");
            assertThat(upload.content()).containsExactly(1, 0, -1);
        });
        uploads.putAway(id);
        assertThat(uploads.find(id)).isEmpty();
        uploads.putAway(id);
    }

    @Test
    void whatNobodyPostedIsForgottenAfterAWeek() {
        String old = uploads.keep("old.zip", new byte[0], NOW);
        String later = uploads.keep("later.zip", new byte[0], NOW.plus(Duration.ofDays(6)));

        uploads.keep("new.zip", new byte[0], NOW.plus(Duration.ofDays(8)));

        assertThat(uploads.find(old)).isEmpty();
        assertThat(uploads.find(later)).isPresent();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "1", "' OR true --", "00000000-0000-0000-0000-000000000000"})
    void anIdThatIsNoneFindsNothing(String id) {
        assertThat(uploads.find(id)).isEmpty();
    }
}
