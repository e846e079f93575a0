package ample.ledger.web.watch;

import ample.ledger.web.watch.NoticeContent.Action;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.web.util.HtmlUtils;

/**
 * Writes a letter.
 *
 * @param root where readers reach this application
 * @param stop the address that stops letters
 */
record LetterWords(String root, String stop) {

    /** @param contents what it tells; at least one */
    String subject(List<NoticeContent> contents) {
        String first = contents.get(0).heading();
        return contents.size() == 1 ? first : "%s, and %d more".formatted(first, contents.size() - 1);
    }

    String text(List<NoticeContent> contents) {
        return contents.stream().map(this::text).collect(Collectors.joining("\n\n")) + "\n\n-- \nAll your notices: "
                + root + "/notices\nStop these letters: " + stop + "\n";
    }

    private String text(NoticeContent content) {
        return content.heading() + "\n" + String.join("\n", content.lines()) + "\n"
                + content.actions().stream()
                        .map(action -> action.label() + ": " + address(action))
                        .collect(Collectors.joining("\n"));
    }

    /** What a form does cannot be done from a letter: it is done on the page of the notices. */
    private String address(Action action) {
        return root + (action.form() ? "/notices" : action.address());
    }

    String html(List<NoticeContent> contents) {
        return "<!doctype html><html lang=\"en\"><body>"
                + contents.stream().map(this::html).collect(Collectors.joining())
                + "<hr><p><a href=\"" + root + "/notices\">See all your notices</a> · <a href=\"" + stop
                + "\">Stop these letters</a></p></body></html>";
    }

    private String html(NoticeContent content) {
        return "<h2>" + HtmlUtils.htmlEscape(content.heading()) + "</h2>"
                + content.lines().stream()
                        .map(line -> "<p>" + HtmlUtils.htmlEscape(line) + "</p>")
                        .collect(Collectors.joining())
                + "<p>"
                + content.actions().stream()
                        .map(action -> "<a href=\"" + HtmlUtils.htmlEscape(address(action)) + "\">"
                                + HtmlUtils.htmlEscape(action.label()) + "</a>")
                        .collect(Collectors.joining(" · "))
                + "</p>";
    }
}
