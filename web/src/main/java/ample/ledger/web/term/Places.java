package ample.ledger.web.term;

import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.browse.quick.QuickPlaces;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.RegistrationPeriod;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.TermCode;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What can be browsed, a term by itself or all terms of a season, and what time it is there. */
@Component
public class Places {

    /** What the path of a season begins with. */
    private static final String SEASON = "season/";

    private final Terms terms;
    private final Clock clock;

    /** By path, as they were asked for last. */
    private final Map<String, Place> asked = new ConcurrentHashMap<>();

    /** By path, of terms that are about to be shown. */
    private final Map<String, Place> prepared = new ConcurrentHashMap<>();

    private volatile @Nullable Together together;

    Places(Terms terms, Clock clock) {
        this.terms = terms;
        this.clock = clock;
        terms.beforeItIsShown(this::prepare);
    }

    /** Works out what a request would have to wait for: the words to find by take a second for 20,000 sections. */
    private void prepare(PostedTerm posted) {
        List<PostedTerm> alone = List.of(posted);
        String path = posted.edition().term().text();
        prepared.put(path, known(path, alone).orElseGet(() -> Place.of(posted)));
        SeasonCode season = posted.schedule().term().season().code();
        if (asked.containsKey(SEASON + season)) {
            List<PostedTerm> together = ofSeason(season, terms.allWith(posted));
            prepared.put(
                    SEASON + season,
                    known(SEASON + season, together).orElseGet(() -> Place.ofSeason(season, together)));
        }
    }

    /** What has been worked out of exactly these terms. */
    private Optional<Place> known(String path, List<PostedTerm> posted) {
        List<TermIndex> indexes = posted.stream().map(PostedTerm::index).toList();
        return Stream.of(asked, prepared)
                .flatMap(places -> Optional.ofNullable(places.get(path)).stream())
                .filter(place -> place.indexes().equals(indexes))
                .map(place -> place.showing(posted))
                .findFirst();
    }

    /** Who asks at the same time waits, and does not work out the same. */
    private Place ask(String path, List<PostedTerm> posted, Supplier<Place> make) {
        Place last = asked.get(path);
        return last != null && last.terms().equals(posted)
                ? last
                : asked.compute(path, (same, before) -> known(path, posted).orElseGet(make));
    }

    /**
     * The term by itself, to be browsed.
     *
     * @throws UnknownTermException when nothing is posted for it
     */
    public Place place(TermCode code) {
        PostedTerm posted = terms.get(code);
        return ask(code.text(), List.of(posted), () -> Place.of(posted));
    }

    /**
     * All terms of a season together, to be browsed.
     *
     * @throws UnknownTermException when nothing is posted for it
     */
    public Place season(SeasonCode code) {
        List<PostedTerm> posted = ofSeason(code, terms.all());
        if (posted.isEmpty()) {
            throw new UnknownTermException(code.text());
        }
        return ask(SEASON + code, posted, () -> Place.ofSeason(code, posted));
    }

    /**
     * What the beginning of an address names.
     *
     * @param path as {@link Place#path()} has it
     * @throws UnknownTermException when nothing is posted for it
     */
    public Place at(String path) {
        return path.startsWith(SEASON)
                ? season(new SeasonCode(path.substring(SEASON.length())))
                : place(new TermCode(path));
    }

    /**
     * The other place that a line of text names: a term, or an institution by its name or the first word of that, which is browsed in the season of
     * {@code place}.
     */
    public Optional<QuickPlaces.Found> named(Place place, String text) {
        List<QuickPlaces.Named> named = new ArrayList<>();
        Schedule here = place.terms().get(0).schedule();
        for (PostedTerm posted : terms.all()) {
            Schedule schedule = posted.schedule();
            String path = posted.edition().term().text();
            String institution = schedule.institution().name();
            named.add(new QuickPlaces.Named(schedule.term().name(), path));
            if (schedule.term().season().code().equals(here.term().season().code())
                    && !institution.equals(here.institution().name())) {
                named.add(new QuickPlaces.Named(institution, path));
                named.add(new QuickPlaces.Named(institution.split(" ")[0], path));
            }
        }
        return new QuickPlaces(named)
                .find(text)
                .filter(found -> !found.place().path().equals(place.path()));
    }

    private static List<PostedTerm> ofSeason(SeasonCode code, List<PostedTerm> terms) {
        return terms.stream()
                .filter(posted -> posted.schedule().term().season().code().equals(code))
                .toList();
    }

    /** The schedules of all terms, read together. */
    public PostedSchedules schedules() {
        List<Schedule> current = terms.all().stream().map(PostedTerm::schedule).toList();
        Together known = together;
        if (known == null || !known.schedules().equals(current)) {
            known = new Together(current, new PostedSchedules(current));
            together = known;
        }
        return known.posted();
    }

    private record Together(List<Schedule> schedules, PostedSchedules posted) {}

    /**
     * The place of somebody who has not chosen one: of the institution with most sections the term that can be registered for, or for which that
     * comes next. Empty where nothing is posted.
     */
    public Optional<Place> usual() {
        Map<String, List<Schedule>> byInstitution = terms.all().stream()
                .map(PostedTerm::schedule)
                .collect(Collectors.groupingBy(
                        schedule -> schedule.institution().code(), TreeMap::new, Collectors.toList()));
        return byInstitution.values().stream()
                .max(Comparator.comparingInt(Places::sections))
                .map(ofOne -> RegistrationPeriod.mostUrgent(
                        ofOne,
                        LocalDateTime.ofInstant(
                                clock.instant(), ofOne.get(0).institution().zone())))
                .map(schedule -> place(schedule.term().code()));
    }

    private static int sections(List<Schedule> schedules) {
        return schedules.stream()
                .mapToInt(schedule -> schedule.sections().size())
                .sum();
    }

    /** What time it is where the institution of {@code place} stands. */
    public ZonedDateTime now(Place place) {
        return clock.instant()
                .atZone(place.terms().get(0).schedule().institution().zone());
    }
}
