package ample.ledger.core.exchange;

import ample.ledger.core.registrar.round.RoundFile;
import java.nio.file.Path;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The program that distributes the places of a round again, from the file that the desk has saved, and compares. */
public final class RoundRecount {

    private static final int MOST_SAID = 20;

    private RoundRecount() {}

    /** @param arguments the file; the program ends with 1 where something comes out otherwise, and with 2 for what is no such file */
    public static void main(String[] arguments) {
        try {
            RoundFile file =
                    JsonMapper.builder().build().readValue(Path.of(arguments[0]).toFile(), RoundFile.class);
            List<String> faults = file.faults();
            faults.stream().limit(MOST_SAID).forEach(System.out::println);
            System.out.println(
                    faults.isEmpty()
                            ? "Distributed again: all %,d students with wishes that count get what the file says."
                                    .formatted(file.ballots().size())
                            : "Distributed again: %,d things come out otherwise than the file says."
                                    .formatted(faults.size()));
            System.exit(faults.isEmpty() ? 0 : 1);
        } catch (JacksonException | IllegalArgumentException wrong) {
            System.out.println(arguments[0] + " is no file of a wish round, as the desk's page of the round saves it.");
            System.exit(2);
        }
    }
}
