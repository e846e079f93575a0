package ample.ledger.web.trial;

import ample.ledger.core.schedule.CourseRules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.trial.Part.Written;
import java.io.IOException;
import java.net.URI;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Function;

/** What all users of a trial share: where they go, what goes on at the moment, and what was wrong. */
final class Scene {

    /** Between two things that one of them does. */
    static final Duration REST = Duration.ofMillis(400);

    /** Before something that was put off is tried again, and before a page opens its stream again. */
    static final Duration AGAIN = Duration.ofMillis(500);

    private final URI root;
    private final Schedule schedule;
    private final List<String> sections;
    private final ConcurrentLinkedQueue<String> wrong = new ConcurrentLinkedQueue<>();
    private volatile Part part;
    private volatile boolean over;

    Scene(URI root, Schedule schedule, Part first) {
        this.root = root;
        this.schedule = schedule;
        this.part = first;
        this.sections = schedule.sections().stream()
                .filter(section -> section.companion().isEmpty() && !section.cancelled())
                .filter(section -> schedule.companionsOf(section).isEmpty())
                .filter(section -> section.restrictions().isEmpty())
                .filter(section -> section.course().rules().equals(CourseRules.NONE))
                .map(section -> section.entry().digits())
                .toList();
    }

    URI root() {
        return root;
    }

    Schedule schedule() {
        return schedule;
    }

    String term() {
        return schedule.term().code().text();
    }

    /** Sections that everybody may take, each alone. */
    List<String> sections() {
        return sections;
    }

    Part part() {
        return part;
    }

    void begin(Part next) {
        part = next;
    }

    boolean isOver() {
        return over;
    }

    void end() {
        over = true;
    }

    void wrong(String sentence) {
        wrong.add(sentence);
    }

    List<String> allWrong() {
        return List.copyOf(wrong);
    }

    static void rest(Duration time) {
        try {
            Thread.sleep(time.toMillis());
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** One try to write something. */
    interface Try {

        /** @return whether it was confirmed; not where only the answer is not there yet */
        boolean once() throws IOException, InterruptedException;
    }

    /** Tries until it is confirmed, as somebody would who is told "a moment". */
    void untilConfirmed(Function<Part, Written> kind, Try writing) {
        long begun = System.nanoTime();
        for (int failed = 0; ; ) {
            try {
                if (writing.once()) {
                    kind.apply(part).confirmed((System.nanoTime() - begun) / 1e9, failed > 0);
                    return;
                }
                rest(Duration.ofMillis(50));
            } catch (IOException putOff) {
                failed++;
                rest(AGAIN);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    /** Whether somebody's week is, as the application says, what was confirmed to them. */
    boolean isKept(String what, Guest guest, Set<String> planned) {
        while (true) {
            try {
                Set<String> kept = guest.planned();
                if (!kept.equals(planned)) {
                    wrong.add(what + " is " + kept + ", where " + planned + " was confirmed");
                }
                return kept.equals(planned);
            } catch (IOException putOff) {
                rest(AGAIN);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
    }
}
