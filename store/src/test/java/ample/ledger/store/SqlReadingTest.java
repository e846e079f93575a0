package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.Brief;
import ample.ledger.core.browse.Condition;
import ample.ledger.core.browse.CourseCondition;
import ample.ledger.core.browse.Findings;
import ample.ledger.core.browse.RunningAccount;
import ample.ledger.core.browse.SectionCondition;
import ample.ledger.core.browse.TermIndex;
import ample.ledger.core.fixtures.RandomBriefs;
import ample.ledger.core.fixtures.Schedules;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.lifecycle.AfterContainer;
import net.jqwik.api.lifecycle.BeforeContainer;

/** The index against SQL over the tables that the same edition was loaded into, over random briefs. */
class SqlReadingTest {

    private static final TermIndex INDEX = Schedules.kernelIndex();

    private static Connection connection;

    @BeforeContainer
    static void loadTheDemo() throws Exception {
        TestStore store = new TestStore();
        store.editions().post(Schedules.kernelBundle(), "", Instant.parse("2031-06-17T08:41:00Z"));
        connection = store.dataSource().getConnection();
    }

    @AfterContainer
    static void close() throws SQLException {
        connection.close();
    }

    @Provide
    Arbitrary<Brief> briefs() {
        return RandomBriefs.of(INDEX.schedule());
    }

    @Property(tries = 200)
    void listAndAccountEqualSql(@ForAll("briefs") Brief brief) throws SQLException {
        Findings findings = INDEX.find(brief);

        List<String> fitting = findings.fitting().stream()
                .map(section -> section.entry().digits())
                .sorted()
                .toList();
        assertThat(fitting).isEqualTo(entries(where(brief.conditions())));
        assertThat(account(brief)).isEqualTo(findings.account());
    }

    private static RunningAccount account(Brief brief) throws SQLException {
        List<Condition> all = brief.conditions();
        List<RunningAccount.Line> lines = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            String fails = " AND NOT " + predicate(all.get(i));
            int at = i;
            List<Condition> others = IntStream.range(0, all.size())
                    .filter(each -> each != at)
                    .mapToObj(all::get)
                    .toList();
            lines.add(new RunningAccount.Line(
                    all.get(i),
                    entries(where(all.subList(0, i)) + fails).size(),
                    entries(where(others) + fails).size()));
        }
        return new RunningAccount(
                entries("true").size(), lines, entries(where(all)).size());
    }

    private static List<String> entries(String where) throws SQLException {
        try (Statement sql = connection.createStatement();
                var rows = sql.executeQuery("SELECT s.entry FROM sections s"
                        + " JOIN courses c USING (edition_id, subject, number)"
                        + " JOIN seat_pools p USING (edition_id, pool) WHERE " + where + " ORDER BY s.entry")) {
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

    private static String predicate(Condition condition) {
        if (condition instanceof CourseCondition.Subjects subjects) {
            return "(s.subject IN " + list(subjects.codes()) + ")";
        }
        if (condition instanceof CourseCondition.Levels levels) {
            return "(c.level::text IN " + list(levels.levels()) + ")";
        }
        if (condition instanceof CourseCondition.Numbers numbers) {
            return numbers.numbers().stream()
                    .map(wanted -> "substring(s.number from '^[0-9]+')::int BETWEEN %d AND %d AND s.number LIKE '%%%s'"
                            .formatted(wanted.low(), wanted.high(), wanted.letters()))
                    .collect(Collectors.joining(" OR ", "(", ")"));
        }
        if (condition instanceof CourseCondition.Toward toward) {
            return "EXISTS (SELECT FROM course_requirements r WHERE (r.subject, r.number) = (s.subject, s.number)"
                    + " AND r.requirement IN " + list(toward.codes()) + ")";
        }
        if (condition instanceof SectionCondition.At at) {
            return "(s.campus IN " + list(at.codes()) + ")";
        }
        if (condition instanceof SectionCondition.Timed) {
            return meeting("m.starts IS NOT NULL");
        }
        if (condition instanceof SectionCondition.Taught taught) {
            return taught.deliveries().stream()
                    .map(delivery -> switch (delivery) {
                        case ON_SITE -> "NOT " + meeting("m.place = 'online'");
                        case MIXED -> meeting("m.place = 'online'") + " AND " + meeting("m.place <> 'online'");
                        case ONLINE_TIMED ->
                            "NOT " + meeting("m.place <> 'online'") + " AND " + meeting("m.starts IS NOT NULL");
                        case ONLINE_UNTIMED -> "NOT " + meeting("m.place <> 'online' OR m.starts IS NOT NULL");
                    })
                    .collect(Collectors.joining(" OR ", "(", ")"));
        }
        if (condition instanceof SectionCondition.Seats seats) {
            String open = "p.capacity - p.enrolled - p.promised - (SELECT coalesce(sum(h.seats), 0) FROM held_seats h"
                    + " WHERE h.pool = s.pool AND h.until >= date '" + Schedules.TODAY + "')";
            return "(NOT s.cancelled AND " + open + " >= " + seats.atLeast() + " AND p.waiting <= "
                    + seats.waitingAtMost().orElse(Integer.MAX_VALUE) + ")";
        }
        String untimed = "NOT " + meeting("m.starts IS NOT NULL");
        if (condition instanceof SectionCondition.OnDays onDays) {
            List<String> days = onDays.days().list().stream()
                    .map(day -> day.name().substring(0, 3).toLowerCase(Locale.ROOT))
                    .toList();
            String rule = switch (onDays.rule()) {
                case ONLY -> "NOT " + meetingDay("d NOT IN " + list(days));
                case ALL ->
                    days.stream().map(day -> meetingDay("d = '" + day + "'")).collect(Collectors.joining(" AND "));
                case ANY -> meetingDay("d IN " + list(days));
            };
            return "(" + untimed + " OR (" + rule + "))";
        }
        SectionCondition.Between between = (SectionCondition.Between) condition;
        String outside = between.from().map(from -> "m.starts < '" + from + "'").orElse("false")
                + between.to().map(to -> " OR m.ends > '" + to + "'").orElse("");
        return "NOT " + meeting(outside);
    }

    private static String meeting(String holds) {
        return "EXISTS (SELECT FROM meetings m WHERE m.entry = s.entry AND (" + holds + "))";
    }

    private static String meetingDay(String holds) {
        return "EXISTS (SELECT FROM meetings m, unnest(coalesce(string_to_array(m.days, ' '),"
                + " ARRAY[lower(to_char(m.date, 'dy'))])) d WHERE m.entry = s.entry AND d IS NOT NULL AND " + holds
                + ")";
    }

    private static String list(Iterable<?> values) {
        List<String> quoted = new ArrayList<>();
        values.forEach(value -> quoted.add("'" + value + "'"));
        return "(" + String.join(", ", quoted) + ")";
    }
}
