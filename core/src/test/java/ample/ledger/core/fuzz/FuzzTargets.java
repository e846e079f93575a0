package ample.ledger.core.fuzz;

import ample.ledger.core.exchange.FaultyBundleException;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.requirement.NotationException;
import ample.ledger.core.requirement.PrerequisiteNotation;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * What Jazzer feeds with bytes of its own making. Each target may refuse what it is given only in the way that its own
 * documentation says; any other exception, and any input that takes too long, is a find.
 */
public final class FuzzTargets {

    /** By name, as {@code ./ledger fuzz} takes it. */
    static final Map<String, Consumer<byte[]>> ALL = new TreeMap<>(
            Map.of("notation", FuzzTargets::notation, "reader", FuzzTargets::reader, "zip", FuzzTargets::zip));

    /** The files that the reader's target puts the bytes in, one after the other by the first byte. */
    private static final List<String> FILES = List.of(
            "sections.csv",
            "meetings.csv",
            "courses.csv",
            "code_key.csv",
            "restrictions.csv",
            "prerequisites.csv",
            "cross_listings.csv",
            "companions.csv",
            "datapackage.json");

    private FuzzTargets() {}

    /** A prerequisite is read, or refused with the place; what was read is written and read again to the same. */
    static void notation(byte[] bytes) {
        try {
            var read = PrerequisiteNotation.parse(new String(bytes, StandardCharsets.UTF_8));
            if (!PrerequisiteNotation.parse(read.toString()).equals(read)) {
                throw new AssertionError(read + " reads back as something else");
            }
        } catch (NotationException refused) {
            // As it says it does.
        }
    }

    /** A bundle of which one file is the fuzzer's. */
    static void reader(byte[] bytes) {
        if (bytes.length == 0) {
            return;
        }
        String file = FILES.get((bytes[0] & 0xFF) % FILES.size());
        byte[] rest = new byte[bytes.length - 1];
        System.arraycopy(bytes, 1, rest, 0, rest.length);
        readZip(zipOfKernel(file, rest));
    }

    /** Bytes that may or may not be a zip. */
    static void zip(byte[] bytes) {
        readZip(bytes);
    }

    private static void readZip(byte[] bytes) {
        try {
            Path zip = Files.createTempFile("fuzz", ".zip");
            try {
                Files.write(zip, bytes);
                ScheduleBundle.read(zip);
            } catch (FaultyBundleException refused) {
                // As it says it does.
            } finally {
                Files.delete(zip);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static byte[] zipOfKernel(String file, byte[] instead) {
        var bytes = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(bytes);
                Stream<Path> files = Files.list(Schedules.kernel())) {
            out.setLevel(0);
            for (Path each : (Iterable<Path>) files.sorted()::iterator) {
                String name = each.getFileName().toString();
                out.putNextEntry(new ZipEntry(name));
                out.write(name.equals(file) ? instead : Files.readAllBytes(each));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** Where Jazzer looks for a target; the system property names which. */
    public static void fuzzerTestOneInput(byte[] bytes) {
        ALL.get(System.getProperty("ledger.fuzz")).accept(bytes);
    }
}
