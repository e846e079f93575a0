package ample.ledger.core.browse.answer;

import static ample.ledger.core.fixtures.SectionBuilder.days;
import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Having;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Kind;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A lecture on Monday and Wednesday with a lab on Friday and one on Tuesday. */
class ByItselfTest {

    private static final List<Moment> NOW = List.of(Schedules.now(Schedules.indexOf(
            section("TIDE 214")
                    .entry("40001")
                    .code("T1")
                    .meets("Mon Wed", "9:00-10:00")
                    .build(),
            section("TIDE 214")
                    .entry("40002")
                    .code("a")
                    .kind(Kind.LAB)
                    .meets("Fri", "9:00-11:00")
                    .companion("lab", Optional.empty())
                    .build(),
            section("TIDE 214")
                    .entry("40003")
                    .code("b")
                    .kind(Kind.LAB)
                    .meets("Tue", "9:00-11:00")
                    .companion("lab", Optional.empty())
                    .build())));

    private static final Having LABS = Having.any(Facet.KIND, Set.of("lab"));

    @Test
    void aLabFitsWithoutItsLecture() {
        Brief friday = Brief.of(LABS, new OnDays(OnDays.Rule.ONLY, days("Fri")));

        ByItself alone = byItself(friday).orElseThrow();
        assertThat(alone.sections()).isEqualTo(1);
        assertThat(alone.kind()).contains("lab");
        assertThat(SeasonFindings.of(NOW, alone.brief()).terms().get(0).fitting())
                .extracting(Object::toString)
                .containsExactly("TIDE 214 a");
        assertThat(byItself(alone.brief())).as("asked already").isEmpty();
    }

    @Test
    void nothingIsSaidWhereSomethingFitsOrNothingWould() {
        assertThat(byItself(Brief.of(LABS, new OnDays(OnDays.Rule.ONLY, days("Mon Wed Fri")))))
                .isEmpty();
        assertThat(byItself(Brief.of(LABS, new OnDays(OnDays.Rule.ONLY, days("Sat")))))
                .isEmpty();
        assertThat(byItself(Brief.of(Having.any(Facet.KIND, Set.of("studio"))))).isEmpty();
    }

    private static Optional<ByItself> byItself(Brief brief) {
        return ByItself.of(SeasonFindings.of(NOW, brief), NOW);
    }
}
