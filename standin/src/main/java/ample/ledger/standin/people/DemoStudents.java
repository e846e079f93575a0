package ample.ledger.standin.people;

import ample.ledger.core.registrar.Hold;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/** The five students of the demo, with whole records: courses that are posted there, with believable grades. */
final class DemoStudents {

    static final Map<String, Student> ALL = Map.of(
            "wren",
            new Student("Wren", "no credits yet", 0, 1, "", "tidewall", "", List.of("Functions"), List.of(), List.of()),
            "maris",
            new Student(
                    "Maris",
                    "second year of Glaciology, 46 credits",
                    46,
                    2,
                    "glaciology",
                    "tidewall",
                    """
                    GLAC 120 A-
                    TIDE 110 B+
                    NUMB 112 B
                    NUMB 115 A
                    LIMN 130 B+
                    CART 105 A
                    RHET 101 B
                    MYCO 101 B-
                    LOOM 115 P
                    CART 210 A-
                    NUMB 210 C+
                    GLAC 205 B+
                    GLAC 180m P
                    LOOM 180m P
                    MYCO 144m A-
                    RHET 205 B
                    CART 360
                    RHET 240
                    """,
                    List.of(),
                    List.of(),
                    List.of()),
            "tamsin",
            new Student(
                    "Tamsin",
                    "works days, takes evenings and online",
                    24,
                    1,
                    "",
                    "tidewall",
                    """
                    RHET 101 A-
                    CART 105 B+
                    LOOM 115 A
                    NUMB 112 C
                    MYCO 101 B
                    TIDE 110 B-
                    RHET 240 A-
                    MYCO 144m B+
                    """,
                    List.of(),
                    List.of("LIMN 222"),
                    List.of()),
            "odo",
            new Student(
                    "Odo",
                    "last year, still owes Public good",
                    104,
                    4,
                    "limnology",
                    "tidewall",
                    """
                    LIMN 130 A
                    LIMN 222 B+
                    LIMN 380 A-
                    TIDE 110 B
                    TIDE 214 B-
                    TIDE 235 B
                    TIDE 341 B+
                    NUMB 112 B
                    NUMB 115 C+
                    NUMB 210 C
                    NUMB 285 B-
                    NUMB 303 C+
                    GLAC 120 A-
                    GLAC 205 B
                    GLAC 240d A-
                    GLAC 312 C+
                    CART 105 B+
                    CART 210 A-
                    CART 331 B
                    CART 360 B+
                    MYCO 101 A-
                    MYCO 144m A
                    MYCO 220 B+
                    LOOM 115 B
                    LOOM 250 B-
                    LOOM 262 B+
                    LOOM 355 A-
                    RHET 101 B
                    RHET 240 B+
                    RHET 310 B
                    """,
                    List.of(),
                    List.of(),
                    List.of()),
            "bryn",
            new Student(
                    "Bryn",
                    "has a hold",
                    31,
                    2,
                    "mycology",
                    "tidewall",
                    """
                    MYCO 101 A
                    MYCO 144m A
                    MYCO 220 B+
                    LIMN 130 B
                    NUMB 112 C+
                    RHET 101 B-
                    LOOM 115 B+
                    CART 105 B
                    GLAC 120 B
                    TIDE 110 C
                    """,
                    List.of(),
                    List.of(),
                    List.of(new Hold(
                            "The library",
                            "registering",
                            "Two books are overdue.",
                            LocalDate.of(2031, 6, 2),
                            "The library desk lifts it on the day they are back."))));

    private DemoStudents() {}
}
