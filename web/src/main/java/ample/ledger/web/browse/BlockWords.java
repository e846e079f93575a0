package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.CourseFindings;
import ample.ledger.core.browse.index.Order;
import ample.ledger.web.browse.BrowsePage.Block;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.Strip;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;

/** Writes the blocks of one leaf: by course each course with its lines and near misses, otherwise all lines together. */
final class BlockWords {

    private final Place place;
    private final Addressing addresses;
    private final Strip.Ground ground;
    private final Supplier<Misses> misses;
    private final Visit visit;

    BlockWords(Place place, Addressing addresses, Strip.Ground ground, Supplier<Misses> misses, Visit visit) {
        this.visit = visit;
        this.place = place;
        this.addresses = addresses;
        this.ground = ground;
        this.misses = misses;
    }

    /**
     * @param number of the leaf, from 1
     * @param newTerm whether its first block begins another term, which must be said
     */
    List<Block> blocks(Leaves leaves, int number, Order order, boolean newTerm) {
        Leaves.Leaf leaf = leaves.page(number);
        LineWords words = new LineWords(leaf.posted(), addresses, ground, options(leaf.posted()), visit);
        String term = newTerm ? words.term() : null;
        if (order != Order.COURSE) {
            return List.of(new Block(
                    term, null, leaf.sections().stream().map(words::alone).toList(), List.of()));
        }
        List<Block> blocks = new ArrayList<>();
        String subject = number == 1 ? "" : lastSubject(leaves.page(number - 1));
        for (CourseFindings found :
                CourseFindings.of(leaf.sections(), leaf.posted().schedule())) {
            String own = found.course().code().subject();
            blocks.add(new Block(
                    blocks.isEmpty() ? term : null,
                    words.head(found, !own.equals(subject)),
                    found.lines().stream().map(words::underCourse).toList(),
                    misses.get().under(leaf.posted(), found.course())));
            subject = own;
        }
        return blocks;
    }

    private Set<LineWords.Option> options(PostedTerm posted) {
        Set<LineWords.Option> options = EnumSet.of(LineWords.Option.OPENS_IN_PLACE);
        if (place.season()) {
            options.add(LineWords.Option.AMONG_TERMS);
        }
        if (!posted.equals(place.terms().get(0))) {
            options.add(LineWords.Option.LATER_TERM);
        }
        return options;
    }

    private static String lastSubject(Leaves.Leaf leaf) {
        return leaf.sections().get(leaf.sections().size() - 1).course().code().subject();
    }
}
