package ample.ledger.core.registrar;

import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.TermCode;
import java.time.Instant;
import java.util.List;

/**
 * What has changed at the institution.
 *
 * @param last the number of the last change that is told here; whoever asks for what came after it misses nothing
 * @param now the moment by the institution's clock
 * @param seats how pools of seats stand that have changed
 * @param students the names, as they sign in, of those for whom something that they have has changed; a registrar that does not say so gives none
 */
public record RegistrarNews(long last, Instant now, List<Seats> seats, List<String> students) {

    public RegistrarNews {
        seats = List.copyOf(seats);
        students = students == null ? List.of() : List.copyOf(students);
    }

    /**
     * How one pool of seats stands.
     *
     * @param term code of the term
     * @param pool code of the pool in its schedule
     * @param enrolled seats taken; 0 or more
     * @param waiting students on the waitlist; 0 or more
     * @param promised seats kept for some of those who waited; 0 or more
     * @param claimed of the seats held for each group, in the order posted, those that members have claimed since they were posted
     * @param at since when, by the institution's clock
     */
    public record Seats(
            String term, String pool, int enrolled, int waiting, int promised, List<Integer> claimed, Instant at) {

        public Seats {
            claimed = claimed == null ? List.of() : List.copyOf(claimed);
        }

        public static Seats of(SeatWord word) {
            SeatPool.Count count = word.count();
            return new Seats(
                    word.term().text(),
                    word.pool(),
                    count.enrolled(),
                    count.waiting(),
                    count.promised(),
                    count.claimed(),
                    word.at());
        }

        /** The same as this program keeps it. */
        public SeatWord word() {
            return new SeatWord(new TermCode(term), pool, new SeatPool.Count(enrolled, waiting, promised, claimed), at);
        }
    }
}
