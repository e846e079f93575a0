package ample.ledger.web.term;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.exchange.SectionList;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * The addresses of one term's screens, or those of a season. Each carries the brief, so that every screen leads back to the
 * same search.
 *
 * @param term the code of the term, or the path of the season
 */
public record Addresses(String term) {

    public Addresses(TermCode term) {
        this(term.text());
    }

    /** Browse with this brief. */
    public String browse(Brief brief) {
        return "/" + term + "/browse" + query(brief);
    }

    /** Browse with this brief, at the line of one section, on whatever page of the list it is. */
    public String browseAt(Brief brief, EntryNumber entry) {
        return with(browse(brief), "line", entry.digits()) + "#e" + entry;
    }

    /** An address with one parameter more. */
    public static String with(String address, String parameter, String value) {
        return address + (address.contains("?") ? "&" : "?") + parameter + "=" + encode(value);
    }

    /** The sheet of one section. */
    public String sheet(EntryNumber entry, Brief brief) {
        return "/" + term + "/section/" + entry + query(brief);
    }

    /** The page of one course. */
    public String course(CourseCode course, Brief brief) {
        return "/" + term + "/course/" + encode(course.subject() + "-" + course.number()) + query(brief);
    }

    /** Sections side by side, with the way back to {@code back}. */
    public String lineUp(Stream<Section> sections, String back) {
        String lines = sections.map(section -> section.entry().digits()).collect(Collectors.joining(","));
        return with(with("/" + term + "/line-up", "line", lines), "back", back);
    }

    /** Where sections are sent to be kept in the visitor's week. */
    public String keep() {
        return "/" + term + "/week/add";
    }

    /** The section's meetings as a calendar file. */
    public String calendarFile(EntryNumber entry) {
        return "/" + term + "/section/" + entry + "/calendar.ics";
    }

    /** The sections that fit this brief, for programs: {@code csv} or {@code json}. */
    public String list(String form, Brief brief) {
        return "/lists/v" + SectionList.VERSION + "/" + term + "/sections." + form + query(brief);
    }

    /** The brief as the part of an address from its question mark on; empty for a brief without conditions. */
    public static String query(Brief brief) {
        String query = brief.parameters().entrySet().stream()
                .map(parameter -> parameter.getKey() + "=" + encode(parameter.getValue()))
                .collect(Collectors.joining("&"));
        return query.isEmpty() ? "" : "?" + query;
    }

    /** Percent-encoded, except for the comma and the colon, which RFC 3986 lets a query hold as they are. */
    private static String encode(String value) {
        return URLEncoder.encode(value, StandardCharsets.UTF_8)
                .replace("%2C", ",")
                .replace("%3A", ":");
    }

    /** What stands in the query of an address; empty for what is none. */
    public static Optional<Map<String, List<String>>> parameters(String address) {
        try {
            Map<String, List<String>> parameters = new HashMap<>();
            UriComponentsBuilder.fromUriString(address)
                    .build()
                    .getQueryParams()
                    .forEach((name, values) -> parameters.put(
                            name,
                            values.stream()
                                    .map(value -> URLDecoder.decode(value == null ? "" : value, StandardCharsets.UTF_8))
                                    .toList()));
            return Optional.of(parameters);
        } catch (IllegalArgumentException noAddress) {
            return Optional.empty();
        }
    }
}
