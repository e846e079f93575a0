package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.FacetIndex;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.reading.MayTake;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * One of these values of the facet is there, or all of them. Of a facet of sets every section of the set has one of them.
 *
 * @param codes at least one
 * @param match of a single value it makes no difference and is {@code ANY}
 */
public record Having(Facet facet, Set<String> codes, Facet.Match match) implements Condition {

    /** More names of subjects than this make a brief hard to read; codes stand for them then. */
    private static final int MOST_NAMES = 2;

    /** More values than this are not told one by one in a sentence. */
    private static final int MOST_TOLD = 20;

    /** What asks for all values in an address. */
    private static final String ALL = "all:";

    /** @throws IllegalArgumentException when nothing is asked for, or all of a facet of sets: a section has but one value */
    public Having {
        codes = Conditions.sorted(codes, facet.plural());
        match = codes.size() == 1 ? Facet.Match.ANY : match;
        if (match == Facet.Match.ALL && facet.scope() == Facet.Scope.SET) {
            throw new IllegalArgumentException(
                    "A section has one value of " + facet.parameter().name() + ", never all of " + codes);
        }
    }

    /** Any of these values. */
    public static Having any(Facet facet, Collection<String> codes) {
        return new Having(facet, Set.copyOf(codes), Facet.Match.ANY);
    }

    static Optional<Condition> read(AddressReader address, Facet facet) {
        String parameter = facet.parameter().name();
        List<Facet.Value> known = address.vocabulary().values(facet);
        Set<String> codes = new TreeSet<>();
        Facet.Match match = Facet.Match.ANY;
        for (String word : address.words(parameter)) {
            boolean all = word.startsWith(ALL) && facet.scope() != Facet.Scope.SET;
            match = all ? Facet.Match.ALL : match;
            String code = all ? word.substring(ALL.length()) : word;
            List<String> meant = known.stream()
                    .map(Facet.Value::code)
                    .filter(value -> value.equalsIgnoreCase(code) || facet == Facet.CREDITS && isWithin(value, code))
                    .toList();
            if (meant.isEmpty()) {
                meant = address.vocabulary().possible(facet, code).stream().toList();
            }
            if (meant.isEmpty() && !code.isEmpty()) {
                address.misread(
                        parameter, code, told(facet, known, address.vocabulary().name()));
            }
            codes.addAll(meant);
        }
        return codes.isEmpty() ? Optional.empty() : Optional.of(new Having(facet, codes, match));
    }

    /** Whether so many credits lie in a range such as 3-4.5. */
    private static boolean isWithin(String credits, String range) {
        String[] ends = range.split("-");
        return range.matches("[0-9]{1,4}(\\.[0-9]{1,2})?-[0-9]{1,4}(\\.[0-9]{1,2})?")
                && new BigDecimal(credits).compareTo(new BigDecimal(ends[0])) >= 0
                && new BigDecimal(credits).compareTo(new BigDecimal(ends[1])) <= 0;
    }

