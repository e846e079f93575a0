package ample.ledger.web.plan;

import java.util.ArrayList;
import java.util.List;

/** Lists that a page can show whole only while they are short. */
final class Listed {

    private Listed() {}

    /** All of them, or the first and "and 34 more of the kind." */
    static List<String> first(List<String> sentences, int most, String what) {
        if (sentences.size() <= most) {
            return sentences;
        }
        List<String> some = new ArrayList<>(sentences.subList(0, most));
        some.add("And %d %s.".formatted(sentences.size() - most, what));
        return some;
    }
}
