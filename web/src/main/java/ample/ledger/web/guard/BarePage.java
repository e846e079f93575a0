package ample.ledger.web.guard;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.web.util.HtmlUtils;

/**
 * The page of a trouble for requests that are not let in far enough for any other: it needs nothing but itself and the styles that
 * lie at a fixed address.
 */
final class BarePage {

    private static final String PAGE = """
            <!doctype html>
            <html lang="en">
            <head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
            <meta name="color-scheme" content="light dark"><title>%1$s · Ample Ledger</title>
            <link rel="icon" href="/assets/mark.svg" type="image/svg+xml"><link rel="stylesheet" href="/assets/ledger.css"></head>
            <body class="screen-trouble"><header class="top"><a class="mark" href="/"><img src="/assets/mark.svg" width="22" height="22" alt=""> Ample Ledger</a></header>
            <main id="main" class="trouble"><h1>%1$s</h1><p>%2$s</p><ul><li><a href="/">Browse the schedule</a></li></ul></main>
            </body></html>
            """;

    private BarePage() {}

    /** Writes the page, unless something else has been written. */
    static void write(HttpServletResponse response, int status) throws IOException {
        write(response, status, new Refusal(title(status), explanation(status)));
    }

    /** The same, saying why. */
    static void write(HttpServletResponse response, int status, Refusal why) throws IOException {
        if (response.isCommitted()) {
            return;
        }
        response.resetBuffer();
        response.setStatus(status);
        response.setContentType("text/html;charset=UTF-8");
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        SecurityHeaders.ALL.forEach(response::setHeader);
        byte[] page = PAGE.formatted(HtmlUtils.htmlEscape(why.title()), HtmlUtils.htmlEscape(why.explanation()))
                .getBytes(StandardCharsets.UTF_8);
        response.setContentLength(page.length);
        response.getOutputStream().write(page);
    }

    private static String title(int status) {
        return switch (status) {
            case 404 -> "There is no page at this address.";
            case 429 -> "Too many requests come from your address.";
            default -> status < 500 ? "The request was not understood." : "Something went wrong on our side.";
        };
    }

    private static String explanation(int status) {
        return status == 429 || status >= 500
                ? "Nothing of yours was lost. Try again in a moment."
                : "Nothing was changed by it. The address may have been mistyped.";
    }
}