    private static String told(Facet facet, List<Facet.Value> known, String term) {
        if (known.size() > MOST_TOLD) {
            return "That is none of the %d %s of %s.".formatted(known.size(), facet.plural(), term);
        }
        String codes = known.stream()
                .map(value -> value.code().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
        return facet.isByRecord()
                ? "The answers are %s.".formatted(codes)
                : "The %s of %s are %s.".formatted(facet.plural(), term, codes);
    }

    @Override
    public Topic topic() {
        return Topic.of(facet);
    }

    @Override
    public CandidateSet in(Moment moment) {
        FacetIndex index = moment.facet(facet);
        if (facet.scope() == Facet.Scope.SET) {
            return index.only(codes);
        }
        return match == Facet.Match.ALL ? index.all(codes) : index.any(codes);
    }

    /** Of a facet of sets no section of the set may have one of the values. */
    @Override
    public CandidateSet notIn(Moment moment) {
        return facet.scope() == Facet.Scope.SET
                ? moment.facet(facet).any(codes).complement()
                : in(moment).complement();
    }

    @Override
    public Phrase phrase(Wording wording) {
        boolean byCode = facet == Facet.SUBJECT && codes.size() > MOST_NAMES;
        List<String> names = wording.vocabulary().named(facet, codes).stream()
                .map(value -> byCode ? value.code() : value.name())
                .toList();
        boolean remote = facet == Facet.CAMPUS && wording.vocabulary().remote(codes);
        String text = match == Facet.Match.ALL ? "all of " + Phrases.allOf(names) : Phrases.anyOf(names);
        return remote ? new Phrase("", text.toLowerCase(Locale.ROOT)) : new Phrase(facet.lead(), text);
    }

    /** A course that is not one with no prerequisite is one with a prerequisite; likewise where a record gives one of a few answers. */
    @Override
    public Phrase notPhrase(Wording wording) {
        List<String> others = wording.vocabulary().values(facet).stream()
                .map(Facet.Value::code)
                .filter(code -> !codes.contains(code))
                .toList();
        boolean oneOfFew = facet == Facet.PREREQUISITE || facet.isByRecord();
        return oneOfFew && match == Facet.Match.ANY && !others.isEmpty()
                ? any(facet, others).phrase(wording)
                : phrase(wording).denied();
    }

    @Override
    public Map<String, String> parameters() {
        String list = String.join(",", codes).toLowerCase(Locale.ROOT);
        return Map.of(facet.parameter().name(), match == Facet.Match.ALL ? ALL + list : list);
    }

    @Override
    public Unit leastShortfall() {
        return facet == Facet.SUBJECT ? Unit.OTHER_COURSE : Unit.VALUE;
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        return facet.scope() == Facet.Scope.SET ? others(candidate) : missing(candidate, candidate.codes(facet));
    }

    /** Some or all of the values are wanted, and it has others. */
    private Shortfall missing(Candidate candidate, List<String> has) {
        if (match == Facet.Match.ALL) {
            Set<String> missing = minus(codes, has);
            return new Shortfall(
                    missing.size(),
                    leastShortfall(),
                    wording -> "not " + said(wording, missing),
                    () -> having(minus(codes, missing)));
        }
        if (facet == Facet.MAY_TAKE) {
            // Of what one may not take no condition is left that would be worth asking for.
            Optional<Condition> relaxed = has.contains(MayTake.NO.code()) ? Optional.empty() : having(plus(has));
            return new Shortfall(1, leastShortfall(), wording -> ByRecord.mayTake(candidate), () -> relaxed);
        }
        if (has.isEmpty()) {
            return Shortfall.whole(leastShortfall(), wording -> "not " + said(wording, codes));
        }
        return new Shortfall(
                1,
                leastShortfall(),
                wording -> facet.isByRecord() ? "is " + said(wording, has) : said(wording, has) + " instead",
                () -> having(plus(Set.of(has.get(0)))));
    }

    /** Some section of the set has another value. */
    private Shortfall others(Candidate candidate) {
        Set<String> others = minus(candidate.codesOfSet(facet), codes);
        boolean byOthers = candidate.codes(facet).stream().noneMatch(others::contains);
        return new Shortfall(
                others.size(),
                leastShortfall(),
                wording -> Shortfall.whose(byOthers, said(wording, others) + " instead"),
                () -> having(plus(others)));
    }

    /** It has some of the values, none of which is wanted. */
    @Override
    public Shortfall notShortfall(Candidate candidate) {
        Set<String> hit =
                new TreeSet<>(facet.scope() == Facet.Scope.SET ? candidate.codesOfSet(facet) : candidate.codes(facet));
        hit.retainAll(codes);
        // Denying that it has all of them needs but one fewer of those it has; one that is left it would not have.
        return match == Facet.Match.ALL
                ? Shortfall.whole(Unit.VALUE, wording -> said(wording, hit))
                : new Shortfall(
                        hit.size(),
                        leastShortfall(),
                        wording -> said(wording, hit),
                        () -> having(minus(codes, hit)).map(Not::new));
    }

    private Optional<Condition> having(Set<String> wanted) {
        return wanted.isEmpty() ? Optional.empty() : Optional.of(new Having(facet, wanted, match));
    }

    private String said(Wording wording, Collection<String> some) {
        return any(facet, some).phrase(wording).whole();
    }

    private Set<String> plus(Collection<String> more) {
        Set<String> all = new TreeSet<>(codes);
        all.addAll(more);
        return all;
    }

    private static Set<String> minus(Collection<String> some, Collection<String> others) {
        Set<String> left = new HashSet<>(some);
        left.removeAll(others);
        return left;
    }
}
