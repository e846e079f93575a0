package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.answer.RunningAccount;
import ample.ledger.core.browse.brief.Between;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.ClearOf;
import ample.ledger.core.browse.brief.Closed;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Dates;
import ample.ledger.core.browse.brief.Entries;
import ample.ledger.core.browse.brief.Having;
import ample.ledger.core.browse.brief.Not;
import ample.ledger.core.browse.brief.NumberPattern;
import ample.ledger.core.browse.brief.Numbers;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Seats;
import ample.ledger.core.browse.brief.Timed;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.fixtures.RandomBriefs;
import ample.ledger.core.fixtures.Schedules;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.DayOfWeek;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.lifecycle.AfterContainer;
import net.jqwik.api.lifecycle.BeforeContainer;

/** The index against SQL over the tables that the same edition was loaded into, over random briefs. */
class SqlReadingTest {

    private static final TermIndex INDEX = Schedules.kernelIndex();

    /** Rows of the section of x. */
    private static final String ITSELF = "%s.entry = x.entry";

    /** Rows of any section of the set of x. */
    private static final String IN_SET = "%s.entry IN (SELECT y.entry FROM member y WHERE y.set = x.set)";

    private static Connection connection;

    @BeforeContainer
    static void loadTheDemo() throws Exception {
        TestStore store = new TestStore();
        store.editions().post(Schedules.kernelBundle(), "", "desk", Instant.parse("2031-06-17T08:41:00Z"));
        connection = store.database().asOwner().getConnection();
        try (Statement sql = connection.createStatement()) {
            sql.execute(new String(
                    SqlReadingTest.class.getResourceAsStream("reading.sql").readAllBytes(), StandardCharsets.UTF_8));
        }
    }

    @AfterContainer
    static void close() throws SQLException {
        connection.close();
    }

    @Provide
    Arbitrary<Brief> briefs() {
        // Words are checked against Lucene itself: SQL has no stems. No table has a record.
        return RandomBriefs.of(INDEX.schedule())
                .map(brief -> brief.without(Topic.WORDS)
                        .without(Topic.STILL_OWED)
                        .without(Topic.MAY_TAKE)
                        .without(Topic.ON_RECORD));
    }

    @Property(tries = 300)
    void listAndAccountEqualSql(@ForAll("briefs") Brief brief) throws SQLException {
        Findings findings = Findings.of(Schedules.now(INDEX), brief);

        List<String> fitting = findings.fitting().stream()
                .map(section -> section.entry().digits())
                .sorted()
                .toList();
        assertThat(fitting).isEqualTo(entries(where(brief.conditions())));
        assertThat(account(brief)).isEqualTo(findings.account());
    }

