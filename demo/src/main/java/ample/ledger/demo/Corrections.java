package ample.ledger.demo;

import ample.ledger.core.exchange.BundleTable;
import ample.ledger.core.exchange.BundleTables;
import java.time.LocalTime;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Makes of a finished schedule what a registrar posted before it: Rooms and people are not named yet, sections not added or
 * not cancelled yet. Hours were moved later, seats are still empty, and the next edition mends a few mistakes.
 */
final class Corrections {

    private final Rows rows;
    private final Dice dice;

    private Corrections(BundleTables later, Dice dice) {
        this.rows = Rows.of(later);
        this.dice = dice;
    }

    /**
     * The edition before {@code later}.
     *
     * @param share how much of it is different: 0 to 1
     * @param mistakes how many rooms are given to two sections at once
     */
    static BundleTables before(BundleTables later, Dice dice, double share, int mistakes) {
        Corrections corrections = new Corrections(later, dice);
        Set<String> bound = corrections.rows.bound();
        corrections.withoutSome(bound, share / 4);
        corrections.notCancelledYet();
        corrections.roomsToBeAnnounced(share);
        corrections.peopleToBeAnnounced(share / 2);
        corrections.elsewhen(bound, share / 3);
        corrections.emptier(1 - 2 * share);
        corrections.mistakes(bound, mistakes);
        return corrections.rows.build();
    }

    private void withoutSome(Set<String> bound, double share) {
        Set<String> gone = rows.of("sections").stream()
                .filter(row -> !bound.contains(row.text("entry")) && dice.chance(share))
                .map(row -> row.text("entry"))
                .collect(Collectors.toSet());
        for (String table : List.of("sections", "meetings", "exams", "section_instructors", "notes", "restrictions")) {
            rows.removeIf(
                    table,
                    row -> row.optionalText("entry").filter(gone::contains).isPresent());
        }
        for (String table : List.of("seat_pools", "held_seats")) {
            rows.removeIf(table, row -> gone.contains(row.text("pool")));
        }
    }

    private void notCancelledYet() {
        int cancelled = Rows.column("sections", "cancelled");
        rows.change(
                "sections",
                row -> row.yes("cancelled") && Integer.parseInt(row.text("entry")) >= DemoBundles.FIRST_GENERATED,
                cells -> {
                    cells[cancelled] = false;
                    return cells;
                });
    }

    private void roomsToBeAnnounced(double share) {
        rows.change(
                "meetings",
                row -> row.text("place").equals("room") && generated(row) && dice.chance(share),
                Corrections::withoutRoom);
    }

    private void peopleToBeAnnounced(double share) {
        rows.removeIf("section_instructors", row -> generated(row) && dice.chance(share));
    }

    /** An hour later than posted in the end, in no room yet, with nobody named. */
    private void elsewhen(Set<String> bound, double share) {
        Set<String> moved = new HashSet<>();
        int starts = Rows.column("meetings", "starts");
        int ends = Rows.column("meetings", "ends");
        rows.change(
                "meetings",
                row -> row.text("pattern").equals("weekly")
                        && row.text("place").equals("room")
                        && generated(row)
                        && !bound.contains(row.text("entry"))
                        && dice.chance(share)
                        && moved.add(row.text("entry")),
                cells -> {
                    cells[starts] = ((LocalTime) cells[starts]).plusMinutes(60);
                    cells[ends] = ((LocalTime) cells[ends]).plusMinutes(60);
                    return withoutRoom(cells);
                });
        rows.removeIf("section_instructors", row -> moved.contains(row.text("entry")));
    }

    private void emptier(double share) {
        int enrolled = Rows.column("seat_pools", "enrolled");
        int waiting = Rows.column("seat_pools", "waiting");
        int promised = Rows.column("seat_pools", "promised");
        rows.change("seat_pools", row -> Integer.parseInt(row.text("pool")) >= DemoBundles.FIRST_GENERATED, cells -> {
            int now = (int) Math.floor((int) cells[enrolled] * share);
            cells[enrolled] = now;
            cells[waiting] = 0;
            cells[promised] = 0;
            return cells;
        });
    }

    /** Gives the room of one meeting to another at the same hours. */
    private void mistakes(Set<String> bound, int count) {
        Set<String> wholeTerm = rows.of("sections").stream()
                .filter(row -> row.text("span").equals("full-term") && !row.yes("cancelled"))
                .map(row -> row.text("entry"))
                .filter(entry -> !bound.contains(entry))
                .collect(Collectors.toSet());
        List<BundleTable.Row> inRooms = rows.of("meetings").stream()
                .filter(row -> row.text("place").equals("room")
                        && row.text("pattern").equals("weekly")
                        && generated(row)
                        && wholeTerm.contains(row.text("entry")))
                .toList();
        Set<String> wrong = new HashSet<>();
        for (int i = 0; wrong.size() < count; i++) {
            BundleTable.Row one = inRooms.get(i * 37 % inRooms.size());
            inRooms.stream()
                    .filter(other -> !other.text("entry").equals(one.text("entry"))
                            && other.text("days").equals(one.text("days"))
                            && other.optional("starts", LocalTime.class)
                                    .equals(one.optional("starts", LocalTime.class)))
                    .findFirst()
                    .filter(other -> wrong.add(other.text("entry")))
                    .ifPresent(other -> sameRoom(other, one));
        }
    }

    private void sameRoom(BundleTable.Row wrong, BundleTable.Row right) {
        int building = Rows.column("meetings", "building");
        int room = Rows.column("meetings", "room");
        rows.change("meetings", wrong::equals, cells -> {
            cells[building] = right.text("building");
            cells[room] = right.text("room");
            return cells;
        });
    }

    private static @Nullable Object[] withoutRoom(@Nullable Object[] cells) {
        cells[Rows.column("meetings", "place")] = "to-be-announced";
        cells[Rows.column("meetings", "building")] = null;
        cells[Rows.column("meetings", "room")] = null;
        return cells;
    }

    private static boolean generated(BundleTable.Row row) {
        return Integer.parseInt(row.text("entry")) >= DemoBundles.FIRST_GENERATED;
    }
}
