package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.exchange.BundleTable;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.FaultyBundleException;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.exchange.TableBuilder;
import ample.ledger.core.exchange.TableSchema;
import ample.ledger.store.Editions;
import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.term.Terms;
import com.microsoft.playwright.Page;
import java.math.BigDecimal;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Bundles that go to the limits of the format: what is accepted is shown, and as text. */
@ExtendWith(InChromium.class)
class AnyBundleTest extends AtSamiq {

    private static final int BUNDLES = 8;
    private static final int CELLS_CHANGED = 60;

    /** A bundle that is accepted can be read on every page, whatever stands in it. */
    @Test
    void noPostedValueMakesAPageFail() throws Exception {
        Random dice = new Random(20311128);
        ScheduleBundle samiq = ScheduleBundle.read(SAMIQ);
        int posted = 0;
        for (int tried = 0; posted < BUNDLES && tried < 100 * BUNDLES; tried++) {
            Optional<ScheduleBundle> extreme = extreme(samiq.tables(), dice);
            if (extreme.isPresent()) {
                posted++;
                post(extreme.get());
                readAllPages(extreme.get());
            }
        }
        assertThat(posted).isEqualTo(BUNDLES);
        post(samiq);
    }

    private static void post(ScheduleBundle bundle) {
        instance.context()
                .getBean(Editions.class)
                .post(bundle, "a test", "a test", Instant.parse("2031-06-17T08:41:00Z"));
        instance.context().getBean(Terms.class).refresh();
    }

    private static final String MARKUP = "harbour \"'></script></style></title><b data-posted>x</b>";

    /** What is posted is text, on every page, and in whatever its scripts make of it. */
    @Test
    void noTextOfABundleBecomesMarkup(Tabs tabs) throws Exception {
        ScheduleBundle samiq = ScheduleBundle.read(SAMIQ);
        List<String> columns = new ArrayList<>();
        ScheduleBundle marked = marked(samiq.tables(), columns);
        assertThat(columns)
                .contains("institution.name", "courses.title", "instructors.name", "meetings.room", "notes.text")
                .hasSizeGreaterThan(25);
        post(marked);
        String term = "/" + marked.schedule().term().code();
        Page browser = tabs.open();
        int shown = 0;
        for (String path : EveryPage.of(marked.schedule())) {
            HttpResponse<String> page = page(path);
            if (page.headers().firstValue("Content-Type").orElse("").startsWith("text/html")) {
                assertThat(page.body()).as(path).doesNotContain("<b data-posted");
                shown += page.body().contains("&lt;b data-posted") ? 1 : 0;
                browser.navigate(instance.root() + path);
                assertThat(browser.locator("[data-posted]").count()).as(path).isZero();
            }
        }
        assertThat(shown).isGreaterThan(30);
        browser.navigate(instance.root() + term + "/browse");
        browser.locator("#find").fill("harb");
        browser.locator("#suggestions li").first().waitFor();
        assertThat(browser.locator("#suggestions").textContent()).contains(MARKUP);
        assertThat(browser.locator("[data-posted]").count()).isZero();
        post(samiq);
    }

    /** Every text changed to markup that may be one, column by column. */
    private static ScheduleBundle marked(BundleTables tables, List<String> columns) {
        Map<String, BundleTable> changed = new HashMap<>(tables.tables());
        for (BundleTable table : tables.tables().values()) {
            TableSchema schema = table.schema();
            for (TableSchema.Column column : schema.columns()) {
                if (column.type() == TableSchema.Type.STRING
                        && column.values().isEmpty()
                        && column.pattern() == null
                        && !isKey(schema, column)
                        && !table.rows().isEmpty()) {
                    Map<String, BundleTable> next = new HashMap<>(changed);
                    next.computeIfPresent(schema.name(), (same, before) -> marked(before, column));
                    if (isBundle(next)) {
                        changed = next;
                        columns.add(schema.name() + "." + column.name());
                    }
                }
            }
        }
        return ScheduleBundle.of(new BundleTables(changed));
    }

