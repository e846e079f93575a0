package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.SeasonFindings;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Not;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Order;
import ample.ledger.web.browse.Editor.Group;
import ample.ledger.web.term.Place;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Makes the editor of each topic for one brief. */
final class Editors {

    private final Place place;
    private final Brief brief;
    private final TopicForms forms;
    private final Visit visit;
    private final Addressing addresses;

    Editors(Place place, SeasonFindings findings, Visit visit, Addressing addresses) {
        this.place = place;
        this.brief = findings.brief();
        this.forms = new TopicForms(
                place,
                findings,
                visit.preferences(),
                visit.record(place.terms().get(0).schedule()).isPresent());
        this.visit = visit;
        this.addresses = addresses;
    }

    String title(Topic topic) {
        return forms.of(topic).title();
    }

    Editor of(Topic topic) {
        TopicForms.Form form = forms.of(topic);
        Brief others = brief.without(topic);
        List<Condition> aside = addresses.struck().stream()
                .filter(condition -> condition.topic() != topic)
                .toList();
        for (Condition condition : aside) {
            others = others.with(condition);
        }
        Map<String, String> keep = new LinkedHashMap<>(others.parameters());
        if (!aside.isEmpty()) {
            keep.put(Addressing.STRUCK, Addressing.topics(aside));
        }
        if (addresses.view().order() != Order.COURSE) {
            keep.put("order", addresses.view().order().code());
        }
        return new Editor(
                "edit-" + topic.code(),
                form.title(),
                withTurn(topic, form.groups().get()),
                form.oftenAsked().get().stream().map(this::offer).toList(),
                keep,
                addresses.to(brief.without(topic)),
                brief.about(topic).isPresent());
    }

    private Editor.Offer offer(Condition condition) {
        Brief with = brief.with(condition);
        return new Editor.Offer(
                condition
                        .phrase(visit.preferences().wording(place.vocabulary()))
                        .standingAlone(),
                Words.number(SeasonFindings.count(visit.of(place.terms()), with)),
                addresses.to(with));
    }

    /** The groups, and the choice of turning what they say round. */
    private List<Group> withTurn(Topic topic, List<Group> groups) {
        List<Group> all = new ArrayList<>(groups);
        boolean turned = brief.about(topic).filter(Not.class::isInstance).isPresent();
        all.add(new Group(
                "Or the opposite",
                List.of(TopicForms.choice("checkbox", "not", topic.code(), "Leave these out instead", "", turned))));
        return all;
    }
}
