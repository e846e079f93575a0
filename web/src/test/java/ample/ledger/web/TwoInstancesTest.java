package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.SeatWords;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.LedgerInstance.Visitor;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** One database, two instances, and people who are now here and now there: nothing that was answered as done is lost. */
class TwoInstancesTest {

    private static final Pattern VERSION = Pattern.compile("name=\"version\" value=\"(\\d+)\"");

    private static LedgerInstance one;
    private static LedgerInstance other;

    @BeforeAll
    static void startTwo() {
        TestDatabase database = TestDatabase.create();
        one = LedgerInstance.start(database, "--ledger.post=" + Schedules.kernel());
        other = LedgerInstance.start(database);
    }

    @AfterAll
    static void stop() {
        one.close();
        other.close();
    }

    @Test
    void twelveSectionsAddedAtOnceByAGuestAreAllKept() throws Exception {
        Visitor guest = new Visitor(one.root());
        guest.post("/autumn-2031/week/notes", "notes", "begun", "back", "/");

        assertThat(addAtOnce(guest, 12)).containsOnly(302);

        String plan = guest.at(other.root()).get("/autumn-2031/week/plan.json").body();
        assertThat(entries(12)).allMatch(plan::contains);
    }

    @Test
    void twentyFourAddedAtOnceByAStudentAreAllKept() throws Exception {
        Visitor student = new Visitor(one.root());
        student.signIn("maris");

        assertThat(addAtOnce(student, 24)).containsOnly(302);

        String plan = student.get("/autumn-2031/week/plan.json").body();
        assertThat(entries(24)).allMatch(plan::contains);
    }

    @Test
    void ofTwoWindowsThatSendTheSameVersionOneIsTold() throws Exception {
        Visitor guest = new Visitor(one.root());
        guest.post("/autumn-2031/week/add", "line", entries(1).get(0), "back", "/");
        Matcher version = VERSION.matcher(guest.get("/autumn-2031/week").body());
        assertThat(version.find()).isTrue();
        String[] fields = {"notes", "x", "version", version.group(1), "back", "/autumn-2031/week"};
        Visitor there = guest.at(other.root());
        List<CompletableFuture<HttpResponse<String>>> both = List.of(
                guest.client()
                        .sendAsync(guest.form("/autumn-2031/week/notes", fields), HttpResponse.BodyHandlers.ofString()),
                there.client()
                        .sendAsync(
                                there.form("/autumn-2031/week/notes", fields), HttpResponse.BodyHandlers.ofString()));

        long told = 0;
        for (var answer : both) {
            told += answer.get().headers().allValues("Set-Cookie").stream()
                    .filter(cookie -> cookie.startsWith("ledger-told="))
                    .count();
        }
        assertThat(told).as("that another window has changed this plan").isEqualTo(1);
    }

    @Test
    void signingInAndChangingThingsAtOnceFailsNobody() throws Exception {
        Visitor student = new Visitor(one.root());
        student.signIn("odo");
        List<CompletableFuture<HttpResponse<String>>> asked = new ArrayList<>();
        for (int i = 0; i < 16; i++) {
            Visitor at = i % 2 == 0 ? student : student.at(other.root());
            String notes = "n" + i;
            asked.add(
                    i % 4 == 0
                            ? CompletableFuture.supplyAsync(() -> signIn(at))
                            : at.client()
                                    .sendAsync(
                                            at.form("/autumn-2031/week/notes", "notes", notes, "back", "/"),
                                            HttpResponse.BodyHandlers.ofString()));
        }
        for (var one : asked) {
            assertThat(one.get().statusCode()).isEqualTo(302);
            assertThat(one.get().headers().firstValue("Location").orElse("")).doesNotContain("fault");
        }
    }

    private static HttpResponse<String> signIn(Visitor visitor) {
        try {
            return visitor.signIn("odo");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** A page that loses the one instance and begins a stream with the other is told all that it has missed. */
    @Test
    void whatAPageMissedItHearsFromTheOtherInstance() throws Exception {
        SeatWords words = one.context().getBean(SeatWords.class);
        List<Section> sections =
                Schedules.kernelSchedule().sections().stream().limit(2).toList();
        words.put(List.of(word(sections.get(0))));
        String known = firstEvent(one, "0");
        long since = Long.parseLong(known.replaceAll("(?s).*id:(\\d+).*", "$1"));
        words.put(List.of(word(sections.get(1))));

        assertThat(firstEvent(other, String.valueOf(since)))
                .contains(sections.get(1).entry().digits())
                .doesNotContain(sections.get(0).entry().digits());
    }

    private static SeatWord word(Section section) {
        return new SeatWord(
                new TermCode("autumn-2031"),
                section.pool().code(),
                new SeatPool.Count(1, 0, 0),
                Instant.parse("2031-06-17T10:00:00Z"));
    }

    /** The first event about seats, asking again until the instance has heard of it. */
    private static String firstEvent(LedgerInstance instance, String since) throws Exception {
        Visitor page = new Visitor(instance.root());
        for (int tries = 0; tries < 100; tries++) {
            HttpResponse<Stream<String>> stream = page.client()
                    .send(
                            java.net.http.HttpRequest.newBuilder(
                                            instance.root().resolve("/autumn-2031/seats?since=" + since))
                                    .header("Accept", "text/event-stream")
                                    .build(),
                            HttpResponse.BodyHandlers.ofLines());
            try (Stream<String> lines = stream.body()) {
                Iterator<String> line = lines.iterator();
                // What the registrar has said last may come before it.
                Optional<String> seats = Stream.generate(() -> nextEvent(line))
                        .limit(2)
                        .filter(event -> event.startsWith("event:seats"))
                        .findFirst();
                if (seats.isPresent()) {
                    return seats.get();
                }
            }
            Thread.sleep(100);
        }
        throw new AssertionError("Nothing was heard of seats");
    }

    /** Up to the empty line that ends it. */
    private static String nextEvent(Iterator<String> lines) {
        StringBuilder event = new StringBuilder();
        for (String line = lines.next(); !line.isEmpty(); line = lines.next()) {
            event.append(line).append('\n');
        }
        return event.toString();
    }

    /** By turns at the one instance and the other. */
    private static List<Integer> addAtOnce(Visitor visitor, int count) throws Exception {
        Visitor there = visitor.at(other.root());
        List<CompletableFuture<HttpResponse<String>>> asked = IntStream.range(0, count)
                .mapToObj(i -> {
                    Visitor at = i % 2 == 0 ? visitor : there;
                    return at.client()
                            .sendAsync(
                                    at.form(
                                            "/autumn-2031/week/add",
                                            "line",
                                            entries(count).get(i),
                                            "back",
                                            "/"),
                                    HttpResponse.BodyHandlers.ofString());
                })
                .toList();
        List<Integer> statuses = new ArrayList<>();
        for (var one : asked) {
            statuses.add(one.get().statusCode());
        }
        return statuses;
    }

    private static List<String> entries(int count) {
        return Schedules.kernelSchedule().sections().stream()
                .limit(count)
                .map(section -> section.entry().digits())
                .toList();
    }
}