    private static BundleTable marked(BundleTable table, TableSchema.Column column) {
        TableBuilder builder = new TableBuilder(table.schema());
        int at = table.schema().columns().indexOf(column);
        for (int i = 0; i < table.rows().size(); i++) {
            Object[] cells = table.rows().get(i).cells().clone();
            if (cells[at] != null) {
                cells[at] = MARKUP;
            }
            builder.add(i + 2, cells);
        }
        return builder.build();
    }

    private static boolean isKey(TableSchema schema, TableSchema.Column column) {
        return schema.primaryKey().contains(column.name())
                || schema.foreignKeys().stream()
                        .anyMatch(foreign -> foreign.columns().contains(column.name()));
    }

    private static void readAllPages(ScheduleBundle bundle) throws Exception {
        for (String path : EveryPage.of(bundle.schedule())) {
            HttpResponse<String> page = page(path);
            assertThat(page.statusCode()).as(path).isLessThan(500);
        }
    }

    /** Some cells changed to what the format allows at most, at least, or as text; empty where that is no bundle any more. */
    private static Optional<ScheduleBundle> extreme(BundleTables tables, Random dice) {
        Map<String, BundleTable> changed = new HashMap<>(tables.tables());
        for (int cell = 0; cell < CELLS_CHANGED; cell++) {
            List<String> names = tables.tables().keySet().stream().sorted().toList();
            String name = names.get(dice.nextInt(names.size()));
            BundleTable before = changed.get(name);
            if (!before.rows().isEmpty()) {
                BundleTable after = changed(before, dice);
                Map<String, BundleTable> next = new HashMap<>(changed);
                next.put(name, after);
                if (isBundle(next)) {
                    changed = next;
                }
            }
        }
        return changed.equals(tables.tables())
                ? Optional.empty()
                : Optional.of(ScheduleBundle.of(new BundleTables(changed)));
    }

    private static boolean isBundle(Map<String, BundleTable> tables) {
        try {
            ScheduleBundle.scheduleOf(new BundleTables(tables));
            return true;
        } catch (FaultyBundleException refused) {
            return false;
        }
    }

    private static BundleTable changed(BundleTable table, Random dice) {
        TableSchema schema = table.schema();
        int row = dice.nextInt(table.rows().size());
        int at = dice.nextInt(schema.columns().size());
        TableSchema.Column column = schema.columns().get(at);
        TableBuilder builder = new TableBuilder(schema);
        for (int i = 0; i < table.rows().size(); i++) {
            Object[] cells = table.rows().get(i).cells().clone();
            if (i == row && !isKey(schema, column)) {
                cells[at] = extreme(column, dice);
            }
            builder.add(i + 2, cells);
        }
        return builder.build();
    }

    private static Object extreme(TableSchema.Column column, Random dice) {
        if (!column.required() && dice.nextInt(3) == 0) {
            return null;
        }
        boolean most = dice.nextBoolean();
        BigDecimal bound = most ? column.maximum() : column.minimum();
        return switch (column.type()) {
            case INTEGER -> bound == null ? Integer.valueOf(most ? 99_999 : 0) : (Object) bound.intValueExact();
            case NUMBER -> bound == null ? new BigDecimal(most ? "999.5" : "0") : bound;
            case DATE -> LocalDate.of(most ? 2033 : 2030, 1, 1).plusDays(dice.nextInt(400));
            case BOOLEAN -> most;
            case TIME -> column.name().equals("ends") ? java.time.LocalTime.MAX : java.time.LocalTime.MIDNIGHT;
            case STRING -> text(column, dice);
        };
    }

    private static final List<String> TEXTS = List.of(
            "x",
            "<b>bold</b> & \"quoted\" 'text'",
            "a".repeat(5_000),
            "العربية والبحر 12، قاعة 3",
            "Łódź\u0301 \u202E turned",
            "{ordinal} {subject} {value} %s %d ${x} #{y}",
            "a / b",
            "🙂 \uD83C\uDF0A",
            "one\ntwo");

    private static String text(TableSchema.Column column, Random dice) {
        if (!column.values().isEmpty()) {
            return column.values().get(dice.nextInt(column.values().size()));
        }
        Pattern pattern = column.pattern();
        List<String> fitting = TEXTS.stream()
                .filter(text -> pattern == null || pattern.matcher(text).matches())
                .toList();
        return fitting.isEmpty() ? column.example() : fitting.get(dice.nextInt(fitting.size()));
    }
}
