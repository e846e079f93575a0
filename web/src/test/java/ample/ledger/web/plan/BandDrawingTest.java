package ample.ledger.web.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.week;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.preferences.Preferences;
import java.awt.geom.Rectangle2D;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.util.LinkedMultiValueMap;

/** What holds of the picture of any week. */
class BandDrawingTest {

    static Stream<PlannedWeek> weeks() {
        Random random = new Random(31);
        return IntStream.range(0, 300).mapToObj(i -> {
            List<Section> sections = new ArrayList<>(KERNEL.sections());
            Collections.shuffle(sections, random);
            return week(sections.stream()
                    .limit(1 + random.nextInt(14))
                    .map(Section::toString)
                    .toArray(String[]::new));
        });
    }

    @ParameterizedTest
    @MethodSource("weeks")
    void everythingHeldIsDrawnOnItsDaysAndNothingLiesOnAnother(PlannedWeek week) {
        for (Bands.Band band : draw(week).days()) {
            long held = week.attended().stream()
                    .flatMap(attendance -> attendance.stays().stream())
                    .filter(stay -> !stay.exam()
                            && stay.days().contains(Days.parseDay(band.code()).orElseThrow()))
                    .count();
            assertThat(band.blocks()).hasSize((int) held);

            List<Rectangle2D> drawn = band.blocks().stream()
                    .map(block -> rectangle(block.x(), block.width(), block.y(), block.height()))
                    .toList();
            for (int i = 0; i < drawn.size(); i++) {
                assertThat(drawn.get(i).getMaxY()).isLessThanOrEqualTo(band.height());
                for (int j = 0; j < i; j++) {
                    assertThat(drawn.get(i).intersects(drawn.get(j)))
                            .as("%s on %s", band.blocks().get(i), band.blocks().get(j))
                            .isFalse();
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("weeks")
    void whatIsOfferedAsFreeIsFreeAndWithinTheHours(PlannedWeek week) {
        for (Bands.Band band : draw(week).days()) {
            for (Bands.Free free : band.free()) {
                Rectangle2D stretch = rectangle(free.x(), free.width(), 0, band.height());
                assertThat(stretch.getMaxX()).isLessThanOrEqualTo(100.01);
                assertThat(band.blocks())
                        .noneMatch(block -> rectangle(block.x(), block.width(), block.y(), block.height())
                                .intersects(stretch));
            }
        }
    }

    private static Bands draw(PlannedWeek week) {
        WeekAsk ask = WeekAsk.of(new TermCode("autumn-2031"), new LinkedMultiValueMap<>());
        return new BandDrawing(
                        week,
                        KERNEL.term(),
                        ask,
                        WeekForm.USUAL,
                        Preferences.USUAL,
                        Registration.nothing(Instant.EPOCH),
                        List.of(),
                        List.of())
                .draw();
    }

    /** A hair smaller across than it is drawn, since shares are written to a hundredth. */
    private static Rectangle2D rectangle(String x, String width, int y, int height) {
        return new Rectangle2D.Double(share(x) + 0.01, y, share(width) - 0.02, height);
    }

    private static double share(String percent) {
        return Double.parseDouble(percent.replace("%", ""));
    }
}
