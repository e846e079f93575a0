package ample.ledger.standin;

import java.util.List;
import java.util.Optional;

/** The students whom the institution's sign-on would know: those of the demo. All of them sign in with one password. */
public final class SimulatedSignOn {

    private static final List<Student> STUDENTS = List.of(
            new Student("wren", "no credits yet", 0, 1, ""),
            new Student("maris", "second year of Glaciology, 46 credits", 46, 2, "glaciology"),
            new Student("tamsin", "works days, takes evenings and online", 24, 1, ""),
            new Student("odo", "last year, still owes Public good", 104, 4, "limnology"),
            new Student("bryn", "has a hold", 31, 2, "mycology"));

    private SimulatedSignOn() {}

    /**
     * A student.
     *
     * @param name to sign in with
     * @param words who that is
     * @param credits earned
     * @param level year of study
     * @param programme its code; empty for none
     */
    public record Student(String name, String words, int credits, int level, String programme) {}

    public static List<Student> students() {
        return STUDENTS;
    }

    public static Optional<Student> student(String name) {
        return STUDENTS.stream().filter(student -> student.name().equals(name)).findFirst();
    }
}
