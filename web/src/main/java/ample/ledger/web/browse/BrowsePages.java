package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.ByItself;
import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.answer.RunningAccount;
import ample.ledger.core.browse.answer.SeasonFindings;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Order;
import ample.ledger.core.calendar.WeekFrame;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Kind;
import ample.ledger.web.browse.BrowsePage.AccountLine;
import ample.ledger.web.browse.BrowsePage.Choice;
import ample.ledger.web.browse.BrowsePage.LeafPage;
import ample.ledger.web.browse.BrowsePage.Remedy;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Place;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.Strip;
import ample.ledger.web.words.Words;
import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Makes the Browse page of one place for one brief, and single leaves of its list. */
final class BrowsePages {

    private static final Duration LONGEST_WHOLE = Duration.ofSeconds(60);

    private final Place place;
    private final Brief brief;
    private final BrowseView view;
    private final Preferences preferences;
    private final Visit visit;
    private final Addressing addresses;
    private final Wording wording;
    private final List<Moment> moments;
    private final SeasonFindings findings;
    private final WeekFrame frame;
    private final Strip.Ground ground;
    private final Leaves leaves;
    private @Nullable Misses misses;

    BrowsePages(Place place, Addressing addresses, Visit visit) {
        this.visit = visit;
        this.place = place;
        this.brief = addresses.brief();
        this.view = addresses.view();
        this.preferences = visit.preferences();
        this.addresses = addresses;
        this.wording = preferences.wording(place.vocabulary());
        this.moments = visit.of(place.terms());
        this.findings = SeasonFindings.of(moments, brief);
        this.frame = preferences.frame(place.schedules());
        this.ground = Strip.ground(place.days(), brief, frame);
        this.leaves = Leaves.of(place.terms(), findings.terms(), view);
    }

    /**
     * @param seats of when they are
     * @param say what must be said first
     * @param notOffered courses asked for that are not offered, in sentences
     */
    BrowsePage page(
            BrowsePage.SeatsSeen seats, List<String> say, List<String> notOffered, BrowsePage.@Nullable Heard heard) {
        return new BrowsePage(
                place.name(),
                "/" + place.path() + "/browse",
                place.terms().get(0).edition().term().text(),
                asked(say, heard),
                onward(),
                account(findings.account()),
                WeekPicture.of(brief, findings.density(), frame, preferences.clock(), addresses.to(brief)),
                ground,
                seats,
                list(),
                new BrowsePage.NothingFits(
                        findings.waysBack().stream().map(this::wayBack).toList(), notOffered, byItself()));
    }

    private BrowsePage.Asked asked(List<String> say, BrowsePage.@Nullable Heard heard) {
        Editors editors = new Editors(place, findings, visit, addresses);
        return new BrowsePage.Asked(
                BriefSentence.of(brief, wording, view, editors, addresses),
                say,
                heard,
                visit.kept().briefs().stream()
                        .map(saved -> new Choice(saved.name(), "", saved.address(), false))
                        .toList());
    }

    private BrowsePage.Onward onward() {
        return new BrowsePage.Onward(
                addresses.to(brief),
                addresses.seen(view.onPage(1)),
                brief.isEmpty() ? null : addresses.to(Brief.EVERYTHING),
                addresses.seen(view.onOnePage()),
                place.addresses().list("csv", brief),
                place.addresses().list("json", brief));
    }

    private BrowsePage.Listed list() {
        int shown = view.whole() ? 1 : leaves.shown(view);
        return new BrowsePage.Listed(
                total(),
                misses().inPlace() == 0
                        ? ""
                        : Words.count(misses().inPlace(), "near miss", "near misses") + " in place",
                orders(),
                subjects(),
                leaf(shown),
                misses().stray());
    }

    /** Found when first asked for: a list that is not by course shows none. */
    private Misses misses() {
        Misses known = misses;
        if (known == null) {
            known = Misses.of(place.terms(), findings.terms(), wording, addresses);
            misses = known;
        }
        return known;
    }

    Strip.Ground ground() {
        return ground;
    }

    /** The leaf that the view asks for. */
    LeafPage leaf() {
        return leaf(leaves.shown(view));
    }

    private LeafPage leaf(int number) {
        BlockWords words = new BlockWords(place, addresses, ground, this::misses, visit);
        int pages = view.whole() ? Math.min(1, leaves.size()) : leaves.size();
        return new LeafPage(
                number,
                pages,
                number > 1 ? addresses.seen(view.onPage(number - 1)) + "#list" : null,
                number < pages ? addresses.seen(view.onPage(number + 1)) + "#list" : null,
                pages < 2 ? "" : sizes(),
                addresses.seen(view.onPage(1)),
                view.whole() ? () -> everyBlock(words) : leaves.size() == 0 ? List.of() : blocks(words, number));
    }

    private List<BrowsePage.Block> blocks(BlockWords words, int page) {
        return words.blocks(leaves, page, view.order(), beginsTerm(page));
    }

