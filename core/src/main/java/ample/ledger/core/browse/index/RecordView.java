package ample.ledger.core.browse.index;

import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.schedule.Section;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** What the sections of one edition are to one record. Each facet is worked out when it is first asked for: few briefs ask for one. */
final class RecordView {

    private final Candidates layout;
    private final List<Section> sections;
    private final RecordReading reading;
    private final Map<Facet, FacetIndex> facets = new EnumMap<>(Facet.class);

    RecordView(Candidates layout, List<Section> sections, RecordReading reading) {
        this.layout = layout;
        this.sections = sections;
        this.reading = reading;
    }

    RecordReading reading() {
        return reading;
    }

    /** Cost: one reading of each section, the first time. */
    synchronized FacetIndex facet(Facet facet) {
        return facets.computeIfAbsent(
                facet,
                absent -> FacetIndex.ofOneValue(
                        layout,
                        facet.values(reading.schedule()).stream()
                                .map(Facet.Value::code)
                                .toList(),
                        section -> facet.codeByRecord(sections.get(section.place()), reading)));
    }
}
