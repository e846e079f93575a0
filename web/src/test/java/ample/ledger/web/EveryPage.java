package ample.ledger.web;

import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** The addresses of all pages and lists of a term, of its first sections. */
final class EveryPage {

    private EveryPage() {}

    static List<String> of(Schedule schedule) {
        String term = "/" + schedule.term().code();
        List<String> paths = new ArrayList<>(List.of(
                term + "/browse",
                term + "/browse?order=seats",
                term + "/browse?days=only:mon&seats=1&heard=x",
                term + "/browse?status=open&untimed=no",
                term + "/week",
                term + "/opening",
                term + "/find?text=water+no+weekend",
                "/lists",
                "/lists/v1" + term + "/sections.csv",
                "/lists/v1" + term + "/sections.json"));
        schedule.sections().stream().limit(12).forEach(section -> paths.addAll(of(section, term)));
        paths.add(term + "/line-up?line="
                + schedule.sections().get(0).entry() + ","
                + schedule.sections().get(1).entry());
        return paths;
    }

    private static List<String> of(Section section, String term) {
        return List.of(
                term + "/section/" + section.entry(),
                term + "/section/" + section.entry() + "/calendar.ics",
                term + "/browse?line=" + section.entry() + "&look=" + section.entry(),
                term + "/course/"
                        + URLEncoder.encode(
                                section.course().code().subject() + "-"
                                        + section.course().code().number(),
                                StandardCharsets.UTF_8),
                "/lists/v1" + term + "/sections/" + section.entry() + ".jsonld");
    }
}
