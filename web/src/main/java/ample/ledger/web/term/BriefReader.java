package ample.ledger.web.term;

import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.browse.index.Vocabulary;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Reads the brief in the address of a request. */
public final class BriefReader {

    private static final Set<String> CONDITIONS =
            Topic.allParameters().stream().map(Parameter::name).collect(Collectors.toUnmodifiableSet());

    private BriefReader() {}

    /**
     * The brief, and everything in the query that makes no sense.
     *
     * @param others parameters of the screen that are no conditions
     */
    public static BriefAddress.Reading read(HttpServletRequest request, Vocabulary vocabulary, Set<String> others) {
        Map<String, List<String>> parameters = new LinkedHashMap<>();
        request.getParameterMap().forEach((name, values) -> parameters.put(name, Arrays.asList(values)));
        BriefAddress.Reading reading = BriefAddress.read(parameters, vocabulary);
        List<BriefAddress.Misread> misreads = new ArrayList<>(reading.misreads());
        parameters.forEach((name, values) -> {
            if (!CONDITIONS.contains(name) && !others.contains(name)) {
                misreads.add(new BriefAddress.Misread(
                        name, String.join(",", values), "There is no condition of that name."));
            }
        });
        return new BriefAddress.Reading(reading.brief(), misreads);
    }
}
