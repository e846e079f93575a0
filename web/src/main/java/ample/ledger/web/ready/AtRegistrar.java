package ample.ledger.web.ready;

import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.readiness.Foretold;
import ample.ledger.core.readiness.Steps;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.rules.Registrant;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import java.util.Optional;

/**
 * A signed-in student whose registrar takes submissions: what they have there, and what they would be answered.
 *
 * @param who as the rules know them
 * @param has what they have there
 */
public record AtRegistrar(Visit visit, Terms terms, Registrant who, Registration has) {

    /** Empty for a guest, and where the registrar takes no submissions or does not answer. */
    public static Optional<AtRegistrar> of(Visit visit, Terms terms) {
        return visit.registrar()
                .file()
                .flatMap(file -> visit.registration()
                        .map(has -> new AtRegistrar(visit, terms, Registrant.of(file, visit.posted()), has)));
    }

    PostedSchedules posted() {
        return visit.posted();
    }

    PlannedWeek week(SeasonCode season) {
        return visit.week(season);
    }

    /** What a week asks of the registrar, in the order that works. */
    Steps steps(PlannedWeek week) {
        return Steps.of(
                week,
                has,
                one -> visit.reading(terms.get(one.term().code()), one.section())
                        .seats()
                        .open());
    }

    /** The rules, on how all stands now. */
    public Foretold foretold() {
        return new Foretold(posted(), who, has, pool -> {
            var posted = terms.get(new TermCode(pool.term()));
            SeatPool asPosted = posted.schedule().pool(pool.code()).orElseThrow();
            return posted.index().standing(asPosted);
        });
    }
}
