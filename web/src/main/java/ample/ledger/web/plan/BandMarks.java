package ample.ledger.web.plan;

import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.plan.Stay;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is drawn on a band between and over its blocks: shared time, and ways. */
final class BandMarks {

    /** Of one day. Where more clash, what is drawn already says enough. */
    private static final int MOST_HATCHES = 40;

    /** Between stays no further apart there is no room for a name. */
    private static final int SHORT_WAY = 100;

    private final HourScale scale;
    private final PostedSchedules posted;

    BandMarks(HourScale scale, PostedSchedules posted) {
        this.scale = scale;
        this.posted = posted;
    }

    /** Where two of a day clash, the time that they share. */
    List<Bands.Hatch> hatches(List<BandItem> items, int height) {
        List<Bands.Hatch> hatches = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            for (int j = i + 1; j < items.size() && hatches.size() < MOST_HATCHES; j++) {
                BandItem one = items.get(i);
                BandItem other = items.get(j);
                if (one.stay().clashes(other.stay())) {
                    TimeRange shared =
                            one.stay().time().overlap(other.stay().time()).orElseThrow();
                    int top = Math.min(one.y(height), other.y(height));
                    int bottom = Math.max(one.y(height) + one.tall(height), other.y(height) + other.tall(height));
                    hatches.add(new Bands.Hatch(
                            scale.x(shared.startMinute()),
                            scale.width(shared),
                            top,
                            bottom - top,
                            shared.minutes() + " min",
                            // Items are sorted by their start: what the first of two says stands left of what they
                            // share.
                            one.y(height) + one.tall(height) - 5 - top));
                }
            }
        }
        return hatches;
    }

    /** The ways from one campus to another. */
    List<Bands.Way> ways(List<BandItem> items, int height) {
        List<Bands.Way> ways = new ArrayList<>();
        List<BandItem> placed =
                items.stream().filter(item -> item.stay().spot().isPresent()).toList();
        for (int i = 0; i + 1 < placed.size(); i++) {
            Stay left = placed.get(i).stay();
            Stay reached = placed.get(i + 1).stay();
            int minutes = reached.time().startMinute() - left.time().endMinute();
            boolean changes = !left.spot()
                    .orElseThrow()
                    .campus()
                    .equals(reached.spot().orElseThrow().campus());
            if (changes && minutes >= 0 && left.dates().meets(reached.dates())) {
                Optional<PostedSchedules.Way> way =
                        posted.way(left.spot().orElseThrow(), reached.spot().orElseThrow());
                String campus = reached.spot().orElseThrow().campus().name();
                ways.add(new Bands.Way(
                        scale.x(left.time().endMinute()),
                        scale.x(reached.time().startMinute()),
                        scale.x((left.time().endMinute() + reached.time().startMinute()) / 2),
                        height - 8,
                        way.map(some -> some.minutes() + " min").orElse("")
                                + (minutes < SHORT_WAY && way.isPresent() ? "" : " to " + campus),
                        way.filter(some -> some.minutes() > minutes).isPresent()));
            }
        }
        return ways;
    }
}
