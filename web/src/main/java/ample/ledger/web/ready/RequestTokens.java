package ample.ledger.web.ready;

import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Request.Act;
import ample.ledger.core.schedule.Coded;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** How forms write requests: {@code swap:autumn-2031.40136:autumn-2031.40137}, with commas between sections. */
final class RequestTokens {

    private static final int PARTS = 3;
    private static final int LONGEST = 600;

    private RequestTokens() {}

    static String of(Request request) {
        return "%s:%s:%s".formatted(request.act(), entries(request.set()), entries(request.instead()));
    }

    private static String entries(List<Entry> entries) {
        return entries.stream()
                .map(entry -> entry.term() + "." + entry.number())
                .collect(Collectors.joining(","));
    }

    /** Empty for what is none. */
    static Optional<Request> parse(String token) {
        String[] parts = token.split(":", PARTS);
        if (parts.length < PARTS || token.length() > LONGEST) {
            return Optional.empty();
        }
        try {
            return Coded.parse(Act.class, parts[0]).map(act -> new Request(act, entries(parts[1]), entries(parts[2])));
        } catch (IllegalArgumentException wrong) {
            return Optional.empty();
        }
    }

    private static List<Entry> entries(String text) {
        return Arrays.stream(text.split(","))
                .filter(entry -> !entry.isEmpty())
                .map(RequestTokens::entry)
                .toList();
    }

    /** @throws IllegalArgumentException for what names no section */
    static Entry entry(String text) {
        int dot = text.lastIndexOf('.');
        if (dot < 1 || dot == text.length() - 1) {
            throw new IllegalArgumentException(
                    "A section is written as its term, a full stop and its number, not “" + text + "”");
        }
        return new Entry(text.substring(0, dot), text.substring(dot + 1));
    }
}
