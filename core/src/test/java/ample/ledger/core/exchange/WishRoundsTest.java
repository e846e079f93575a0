package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.StudentGroup;
import ample.ledger.core.schedule.WishRound;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Wish rounds as a bundle states them. */
class WishRoundsTest {

    private static final String ROUNDS =
            "round,term,name,opens,opens_time,closes,closes_time,rule,even,shows_wishes,meaning\n";
    private static final String GROUPS = "round,wish_group,name,places,least\n";
    private static final String SECTIONS = "round,wish_group,entry\n";
    private static final String CRITERIA = "round,position,wish_group,name,about,any_of\n";

    @TempDir
    private Path bundle;

    @BeforeEach
    void copyTheKernel() throws IOException {
        try (Stream<Path> files = Files.list(Schedules.kernel())) {
            for (Path file : files.toList()) {
                Files.copy(file, bundle.resolve(file.getFileName()));
            }
        }
        write(
                "wish_rounds",
                ROUNDS + "field,autumn-2031,Field courses,2031-06-09,08:00,2031-06-24,18:00,by-priority,false,true,\n");
        write("wish_groups", GROUPS + "field,foray,Autumn foray,8,4\nfield,ice,Ice,12,0\n");
        write("wish_group_sections", SECTIONS + "field,foray,40448\nfield,ice,40220\nfield,ice,40227\n");
        write(
                "wish_criteria",
                CRITERIA
                        + "field,2,,Third year and above,level,3 4\nfield,1,ice,Glaciology majors,programme,glaciology\n");
    }

    private void write(String table, String text) throws IOException {
        Files.writeString(bundle.resolve(table + ".csv"), text);
    }

    @Test
    void aRoundHasItsGroupsAndItsCriteriaInTheirOrder() {
        List<WishRound> rounds = ScheduleBundle.read(bundle).schedule().lists().wishRounds();

        assertThat(rounds)
                .containsExactly(new WishRound(
                        "field",
                        "Field courses",
                        LocalDateTime.parse("2031-06-09T08:00"),
                        LocalDateTime.parse("2031-06-24T18:00"),
                        WishRound.Rule.BY_PRIORITY,
                        false,
                        true,
                        Optional.empty(),
                        List.of(
                                new WishRound.Criterion(
                                        "Glaciology majors",
                                        new StudentGroup(StudentGroup.About.PROGRAMME, List.of("glaciology")),
                                        Optional.of("ice")),
                                new WishRound.Criterion(
                                        "Third year and above",
                                        new StudentGroup(StudentGroup.About.LEVEL, List.of("3", "4")),
                                        Optional.empty())),
                        List.of(
                                new WishRound.Group("foray", "Autumn foray", 8, 4, List.of(new EntryNumber("40448"))),
                                new WishRound.Group(
                                        "ice",
                                        "Ice",
                                        12,
                                        0,
                                        List.of(new EntryNumber("40220"), new EntryNumber("40227"))))));
        WishRound round = rounds.get(0);
        assertThat(round.isOpen(round.opens())).isTrue();
        assertThat(round.isOpen(round.closes())).isFalse();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            wish_rounds         | by-priority,false         | by-priority,true          | Groups can be even only
            wish_rounds         | by-priority,false         | most-placed,false         | A criterion can be for one group only
            wish_rounds         | 2031-06-24,18:00          | 2031-06-09,08:00          | The period must end after it begins
            wish_rounds         | by-priority               | first-come                | first-come
            wish_groups         | 8,4                       | 3,4                       | has 3 places, and cannot have a least size of 4
            wish_group_sections | field,foray,40448         | field,foray,40220         | Section 40220 is in two groups
            wish_group_sections | field,foray,40448         | field,ice,40448           | Group foray has no section
            wish_group_sections | field,foray,40448         | field,foray,99999         | sections.csv has no row for 99999
            wish_criteria       | field,1,ice               | field,1,snow              | A criterion is for group snow, which the round does not have
            wish_criteria       | programme,glaciology      | programme,astrology       | programmes.csv has no row for astrology
            """)
    void whatCannotBeIsNamed(String table, String text, String instead, String sentence) throws IOException {
        String before = Files.readString(bundle.resolve(table + ".csv"));
        assertThat(before).contains(text);
        write(table, before.replace(text, instead));

        assertThatThrownBy(() -> ScheduleBundle.read(bundle))
                .isInstanceOfSatisfying(
                        FaultyBundleException.class,
                        faulty -> assertThat(faulty.faults())
                                .anySatisfy(
                                        fault -> assertThat(fault.toString()).contains(sentence)));
    }
}
