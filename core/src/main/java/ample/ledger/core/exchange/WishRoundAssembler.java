package ample.ledger.core.exchange;

import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.StudentGroup;
import ample.ledger.core.schedule.WishRound;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes wish rounds of the tables that state them. */
final class WishRoundAssembler {

    private final RowsToAssemble rows;
    private final Groups students;
    private final Map<String, List<BundleTable.Row>> groups;
    private final Map<List<String>, List<BundleTable.Row>> sections;
    private final Map<String, List<BundleTable.Row>> criteria;

    WishRoundAssembler(RowsToAssemble rows, Groups students) {
        this.rows = rows;
        this.students = students;
        this.groups = rows.grouped("wish_groups", row -> Optional.of(row.text("round")));
        this.sections = rows.grouped(
                "wish_group_sections", row -> Optional.of(List.of(row.text("round"), row.text("wish_group"))));
        this.criteria = rows.grouped("wish_criteria", row -> Optional.of(row.text("round")));
    }

    /** In the order posted. Where a table lacks rows it is not known what the rounds are. */
    List<WishRound> rounds() {
        return rows.complete("wish_groups", "wish_group_sections", "wish_criteria", "sections")
                ? rows.each("wish_rounds", this::round)
                : List.of();
    }

    private WishRound round(BundleTable.Row row) {
        String code = row.text("round");
        try {
            return new WishRound(
                    code,
                    row.text("name"),
                    moment(row, "opens"),
                    moment(row, "closes"),
                    Coded.parse(WishRound.Rule.class, row.text("rule")).orElseThrow(),
                    row.yes("even"),
                    row.yes("shows_wishes"),
                    row.optionalText("meaning"),
                    rows.collect(
                            criteria.getOrDefault(code, List.of()).stream()
                                    .sorted(Comparator.comparingInt(each -> each.integer("position")))
                                    .toList(),
                            this::criterion),
                    groups.getOrDefault(code, List.of()).stream()
                            .map(this::group)
                            .toList());
        } catch (IllegalArgumentException cannotBe) {
            throw new Unfit("round", String.valueOf(cannotBe.getMessage()));
        }
    }

    private static LocalDateTime moment(BundleTable.Row row, String name) {
        return row.date(name)
                .atTime(row.optional(name + "_time", LocalTime.class).orElseThrow());
    }

    private WishRound.Criterion criterion(BundleTable.Row row) {
        StudentGroup who = students.group(row).orElseThrow();
        return new WishRound.Criterion(row.text("name"), who, row.optionalText("wish_group"));
    }

    private WishRound.Group group(BundleTable.Row row) {
        return new WishRound.Group(
                row.text("wish_group"),
                row.text("name"),
                row.integer("places"),
                row.integer("least"),
                sections.getOrDefault(List.of(row.text("round"), row.text("wish_group")), List.of()).stream()
                        .map(each -> new EntryNumber(each.text("entry")))
                        .toList());
    }
}
