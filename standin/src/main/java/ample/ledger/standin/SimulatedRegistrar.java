package ample.ledger.standin;

import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.requirement.RecordLines;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What the institution's own systems would know of the students of the demo: courses that are posted there, with believable grades. */
public final class SimulatedRegistrar implements Registrar {

    private static final Map<String, StudentFile> STUDENTS = Map.of(
            "wren",
            new StudentFile(BigDecimal.ZERO, 1, Optional.empty(), List.of(), Set.of("Functions"), List.of()),
            "maris",
            file(46, 2, Optional.of("glaciology"), """
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
                    """),
            "tamsin",
            file(24, 1, Optional.empty(), """
                    RHET 101 A-
                    CART 105 B+
                    LOOM 115 A
                    NUMB 112 C
                    MYCO 101 B
                    TIDE 110 B-
                    RHET 240 A-
                    MYCO 144m B+
                    """),
            "odo",
            file(104, 4, Optional.of("limnology"), """
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
                    """),
            "bryn",
            file(
                    31,
                    2,
                    Optional.of("mycology"),
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
                    new Hold(
                            "The library",
                            "Two books are overdue.",
                            LocalDate.of(2031, 6, 2),
                            "The library desk lifts it on the day they are back.")));

    private static StudentFile file(int credits, int level, Optional<String> programme, String courses, Hold... holds) {
        return new StudentFile(
                BigDecimal.valueOf(credits),
                level,
                programme,
                RecordLines.read(courses).courses(),
                Set.of(),
                List.of(holds));
    }

    @Override
    public Optional<StudentFile> student(String name) {
        return Optional.ofNullable(STUDENTS.get(name));
    }
}