    /** Leaf by leaf, so that a list of thousands never stands in memory whole; who reads it too slowly gets only a part of it. */
    private Iterator<BrowsePage.Block> everyBlock(BlockWords words) {
        long until = System.nanoTime() + LONGEST_WHOLE.toNanos();
        return IntStream.rangeClosed(1, leaves.size())
                .boxed()
                .flatMap(page -> {
                    if (System.nanoTime() - until > 0) {
                        throw new IllegalStateException("Whoever reads the whole list takes too long");
                    }
                    return blocks(words, page).stream();
                })
                .iterator();
    }

    /** The lines of each leaf, heads of courses counted too. */
    private String sizes() {
        return leaves.all().stream()
                .map(leaf -> String.valueOf(leaf.sections().size() + leaf.heads()))
                .collect(Collectors.joining(","));
    }

    /** Whether a leaf begins another term, which must be said. */
    private boolean beginsTerm(int page) {
        return place.season()
                && (page == 1
                        || !leaves.page(page)
                                .posted()
                                .edition()
                                .equals(leaves.page(page - 1).posted().edition()));
    }

    private String total() {
        String sections = Words.count(findings.size(), "section");
        if (findings.size() == 0) {
            return sections;
        }
        return sections + " in " + Words.count(leaves.courses(), "course");
    }

    private BrowsePage.Account account(RunningAccount account) {
        return new BrowsePage.Account(
                Words.number(account.posted()),
                account.incomplete() == 0 ? null : Words.less(account.incomplete()),
                account.lines().stream()
                        .map(line -> new AccountLine(
                                line.condition().phrase(wording).standingAlone(),
                                Words.less(line.removed()),
                                Words.number(line.onlyThis()),
                                addresses.striking(line.condition())))
                        .toList(),
                addresses.struck().stream()
                        .map(condition ->
                                new Remedy(condition.phrase(wording).standingAlone(), addresses.restoring(condition)))
                        .toList(),
                account.cancelled() == 0 ? null : Words.less(account.cancelled()),
                Words.number(account.left()),
                account.lines().stream()
                        .filter(line -> line.onlyThis() > 0)
                        .max(Comparator.comparingInt(RunningAccount.Line::onlyThis))
                        .map(this::hint)
                        .orElse(null));
    }

    private String without(Condition condition) {
        return addresses.to(brief.without(condition.topic()));
    }

    private Remedy hint(RunningAccount.Line line) {
        return new Remedy(
                "Without %s alone you would have %s more."
                        .formatted(quoted(line.condition()), Words.number(line.onlyThis())),
                without(line.condition()));
    }

    private Optional<BrowsePage.ByThemselves> byItself() {
        return ByItself.of(findings, moments).map(alone -> {
            String what = alone.kind()
                    .flatMap(code -> Coded.parse(Kind.class, code))
                    .map(kind -> place.schedules().get(0).kindName(kind).toLowerCase(Locale.ROOT))
                    .orElse("section");
            return new BrowsePage.ByThemselves(
                    Words.count(alone.sections(), what)
                            + (alone.sections() == 1
                                    ? " fits by its own days; it does not"
                                    : " fit by their own days; none does")
                            + " with all sections it must be taken with.",
                    "Show " + what + "s by their own days",
                    addresses.to(alone.brief()));
        });
    }

    private Remedy wayBack(Findings.WayBack way) {
        Brief changed = brief;
        for (Condition condition : way.dropped()) {
            changed = changed.without(condition.topic());
        }
        String dropped = way.dropped().stream().map(this::quoted).collect(Collectors.joining(" and "));
        return new Remedy("Drop " + dropped + ": " + Words.count(way.sections(), "section"), addresses.to(changed));
    }

    private String quoted(Condition condition) {
        return Words.quoted(condition.phrase(wording).whole());
    }

    private List<Choice> orders() {
        return Arrays.stream(Order.values())
                .map(order -> new Choice(label(order), "", addresses.seen(view.in(order)), order == view.order()))
                .toList();
    }

    private static String label(Order order) {
        return switch (order) {
            case COURSE -> "by course";
            case MEETING -> "by day and hour of first meeting";
            case OPEN_SEATS -> "by seats open, most first";
            case SHARE_TAKEN -> "by share of seats taken, least first";
            case DATES -> "by dates";
            case CAMPUS -> "by campus";
        };
    }

    private List<Choice> subjects() {
        if (view.order() != Order.COURSE) {
            return List.of();
        }
        Map<String, Integer> first = leaves.subjects();
        return place.vocabulary().values(Facet.SUBJECT).stream()
                .filter(subject -> first.containsKey(subject.code()))
                .map(subject -> new Choice(
                        subject.code(),
                        subject.name(),
                        addresses.seen(view.onPage(view.whole() ? 1 : first.get(subject.code()))) + "#subject-"
                                + subject.code(),
                        false))
                .toList();
    }
}
