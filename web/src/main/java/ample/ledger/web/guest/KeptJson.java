package ample.ledger.web.guest;

import ample.ledger.core.exchange.PlanJson;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.watch.Tell;
import ample.ledger.core.watch.Watch;
import ample.ledger.core.watch.Watched;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What is kept for a visitor, as JSON. What is missing was never kept. */
final class KeptJson {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String PLANS = "plans";

    private KeptJson() {}

    /** The parts beside the plans, whose format is {@link PlanJson}'s own. */
    private record Beside(
            List<Kept.SavedBrief> briefs,
            KeptRecord record,
            KeptRecord offered,
            List<KeptWatch> watches,
            LetterChoice letters) {}

    /** A watch; it is on a section, a course or a brief. */
    private record KeptWatch(
            String term,
            @Nullable String entry,
            @Nullable String course,
            @Nullable String brief,
            List<Tell> tells,
            int seats) {

        static KeptWatch of(Watch watch) {
            Watched about = watch.about();
            return new KeptWatch(
                    about.term().text(),
                    about instanceof Watched.OfSection section ? section.entry().digits() : null,
                    about instanceof Watched.OfCourse course ? course.course().toString() : null,
                    about instanceof Watched.OfBrief named ? named.name() : null,
                    watch.tells().stream().sorted().toList(),
                    watch.seats());
        }

        Watch watch() {
            return new Watch(about(new TermCode(term)), Set.copyOf(tells), seats);
        }

        private Watched about(TermCode code) {
            if (entry != null) {
                return new Watched.OfSection(code, new EntryNumber(entry));
            }
            if (course != null) {
                String[] parts = course.split(" ", 2);
                return new Watched.OfCourse(code, new CourseCode(parts[0], parts[1]));
            }
            return new Watched.OfBrief(code, Objects.requireNonNull(brief));
        }
    }

    static String write(Kept kept) {
        ObjectNode json = JSON.valueToTree(new Beside(
                kept.briefs(),
                kept.record(),
                kept.offered(),
                kept.watches().stream().map(KeptWatch::of).toList(),
                kept.letters()));
        json.set(PLANS, JSON.readTree(PlanJson.writeBook(kept.plans())));
        return json.toString();
    }

    static Kept read(String text) {
        JsonNode json = JSON.readTree(text);
        return new Kept(
                json.has(PLANS) ? PlanJson.readBook(json.path(PLANS).toString()) : PlanBook.EMPTY,
                json.has("briefs")
                        ? List.of(JSON.treeToValue(json.path("briefs"), Kept.SavedBrief[].class))
                        : List.of(),
                record(json, "record"),
                record(json, "offered"),
                json.has("watches")
                        ? Stream.of(JSON.treeToValue(json.path("watches"), KeptWatch[].class))
                                .map(KeptWatch::watch)
                                .toList()
                        : List.of(),
                json.has("letters") ? JSON.treeToValue(json.path("letters"), LetterChoice.class) : LetterChoice.USUAL);
    }

    private static KeptRecord record(JsonNode json, String part) {
        return json.has(part) ? JSON.treeToValue(json.path(part), KeptRecord.class) : KeptRecord.NONE;
    }
}