    private static RunningAccount account(Brief brief) throws SQLException {
        List<Condition> all = brief.conditions();
        int left = fitting(all);
        List<RunningAccount.Line> lines = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            List<Condition> others = new ArrayList<>(all);
            others.remove(i);
            lines.add(new RunningAccount.Line(
                    all.get(i), fitting(all.subList(0, i)) - fitting(all.subList(0, i + 1)), fitting(others) - left));
        }
        int posted = count("SELECT count(*) FROM sections");
        int cancelled = entries("s.cancelled AND " + where(all)).size();
        return new RunningAccount(posted, posted - fitting(List.of()), lines, cancelled, left - cancelled);
    }

    private static int fitting(List<Condition> conditions) throws SQLException {
        return entries(where(conditions)).size();
    }

    private static int count(String query) throws SQLException {
        try (Statement sql = connection.createStatement();
                var rows = sql.executeQuery(query)) {
            rows.next();
            return rows.getInt(1);
        }
    }

    private static List<String> entries(String where) throws SQLException {
        try (Statement sql = connection.createStatement();
                var rows = sql.executeQuery("SELECT DISTINCT x.entry FROM member x JOIN sections s USING (entry)"
                        + " JOIN courses c USING (edition_id, subject, number) WHERE " + where + " ORDER BY x.entry")) {
            List<String> entries = new ArrayList<>();
            while (rows.next()) {
                entries.add(rows.getString(1));
            }
            return entries;
        }
    }

    private static String where(List<Condition> conditions) {
        return conditions.isEmpty()
                ? "true"
                : conditions.stream().map(SqlReadingTest::predicate).collect(Collectors.joining(" AND "));
    }

    /** Of x, one section in one set, with its row s of sections and c of courses. */
    private static String predicate(Condition condition) {
        return "(" + bare(condition) + ")";
    }

    private static String bare(Condition condition) {
        if (condition instanceof Not not) {
            return turned(not.of());
        }
        if (condition instanceof Numbers numbers) {
            return numbers.numbers().stream().map(SqlReadingTest::number).collect(Collectors.joining(" OR ", "(", ")"));
        }
        if (condition instanceof Entries entries) {
            return "(x.entry IN " + list(entries.entries()) + ")";
        }
        if (condition instanceof Having having && having.facet().scope() != Facet.Scope.SET) {
            return matching(having.codes(), having.match(), values(having.facet()));
        }
        if (condition instanceof Having having) {
            return "NOT EXISTS (SELECT FROM fact f WHERE " + IN_SET.formatted("f") + " AND f." + column(having.facet())
                    + " NOT IN " + list(having.codes()) + ")";
        }
        if (condition instanceof Seats seats) {
            return "(" + seatsOver(seats) + " >= " + seats.atLeast() + " AND NOT EXISTS (SELECT FROM fact f WHERE "
                    + IN_SET.formatted("f") + " AND NOT (" + behind(seats) + " AND f.open >= "
                    + Math.min(1, seats.atLeast()) + ")))";
        }
        if (condition instanceof ClearOf clear) {
            return "NOT " + apart(clear, IN_SET.formatted("h"));
        }
        if (condition instanceof Dates dates) {
            return "NOT " + breaks(dates, IN_SET.formatted("f"));
        }
        if (condition instanceof Timed) {
            return timed(ITSELF);
        }
        String alone = "(NOT " + timed(ITSELF) + " OR " + holds(condition, ITSELF) + ")";
        return condition instanceof OnDays days && days.alone()
                ? alone
                : alone + " AND (NOT " + timed(IN_SET) + " OR " + holds(condition, IN_SET) + ")";
    }

    private static String turned(Condition condition) {
        if (condition instanceof Having having && having.facet().scope() == Facet.Scope.SET) {
            return "NOT EXISTS (SELECT FROM fact f WHERE " + IN_SET.formatted("f") + " AND f." + column(having.facet())
                    + " IN " + list(having.codes()) + ")";
        }
        if (condition instanceof Seats seats) {
            return seatsOver(seats) + " < " + seats.atLeast();
        }
        if (condition instanceof ClearOf clear) {
            return apart(clear, ITSELF.formatted("h"));
        }
        if (condition instanceof Dates dates) {
            return breaks(dates, ITSELF.formatted("f"));
        }
        if (condition instanceof Timed) {
            return "NOT " + timed(IN_SET);
        }
        if (condition instanceof OnDays days && days.alone()) {
            return "(NOT " + timed(ITSELF) + " OR NOT " + holds(condition, ITSELF) + ")";
        }
        if (condition instanceof OnDays || condition instanceof Between || condition instanceof Closed) {
            return "(NOT " + timed(ITSELF) + " OR NOT " + holds(condition, ITSELF) + ") AND (NOT " + timed(IN_SET)
                    + " OR NOT " + holds(condition, IN_SET) + ")";
        }
        return "NOT " + predicate(condition);
    }

    private static String number(NumberPattern wanted) {
        return "(substring(s.number from '^[0-9]+')::int BETWEEN %d AND %d AND s.number LIKE '%%%s' AND %s)"
                .formatted(
                        wanted.low(),
                        wanted.high(),
                        wanted.letters(),
                        wanted.subject().isEmpty() ? "true" : "lower(s.subject) = '" + wanted.subject() + "'");
    }

    private static String matching(Set<String> codes, Facet.Match match, String values) {
        return match == Facet.Match.ALL
                ? codes.stream()
                        .map(code -> "'" + code + "' IN (" + values + ")")
                        .collect(Collectors.joining(" AND ", "(", ")"))
                : "EXISTS (SELECT FROM (" + values + ") v(code) WHERE v.code IN " + list(codes) + ")";
    }

    private static String values(Facet facet) {
        return switch (facet) {
            case SUBJECT -> "SELECT s.subject";
            case DEPARTMENT -> "SELECT department FROM subjects WHERE subject = s.subject AND department IS NOT NULL";
            case PROGRAMME ->
                "SELECT programme FROM course_programmes r WHERE (r.subject, r.number) = (s.subject, s.number)";
            case LEVEL -> "SELECT c.level::text";
            case CREDITS -> "SELECT trim_scale(c.credits)::text";
            case REQUIREMENT ->
                "SELECT requirement FROM course_requirements r WHERE (r.subject, r.number) = (s.subject, s.number)";
            case KIND -> "SELECT s.kind UNION SELECT m.kind FROM meetings m WHERE m.entry = x.entry";
            case INSTRUCTOR ->
                "SELECT coalesce(i.instructor, 'to-be-announced')"
                        + " FROM (SELECT x.entry) e LEFT JOIN section_instructors i USING (entry)";
            case BUILDING ->
                "SELECT CASE WHEN m.place = 'to-be-announced' AND m.building IS NULL THEN 'to-be-announced'"
                        + " ELSE m.building END FROM meetings m WHERE m.entry = x.entry"
                        + " AND (m.building IS NOT NULL OR m.place = 'to-be-announced')";
            case PREREQUISITE ->
                "SELECT CASE WHEN EXISTS (SELECT FROM prerequisites r WHERE (r.subject, r.number) = (s.subject, s.number))"
                        + " THEN 'prerequisite' ELSE 'no-prerequisite' END";
            case STATUS -> "SELECT f.status FROM fact f WHERE f.entry = x.entry";
            case STILL_OWED, MAY_TAKE, ON_RECORD -> throw new IllegalArgumentException("Of a record: " + facet);
            case CAMPUS, SPAN, DELIVERY, LANGUAGE, MATERIALS -> throw new IllegalArgumentException("Of sets: " + facet);
        };
    }

    private static String column(Facet facet) {
        return facet.name().toLowerCase(Locale.ROOT);
    }

    private static String behind(Seats seats) {
        return "NOT f.cancelled AND f.waiting <= " + seats.waitingAtMost().orElse(Integer.MAX_VALUE);
    }

    private static String seatsOver(Seats seats) {
        return "(SELECT min(place.seats) FROM (SELECT coalesce(sum(CASE WHEN " + behind(seats)
                + " THEN f.open END), -1) AS seats FROM alternative a JOIN fact f ON f.entry = a.filled_by"
                + " WHERE a.entry = x.entry GROUP BY a.place) place)";
    }

    private static String apart(ClearOf clear, String scope) {
        return "EXISTS (SELECT FROM apart h WHERE h.planned IN " + list(clear.plan()) + " AND " + scope + ")";
    }

    private static String breaks(Dates dates, String scope) {
        String breaks = dates.startsFrom()
                        .map(date -> "f.first_day < '" + date + "'")
                        .orElse("false")
                + dates.endsBy().map(date -> " OR f.last_day > '" + date + "'").orElse("")
                + (dates.mostWeeks().isEmpty()
                        ? ""
                        : " OR f.last_day - f.first_day >= 7 * "
                                + dates.mostWeeks().getAsInt());
        return "EXISTS (SELECT FROM fact f WHERE " + scope + " AND (" + breaks + "))";
    }

    private static String timed(String scope) {
        return "EXISTS (SELECT FROM met m WHERE " + scope.formatted("m") + ")";
    }

    private static String holds(Condition condition, String scope) {
        String met = "EXISTS (SELECT FROM met m WHERE " + scope.formatted("m") + " AND (";
        if (condition instanceof OnDays onDays) {
            List<String> days =
                    onDays.days().list().stream().map(SqlReadingTest::day).toList();
            return switch (onDays.rule()) {
                case ONLY -> "NOT " + met + "m.day NOT IN " + list(days) + "))";
                case ALL ->
                    days.stream()
                            .map(day -> met + "m.day = '" + day + "'))")
                            .collect(Collectors.joining(" AND ", "(", ")"));
                case ANY -> met + "m.day IN " + list(days) + "))";
                case NONE -> "NOT " + met + "m.day IN " + list(days) + "))";
            };
        }
        if (condition instanceof Closed closed) {
            return "NOT " + met
                    + closed.hours().stretches().stream()
                            .map(stretch ->
                                    "m.day = '%s' AND m.ends > '%s' AND m.starts <= time '%s' + interval '%d min'"
                                            .formatted(
                                                    day(stretch.day()),
                                                    stretch.from(),
                                                    stretch.from(),
                                                    stretch.minutes() - 1))
                            .collect(Collectors.joining(" OR "))
                    + "))";
        }
        Between between = (Between) condition;
        return "NOT " + met
                + between.from().map(from -> "m.starts < '" + from + "'").orElse("false")
                + between.to().map(to -> " OR m.ends > '" + to + "'").orElse("") + "))";
    }

    private static String day(DayOfWeek day) {
        return day.name().substring(0, 3).toLowerCase(Locale.ROOT);
    }

    private static String list(Iterable<?> values) {
        List<String> quoted = new ArrayList<>();
        values.forEach(value -> quoted.add("'" + value + "'"));
        return "(" + String.join(", ", quoted) + ")";
    }
}
