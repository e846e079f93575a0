package ample.ledger.core.watch;

import ample.ledger.core.edition.SectionChange;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Obstacle;
import ample.ledger.core.plan.Swap;
import java.util.List;
import java.util.Set;

/** What a new edition is to one student. */
public sealed interface EditionNotice {

    /**
     * A section has changed that concerns the student.
     *
     * @param section as it is now; as it was, where it is no longer posted
     * @param posted whether it still is
     * @param why the reasons for which it concerns the student. {@link Concern.Why#WATCHED} is named where there is no other reason
     * @param obstacles problems of the week with this section that are new with this edition
     * @param remedies sections to take instead; each of them fits
     * @param briefs names of saved briefs that the section fitted before and does not fit now; none for a section that is only watched
     */
    record Changed(
            Attendance section,
            boolean posted,
            Set<Concern.Why> why,
            List<SectionChange> changes,
            List<Obstacle> obstacles,
            List<Swap> remedies,
            List<String> briefs)
            implements EditionNotice {}

    /**
     * Sections fit a watched brief now, and did not.
     *
     * @param brief its name
     * @param sections at least one, in the order of the schedule
     */
    record Fits(String brief, List<Attendance> sections) implements EditionNotice {}
}
