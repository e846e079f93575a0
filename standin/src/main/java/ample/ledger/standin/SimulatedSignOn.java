package ample.ledger.standin;

import java.util.List;

/** The students whom the institution's sign-on would know: those of the demo. All of them sign in with one password. */
public final class SimulatedSignOn {

    private static final List<Student> STUDENTS = List.of(
            new Student("wren", "no credits yet"),
            new Student("maris", "second year of Glaciology, 46 credits"),
            new Student("tamsin", "works days, takes evenings and online"),
            new Student("odo", "last year, still owes Public good"),
            new Student("bryn", "has a hold"));

    private SimulatedSignOn() {}

    /**
     * A student.
     *
     * @param name to sign in with
     * @param words who that is
     */
    public record Student(String name, String words) {}

    public static List<Student> students() {
        return STUDENTS;
    }
}
