package ample.ledger.core.exchange;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * Writes a bundle so that it reads back to the same tables. The same tables give the same bytes: line feeds end the
 * lines, cells are quoted where RFC 4180 asks for it, and a zip carries no clock time.
 */
public final class BundleWriter {

    /** What a zip says of every file's age: the first moment that its format can write. */
    private static final LocalDateTime NO_TIME = LocalDateTime.of(1980, 1, 1, 0, 0);

    private static final int BUFFER = 1 << 16;

    private BundleWriter() {}

    /** Writes the files into {@code folder}, which is made where it is missing; files of the same names are replaced. */
    public static void toFolder(BundleTables tables, Path folder) throws IOException {
        Files.createDirectories(folder);
        Files.writeString(folder.resolve(BundleFormat.DESCRIPTOR), BundleFormat.descriptorText());
        for (TableSchema schema : BundleFormat.current().tables()) {
            try (OutputStream out = Files.newOutputStream(folder.resolve(schema.path()))) {
                write(tables, schema, out);
            }
        }
    }

    /** Writes a zip with the files at its top. {@code out} stays open. */
    public static void toZip(BundleTables tables, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        entry(zip, BundleFormat.DESCRIPTOR);
        zip.write(BundleFormat.descriptorText().getBytes(StandardCharsets.UTF_8));
        for (TableSchema schema : BundleFormat.current().tables()) {
            entry(zip, schema.path());
            write(tables, schema, zip);
        }
        zip.closeEntry();
        zip.finish();
    }

    private static void entry(ZipOutputStream zip, String name) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTimeLocal(NO_TIME);
        zip.putNextEntry(entry);
    }

    private static void write(BundleTables tables, TableSchema schema, OutputStream out) throws IOException {
        Writer text = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        CsvWriter csv = CsvWriter.builder()
                .lineDelimiter(LineDelimiter.LF)
                .bufferSize(BUFFER)
                .build(text);
        csv.writeRecord(schema.columnNames());
        for (BundleTable.Row row : tables.rows(schema.name())) {
            csv.writeRecord(Arrays.stream(row.cells()).map(CellWriter::text).toList());
        }
        csv.flush();
        text.flush();
    }
}
