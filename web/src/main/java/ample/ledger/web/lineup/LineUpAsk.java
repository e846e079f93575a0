package ample.ledger.web.lineup;

import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.term.Picked;
import ample.ledger.web.term.PostedTerm;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What an address of a line-up asks.
 *
 * @param shown the sections that stand side by side, at most as many as fit
 * @param meant the sections that what was added can mean
 * @param say what was left out, and why
 */
record LineUpAsk(List<Section> shown, List<Section> meant, List<String> say) {

    /**
     * @param lines sections, as {@link Picked} has them
     * @param add an entry number, or the code of a course; may be empty
     * @param nameOf the name of another term by its code
     */
    static LineUpAsk of(PostedTerm posted, List<String> lines, String add, Function<TermCode, String> nameOf) {
        TermCode term = posted.edition().term();
        String name = posted.schedule().term().name();
        List<String> say = new ArrayList<>();
        List<Section> sections = new ArrayList<>();
        for (Picked picked : Picked.of(term, lines)) {
            Optional<Section> section = EntryNumber.parse(picked.entry())
                    .filter(entry -> picked.term().equals(term))
                    .flatMap(posted.schedule()::section);
            section.ifPresentOrElse(
                    sections::add,
                    () -> say.add(
                            picked.term().equals(term)
                                    ? noSection(name, picked.entry()) + "."
                                    : "A line-up holds sections of one term. Here are those of %s; left out: %s of %s."
                                            .formatted(name, picked.entry(), nameOf.apply(picked.term()))));
        }
        if (sections.size() > LineUpPages.MOST) {
            say.add("A line-up holds at most %d sections. Left out: %s."
                    .formatted(
                            LineUpPages.MOST,
                            sections.subList(LineUpPages.MOST, sections.size()).stream()
                                    .map(Section::toString)
                                    .collect(Collectors.joining(", "))));
        }
        List<Section> meant = meant(posted, add);
        if (!add.isEmpty() && meant.isEmpty()) {
            say.add(noSection(name, add) + ", and no course of that code with sections.");
        }
        return new LineUpAsk(sections.subList(0, Math.min(LineUpPages.MOST, sections.size())), meant, say);
    }

    private static String noSection(String term, String entry) {
        return "%s has no section with the entry number “%s”".formatted(term, entry);
    }

    /** The one section that is to stand beside the others, where it is clear which, and there is room. */
    Optional<Section> another() {
        return meant.size() == 1 && shown.size() < LineUpPages.MOST ? Optional.of(meant.get(0)) : Optional.empty();
    }

    /** The section of an entry number, or all those of a course, whatever stands between the parts of its code. */
    private static List<Section> meant(PostedTerm posted, String text) {
        Optional<Section> section = EntryNumber.parse(text).flatMap(posted.schedule()::section);
        if (section.isPresent()) {
            return List.of(section.get());
        }
        return posted.schedule().courseWritten(text).stream()
                .flatMap(course -> posted.schedule().sectionsOf(course.code()).stream())
                .toList();
    }
}
