package ample.ledger.web.ready;

import ample.ledger.core.registrar.Entry;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.term.Addresses;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What the address of Readiness asks for.
 *
 * @param order the leading sections in the order that the student wants; empty for the order that works
 * @param arranging whether the order is being changed
 * @param submitted the name of the submission whose answers are shown; empty for none
 */
record ReadyAsk(TermCode term, List<Entry> order, boolean arranging, String submitted) {

    private static final int MOST = 60;

    static ReadyAsk of(TermCode term, String order, String arrange, String submitted) {
        return new ReadyAsk(
                term,
                Arrays.stream(order.split(","))
                        .limit(MOST)
                        .filter(entry -> entry.matches("[\\w-]+\\.\\d+"))
                        .map(RequestTokens::entry)
                        .toList(),
                arrange.equals("yes"),
                submitted.matches("[\\w-]{1,100}") ? submitted : "");
    }

    ReadyAsk inOrder(List<Entry> leads) {
        return new ReadyAsk(term, leads, arranging, submitted);
    }

    ReadyAsk arrange(boolean now) {
        return new ReadyAsk(term, order, now, submitted);
    }

    /** Without the answers that are shown. */
    ReadyAsk plain() {
        return new ReadyAsk(term, order, false, "");
    }

    String address() {
        String address = "/" + term + "/ready";
        if (!order.isEmpty()) {
            address = Addresses.with(
                    address,
                    "order",
                    order.stream()
                            .map(entry -> entry.term() + "." + entry.number())
                            .collect(Collectors.joining(",")));
        }
        if (arranging) {
            address = Addresses.with(address, "arrange", "yes");
        }
        return submitted.isEmpty() ? address : Addresses.with(address, "submitted", submitted);
    }
}
