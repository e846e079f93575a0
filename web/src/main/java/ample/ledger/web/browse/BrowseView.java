package ample.ledger.web.browse;

import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Order;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.web.term.Addresses;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * How the answer to a brief is looked at; what an address of Browse says beside the brief.
 *
 * @param order of the lines
 * @param page of the list, from 1; a page beyond the last is the last
 * @param line a section whose page is shown, whatever {@code page} says
 * @param looks sections that are opened in place
 * @param edit the condition whose editor is open, {@link #MORE} for the list of those not in the brief; empty for none
 * @param heard the text that the brief was read from
 * @param came the path of the term that the brief was taken along from
 * @param whole whether the whole list stands on one page, to be printed or searched
 */
record BrowseView(
        Order order,
        int page,
        Optional<EntryNumber> line,
        Set<EntryNumber> looks,
        String edit,
        String heard,
        String came,
        boolean whole) {

    static final String MORE = "more";

    static final Set<String> PARAMETERS = Set.of(
            Addressing.STRUCK, "order", "page", "line", "look", "edit", "heard", "came", "whole", "close", "reopen");

    private static final int MOST_LOOKS = 20;
    private static final int MOST_PAGES = 100_000;

    BrowseView {
        looks = Set.copyOf(looks);
    }

    /** As an address says without a word about it. */
    static final BrowseView USUAL = new BrowseView(Order.COURSE, 1, Optional.empty(), Set.of(), "", "", "", false);

    /** What makes no sense is passed over: nothing of it changes what is found. */
    static BrowseView read(HttpServletRequest request) {
        return new BrowseView(
                Coded.parse(Order.class, one(request, "order")).orElse(Order.COURSE),
                page(one(request, "page")),
                EntryNumber.parse(one(request, "line")),
                Arrays.stream(one(request, "look").split(","))
                        .limit(MOST_LOOKS)
                        .flatMap(entry -> EntryNumber.parse(entry).stream())
                        .collect(Collectors.toSet()),
                edit(one(request, "edit")),
                one(request, "heard"),
                one(request, "came").matches("[a-z0-9/-]{1,60}") ? one(request, "came") : "",
                one(request, "whole").equals("yes"));
    }

    private static String one(HttpServletRequest request, String parameter) {
        String value = request.getParameter(parameter);
        return value == null ? "" : value;
    }

    private static int page(String text) {
        return text.matches("[0-9]{1,6}") ? Math.max(1, Math.min(MOST_PAGES, Integer.parseInt(text))) : 1;
    }

    private static String edit(String text) {
        return text.equals(MORE) || Coded.parse(Topic.class, text).isPresent() ? text.toLowerCase(Locale.ROOT) : "";
    }

    boolean edits(Topic topic) {
        return edit.equals(topic.code());
    }

    BrowseView onPage(int other) {
        return new BrowseView(order, other, Optional.empty(), Set.of(), "", heard, came, whole);
    }

    BrowseView in(Order other) {
        return new BrowseView(other, 1, Optional.empty(), Set.of(), "", heard, came, whole);
    }

    BrowseView editing(String topic) {
        return new BrowseView(order, page, line, looks, topic, heard, came, whole);
    }

    BrowseView looking(EntryNumber at) {
        return new BrowseView(order, page, Optional.of(at), Set.of(at), "", heard, came, whole);
    }

    /** With the whole list on one page. */
    BrowseView onOnePage() {
        return new BrowseView(order, 1, Optional.empty(), Set.of(), "", heard, "", true);
    }

    /** What stays when the brief changes: the order. */
    BrowseView afterChange() {
        return USUAL.in(order);
    }

    /** An address of Browse with this view. */
    String on(String address) {
        String says = address;
        if (order != Order.COURSE) {
            says = Addresses.with(says, "order", order.code());
        }
        if (line.isPresent()) {
            says = Addresses.with(says, "line", line.get().digits());
        } else if (page > 1) {
            says = Addresses.with(says, "page", String.valueOf(page));
        }
        if (!looks.isEmpty()) {
            says = Addresses.with(
                    says,
                    "look",
                    looks.stream().map(EntryNumber::digits).sorted().collect(Collectors.joining(",")));
        }
        if (!edit.isEmpty()) {
            says = Addresses.with(says, "edit", edit);
        }
        if (!heard.isEmpty()) {
            says = Addresses.with(says, "heard", heard);
        }
        if (whole) {
            says = Addresses.with(says, "whole", "yes");
        }
        return came.isEmpty() ? says : Addresses.with(says, "came", came);
    }
}
