package ample.ledger.core.exchange;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;

/** A small bundle that is complete, to be changed into one's own. */
public final class ExampleBundle {

    private static final String ROWS = "example-bundle.txt";
    private static final String TABLE = "## ";

    private ExampleBundle() {}

    /** Its files by their names, the descriptor among them. */
    public static Map<String, String> files() {
        Map<String, String> rows = rows();
        Map<String, String> files = new TreeMap<>();
        for (TableSchema table : BundleFormat.current().tables()) {
            String head = String.join(",", table.columnNames()) + "\n";
            files.put(table.path(), rows.getOrDefault(table.name(), head));
        }
        files.put(BundleFormat.DESCRIPTOR, BundleFormat.descriptorText());
        return files;
    }

    /** The tables that have rows, as CSV. */
    private static Map<String, String> rows() {
        Map<String, String> rows = new TreeMap<>();
        String table = "";
        for (String line : BundleFormat.text(ROWS).lines().toList()) {
            if (line.startsWith(TABLE)) {
                table = line.substring(TABLE.length());
            } else if (!line.isBlank()) {
                rows.merge(table, line + "\n", String::concat);
            }
        }
        return rows;
    }

    /** Writes it into a folder that is empty or not there yet, the one argument. */
    public static void main(String[] arguments) throws IOException {
        Path folder = Files.createDirectories(Path.of(arguments[0]));
        for (Map.Entry<String, String> file : files().entrySet()) {
            Files.writeString(folder.resolve(file.getKey()), file.getValue());
        }
    }
}
