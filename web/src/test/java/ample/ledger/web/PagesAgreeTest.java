package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.reading.Status;
import ample.ledger.core.registrar.DemoClock;
import ample.ledger.core.schedule.Programme;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger.Ledger;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Of one section to one person every page says the same: seats, status, and why. */
@ExtendWith(RunningLedger.class)
class PagesAgreeTest {

    /** Restricted, held, full, of another campus, companions and plain ones. */
    private static final List<String> SECTIONS =
            List.of("40129", "40136", "40169", "40176", "40190", "40220", "40227", "40448");

    private static final Schedule KERNEL = Schedules.kernelSchedule();

    private static final Pattern CELL =
            Pattern.compile("data-seats=\"(\\d+)\">\\s*<span[^>]*>\\s*<b>(.*?)</b> <span>(.*?)</span>", Pattern.DOTALL);
    /** A section of My week. */
    private static final Pattern ENTRY = Pattern.compile(
            "<td class=\"c-entry\"><a href=\"[^\"]*\">(\\d+)</a></td>(?:(?!</tr>).)*?<td class=\"open\"\\s*>\\s*<b>(.*?)</b> <span>(.*?)</span>",
            Pattern.DOTALL);

    private static final Pattern SENTENCE = Pattern.compile("<p class=\"say\">(.*?)</p>");

    @ParameterizedTest
    @ValueSource(strings = {"", "wren", "maris", "tamsin", "odo", "bryn"})
    void everyPageSaysTheSameOfASection(String student, Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        if (!student.isEmpty()) {
            visitor.signIn(student);
        }
        agree(visitor, SECTIONS);
    }

    /** Before any registration, in the middle of the openings, in the weeks of late entry, and when they and the term are over. */
    private static final List<String> MOMENTS = List.of(
            "2031-05-02T10:00:00Z",
            "2031-06-17T08:41:00Z",
            "2031-06-19T12:00:00Z",
            "2031-07-20T12:00:00Z",
            "2031-09-08T07:30:00Z",
            "2031-10-20T07:30:00Z",
            "2032-01-20T12:00:00Z");

    private static LedgerInstance instance;

    /** One whose clock can be moved: that of all tests stands still. */
    @BeforeAll
    static void start() {
        instance = LedgerInstance.start(
                TestDatabase.create(), "--ledger.post=" + Schedules.kernel(), "--ledger.limits.visits=100000");
    }

    @AfterAll
    static void stop() {
        instance.close();
    }

    /** Somebody of any programme, year and campus, with any number of credits, who looks at any sections at any moment. */
    @ParameterizedTest
    @MethodSource
    void theSameToAnybodyAtAnyMoment(String moment, long seed) throws Exception {
        ((DemoClock) instance.context().getBean(Clock.class)).moveTo(Instant.parse(moment));
        Random random = new Random(seed);
        List<Section> posted = new ArrayList<>(KERNEL.sections());
        List<String> programmes = Stream.concat(
                        Stream.of(""), KERNEL.lists().programmes().stream().map(Programme::code))
                .toList();
        List<String> campuses = Stream.concat(
                        Stream.of(""),
                        KERNEL.campuses().stream().map(campus -> campus.code().text()))
                .toList();
        Visitor visitor = new Visitor(instance.root());
        visitor.post(
                "/record",
                "credits",
                random.nextBoolean() ? "" : "" + random.nextInt(120),
                "level",
                random.nextBoolean() ? "" : "" + (1 + random.nextInt(6)),
                "programme",
                programmes.get(random.nextInt(programmes.size())));
        visitor.post("/preferences/home", "home", campuses.get(random.nextInt(campuses.size())), "back", "/");
        Collections.shuffle(posted, random);

        agree(
                visitor,
                posted.stream()
                        .limit(6)
                        .map(section -> section.entry().digits())
                        .sorted()
                        .toList());
    }

    static Stream<Arguments> theSameToAnybodyAtAnyMoment() {
        return MOMENTS.stream()
                .flatMap(moment ->
                        Stream.of(1, 2).map(nth -> Arguments.of(moment, (long) (nth + 2 * MOMENTS.indexOf(moment)))));
    }

    private static void agree(Visitor visitor, List<String> sections) throws Exception {
        String all = String.join(",", sections);

        Map<String, String> listed = cells(visitor, "/autumn-2031/browse?entry=" + all);

        assertThat(listed.keySet()).containsExactlyInAnyOrderElementsOf(sections);
        assertThat(cells(visitor, "/autumn-2031/seats/cells?entries=" + all)).isEqualTo(listed);
        for (String entry : sections) {
            String sheet = body(visitor, "/autumn-2031/section/" + entry);
            String sentence = first(SENTENCE, sheet);
            assertThat(body(visitor, "/autumn-2031/line-up?line=" + entry)).contains(sentence);
            assertThat(body(visitor, "/autumn-2031/browse?entry=" + entry + "&look=" + entry))
                    .contains(sentence);
            Matcher course =
                    Pattern.compile("href=\"(/autumn-2031/course/[^\"]*)\"").matcher(sheet);
            assertThat(course.find()).isTrue();
            assertThat(cells(visitor, course.group(1))).contains(Map.entry(entry, listed.get(entry)));
        }
        visitor.post("/autumn-2031/week/add", "line", all, "back", "/autumn-2031/week");
        assertThat(cells(ENTRY, body(visitor, "/autumn-2031/week"))).isEqualTo(listed);
        for (Status status : Status.values()) {
            List<String> found =
                    cells(visitor, "/autumn-2031/browse?entry=" + all + "&status=" + status.code()).keySet().stream()
                            .toList();
            assertThat(found)
                    .as(status.code())
                    .containsExactlyInAnyOrderElementsOf(listed.keySet().stream()
                            .filter(entry -> isSaid(status, listed.get(entry)))
                            .toList());
        }
    }

    /** How a line says it. */
    private static boolean isSaid(Status status, String words) {
        return switch (status) {
            case OPEN -> words.matches("[\\d,]+ of [\\d,]+ open(, .*)?");
            case OPEN_TO_SOME -> words.matches("[\\d,]+ of [\\d,]+ open to .*");
            case FULL -> words.startsWith("Full ");
            case OPEN_BUT_NOT_TO_YOU,
                    FULL_WAITLIST_OPEN,
                    CANCELLED,
                    NOT_YET_OPEN,
                    CLOSED_TO_LATE_ENTRY,
                    BY_PERMISSION,
                    BY_WISHES -> words.toLowerCase(Locale.ROOT).startsWith(status.label() + " ");
        };
    }

    private static Map<String, String> cells(Visitor visitor, String path) throws Exception {
        return cells(CELL, body(visitor, path));
    }

    private static Map<String, String> cells(Pattern pattern, String page) {
        Map<String, String> cells = new TreeMap<>();
        Matcher cell = pattern.matcher(page);
        while (cell.find()) {
            cells.put(cell.group(1), cell.group(2) + " " + cell.group(3));
        }
        return cells;
    }

    private static String first(Pattern pattern, String text) {
        Matcher found = pattern.matcher(text);
        assertThat(found.find()).isTrue();
        return found.group(1);
    }

    private static String body(Visitor visitor, String path) throws Exception {
        var answer = visitor.get(path);
        assertThat(answer.statusCode()).as(path).isEqualTo(200);
        return answer.body();
    }
}
