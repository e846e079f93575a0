package ample.ledger.web.ready;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.readiness.Readiness.Line;
import ample.ledger.core.readiness.Readiness.Remedy;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.ready.ReadyPage.Field;
import ample.ledger.web.ready.ReadyPage.Mend;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.visit.StandingWords;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What mends a line of Readiness, as links and forms. */
final class Mends {

    private final ReadyAsk ask;

    Mends(ReadyAsk ask) {
        this.ask = ask;
    }

    List<Mend> of(Line line) {
        List<Mend> mends = new ArrayList<>();
        Answer then = line.then().orElse(Answer.DONE);
        if (then.isRefusedFor(Reason.HOLD)) {
            mends.add(page("Who lifts the hold", Addresses.with("/" + ask.term() + "/opening", "back", ask.address())));
        }
        if (then.isRefusedFor(Reason.PREREQUISITE) || then.isRefusedFor(Reason.NEEDS_PERMISSION)) {
            Attendance lead = line.step().lead();
            mends.add(page(
                    "See what comes before " + lead.section().course().written(),
                    new Addresses(lead.term().code())
                            .course(lead.section().course().code(), Brief.EVERYTHING)));
        }
        line.remedies().forEach(remedy -> mends.add(mend(remedy)));
        return mends;
    }

    private static Mend page(String words, String address) {
        return new Mend(words, "", List.of(), address);
    }

    private Mend mend(Remedy remedy) {
        if (remedy instanceof Remedy.Wait wait) {
            return form(
                    "Wait: you would be " + StandingWords.place(wait.place()) + ", no credits until then",
                    "standing",
                    wait.set().stream().map(one -> new Field("line", token(one))),
                    Stream.of(new Field("standing", "waited-for")));
        }
        if (remedy instanceof Remedy.LeaveOut out) {
            return form(
                    "Leave out " + names(out.others()),
                    "remove",
                    out.others().stream().map(one -> new Field("line", token(one))),
                    Stream.of());
        }
        Remedy.Instead instead = (Remedy.Instead) remedy;
        return form(
                instead.out().isEmpty()
                        ? "Add " + names(instead.in())
                        : instead.in().isEmpty()
                                ? "Without " + names(instead.out())
                                : names(instead.in()) + " instead of " + names(instead.out()),
                "swap",
                instead.out().stream().map(one -> new Field("out", token(one))),
                instead.in().stream().map(one -> new Field("in", token(one))));
    }

    private Mend form(String words, String act, Stream<Field> fields, Stream<Field> more) {
        return new Mend(
                words,
                "/" + ask.term() + "/week/" + act,
                Stream.of(fields, more, Stream.of(new Field("back", ask.address())))
                        .flatMap(some -> some)
                        .toList(),
                "");
    }

    private String token(Attendance one) {
        TermCode own = one.term().code();
        String digits = one.section().entry().digits();
        return own.equals(ask.term()) ? digits : own + "." + digits;
    }

    private static String names(List<Attendance> some) {
        return some.stream().map(Object::toString).collect(Collectors.joining(" and "));
    }
}
