package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;

class BundleFormatTest {

    private static final List<TableSchema> TABLES = BundleFormat.current().tables();

    @Test
    void thePageForPeopleSaysWhatTheDescriptorSays() throws IOException {
        String page = Files.readString(Schedules.repository().resolve("docs/formats/schedule-bundle.md"));

        for (TableSchema table : TABLES) {
            int from = page.indexOf("\n## " + table.name() + "\n");
            assertThat(from).as(table.name()).isPositive();
            int next = page.indexOf("\n## ", from + 1);
            List<String> rows = page.substring(from, next < 0 ? page.length() : next)
                    .lines()
                    .filter(line -> line.startsWith("|"))
                    .skip(2)
                    .toList();
            assertThat(rows).as(table.name()).hasSameSizeAs(table.columns());
            for (int i = 0; i < rows.size(); i++) {
                TableSchema.Column column = table.columns().get(i);
                String name = table.primaryKey().contains(column.name()) ? "**" + column.name() + "**" : column.name();
                assertThat(rows.get(i))
                        .startsWith("| %s | %s | %s |"
                                .formatted(
                                        name,
                                        column.type().name().toLowerCase(Locale.ROOT),
                                        column.required() ? "" : "yes"));
            }
        }
    }

    @Test
    void everyTableComesAfterThoseItRefersTo() {
        List<String> names = TABLES.stream().map(TableSchema::name).toList();

        for (TableSchema table : TABLES) {
            assertThat(table.foreignKeys())
                    .allSatisfy(key -> assertThat(names.indexOf(key.table())).isLessThan(names.indexOf(table.name())));
        }
    }

    @Test
    void everyExampleIsACellOfItsColumn() {
        for (TableSchema table : TABLES) {
            for (TableSchema.Column column : table.columns()) {
                assertThat(CellReader.read(column, column.example()).fault())
                        .as(table.name() + "." + column.name())
                        .matches(fault -> fault.isEmpty() || column.example().isEmpty());
            }
        }
    }
}
