package ample.ledger.core.text;

import com.ibm.icu.text.Collator;
import com.ibm.icu.text.RuleBasedCollator;
import com.ibm.icu.util.ULocale;
import java.util.Comparator;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** The order of names by the rules of a language: in Polish Ć stands between C and D, in Swedish Ö behind Z (Unicode CLDR, as ICU4J has it). */
public final class NameOrder {

    private static final Map<Locale, Collator> KNOWN = new ConcurrentHashMap<>();

    private NameOrder() {}

    /** Names that the rules hold equal are in the order of their code points, so that only equal ones are. Safe for many threads. */
    public static Comparator<String> of(Locale language) {
        Collator collator = KNOWN.computeIfAbsent(language, NameOrder::frozen);
        Comparator<String> byRules = collator::compare;
        return byRules.thenComparing(Comparator.naturalOrder());
    }

    private static Collator frozen(Locale language) {
        RuleBasedCollator collator = (RuleBasedCollator) Collator.getInstance(ULocale.forLocale(language));
        collator.setNumericCollation(true);
        return collator.freeze();
    }
}
