package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.schedule.EntryNumber;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;

/** The parameters of one address, read one by one; keeps what could not be understood. */
final class AddressReader {

    private final Map<String, List<String>> parameters;
    private final Vocabulary vocabulary;
    private final List<BriefAddress.Misread> misreads = new ArrayList<>();

    AddressReader(Map<String, List<String>> parameters, Vocabulary vocabulary) {
        this.parameters = parameters;
        this.vocabulary = vocabulary;
    }

    Vocabulary vocabulary() {
        return vocabulary;
    }

    List<BriefAddress.Misread> misreads() {
        return misreads;
    }

    /** @param sentence what would be right */
    void misread(String parameter, String value, String sentence) {
        misreads.add(new BriefAddress.Misread(parameter, value, sentence));
    }

    /** Every value of the parameter, those between commas one by one. */
    List<String> words(String parameter) {
        return parameters.getOrDefault(parameter, List.of()).stream()
                .flatMap(value -> Arrays.stream(value.split(",")))
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .toList();
    }

    /** The last text of the parameter as it is, so that a plain form can override what the address said. */
    Optional<String> text(String parameter) {
        return parameters.getOrDefault(parameter, List.of()).stream()
                .filter(text -> !text.isBlank())
                .reduce((earlier, later) -> later);
    }

    /** Every value of the parameter that {@code read} understands. */
    <T> Set<T> set(String parameter, Function<String, Optional<T>> read, String wanted) {
        Set<T> values = new LinkedHashSet<>();
        for (String word : words(parameter)) {
            read.apply(word).ifPresentOrElse(values::add, () -> misread(parameter, word, wanted));
        }
        return Collections.unmodifiableSet(values);
    }

    /** The last value of the parameter. */
    <T> Optional<T> one(String parameter, Function<String, Optional<T>> read, String wanted) {
        List<String> words = words(parameter);
        if (words.isEmpty()) {
            return Optional.empty();
        }
        String last = words.get(words.size() - 1);
        Optional<T> value = read.apply(last);
        if (value.isEmpty()) {
            misread(parameter, last, wanted);
        }
        return value;
    }

    OptionalInt whole(String parameter, int least, int most) {
        Optional<Integer> value = one(
                parameter,
                text -> text.matches("[0-9]{1,6}") && Integer.parseInt(text) >= least && Integer.parseInt(text) <= most
                        ? Optional.of(Integer.valueOf(text))
                        : Optional.empty(),
                "Write a whole number from %d to %,d.".formatted(least, most));
        return value.map(OptionalInt::of).orElse(OptionalInt.empty());
    }

    Set<EntryNumber> entries(String parameter) {
        return set(parameter, EntryNumber::parse, "An entry number is 3 to 9 digits.");
    }
}
