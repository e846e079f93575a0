package ample.ledger.demo;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;

/**
 * A stretch of the week that classes are put in.
 *
 * @param days 0 for Monday to 6 for Sunday
 * @param weight how often it is chosen beside the others
 */
record Slot(List<Integer> days, LocalTime start, int minutes, int weight) {

    private static final List<String> NAMES = List.of("mon", "tue", "wed", "thu", "fri", "sat", "sun");

    static final List<Slot> LECTURES = lectures();
    static final List<Slot> LONG = longOnes();
    static final List<Slot> SHORT = shortOnes();
    static final List<Slot> EVENINGS = evenings();
    static final List<Slot> SATURDAYS = List.of(
            new Slot(List.of(5), LocalTime.of(9, 0), 170, 3), new Slot(List.of(5), LocalTime.of(13, 0), 170, 1));

    LocalTime end() {
        return start.plusMinutes(minutes);
    }

    /** "mon wed". */
    String daysWritten() {
        return String.join(" ", days.stream().map(NAMES::get).toList());
    }

    boolean evening() {
        return start.getHour() >= 17;
    }

    private static List<Slot> lectures() {
        List<Slot> slots = new ArrayList<>();
        int[][] pairs = {{0, 2, 5}, {1, 3, 6}, {0, 3, 2}, {2, 4, 2}, {1, 4, 1}};
        int[][] starts = {{8, 0, 2}, {9, 30, 6}, {11, 0, 8}, {12, 30, 3}, {14, 0, 6}, {15, 30, 4}};
        for (int[] pair : pairs) {
            for (int[] at : starts) {
                slots.add(new Slot(List.of(pair[0], pair[1]), LocalTime.of(at[0], at[1]), 80, pair[2] * at[2]));
            }
        }
        int[][] hours = {{8, 4}, {9, 14}, {10, 16}, {11, 14}, {13, 10}, {14, 8}};
        for (int[] at : hours) {
            slots.add(new Slot(List.of(0, 2, 4), LocalTime.of(at[0], 0), 50, at[1]));
        }
        return slots;
    }

    private static List<Slot> longOnes() {
        List<Slot> slots = new ArrayList<>();
        int[][] starts = {{8, 30, 3}, {9, 30, 3}, {13, 0, 5}, {14, 0, 6}, {15, 0, 2}};
        for (int day = 0; day < 5; day++) {
            for (int[] at : starts) {
                slots.add(new Slot(List.of(day), LocalTime.of(at[0], at[1]), 170, at[2]));
            }
        }
        return slots;
    }

    private static List<Slot> shortOnes() {
        List<Slot> slots = new ArrayList<>();
        for (int day = 0; day < 5; day++) {
            for (int hour = 8; hour < 17; hour++) {
                slots.add(new Slot(List.of(day), LocalTime.of(hour, 0), 50, hour == 8 || hour == 12 ? 1 : 4));
            }
        }
        return slots;
    }

    private static List<Slot> evenings() {
        List<Slot> slots = new ArrayList<>();
        for (int day = 0; day < 4; day++) {
            slots.add(new Slot(List.of(day), LocalTime.of(17, 30), 170, 3));
        }
        slots.add(new Slot(List.of(0, 2), LocalTime.of(17, 30), 80, 3));
        slots.add(new Slot(List.of(1, 3), LocalTime.of(17, 30), 80, 3));
        slots.add(new Slot(List.of(1, 3), LocalTime.of(19, 0), 80, 2));
        return slots;
    }
}
