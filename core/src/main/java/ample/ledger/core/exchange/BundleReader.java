package ample.ledger.core.exchange;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Reads a schedule bundle from a folder or a zip: every table of the format, as CSV in UTF-8, with or without a byte-order
 * mark.
 *
 * <p>Reports every fault of its cells and keys in one go.
 */
final class BundleReader {

    /** A bundle with more faults than this is not what it claims to be; nobody would read on. */
    private static final int MOST_FAULTS = 1_000;

    private static final char BYTE_ORDER_MARK = '\uFEFF';

    private final BundleFormat format = BundleFormat.current();
    private final List<Fault> faults = new ArrayList<>();

    /**
     * What came of a bundle.
     *
     * @param tables the sound rows, which name only each other
     * @param faults of all the others; empty when every row is sound
     * @param incomplete the names of the tables that lack a row for its fault
     */
    record Reading(BundleTables tables, List<Fault> faults, Set<String> incomplete) {}

    /** What is done with the text of one file. */
    private interface Use<T> {
        T of(Reader text) throws IOException;
    }

    private final Progress progress;

    private BundleReader(Progress progress) {
        this.progress = progress;
    }

    /**
     * What the bundle at {@code path}, a folder or a zip, says as far as it is sound.
     *
     * @throws FaultyBundleException when it is no bundle at all, or has a thousand faults and more
     * @throws UncheckedIOException when the disk cannot be read
     */
    static Reading read(Path path, Progress progress) {
        try (BundleFiles files = BundleFiles.of(path)) {
            return new BundleReader(progress).read(files);
        } catch (RefusedException refused) {
            throw new FaultyBundleException(List.of(Fault.of(refused.file(), refused.sentence())));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Reading read(BundleFiles files) throws IOException {
        use(files.open(BundleFormat.DESCRIPTOR), BundleFormat.DESCRIPTOR, BundleReader::everything)
                .ifPresent(descriptor -> format.faultsOf(descriptor).forEach(this::report));
        if (!faults.isEmpty()) {
            // Whatever it is, it is not this format; what its tables lack would be beside the point.
            throw new FaultyBundleException(faults);
        }
        List<TableReading> readings = new ArrayList<>();
        for (TableSchema schema : format.tables()) {
            TableReader table = new TableReader(schema, progress, this::report);
            Optional<InputStream> bytes = files.open(schema.path());
            readings.add(
                    bytes.isEmpty() && schema.mayBeLeftOut()
                            ? TableReading.empty(schema)
                            : use(bytes, schema.path(), table::read).orElseGet(() -> TableReading.none(schema)));
        }
        Map<String, BundleTable> sound = KeyChecks.check(readings, this::report);
        Set<String> incomplete = readings.stream()
                .filter(reading -> !reading.sound()
                        || reading.table().rows().size()
                                != Objects.requireNonNull(sound.get(
                                                reading.table().schema().name()))
                                        .rows()
                                        .size())
                .map(reading -> reading.table().schema().name())
                .collect(Collectors.toSet());
        return new Reading(new BundleTables(sound), List.copyOf(faults), incomplete);
    }

    private void report(Fault fault) {
        faults.add(fault);
        if (faults.size() >= MOST_FAULTS) {
            throw new FaultyBundleException(faults);
        }
    }

    private <T> Optional<T> use(Optional<InputStream> bytes, String file, Use<T> use) throws IOException {
        if (bytes.isEmpty()) {
            report(Fault.of(
                    file,
                    file.equals(BundleFormat.DESCRIPTOR)
                            ? "The bundle has no descriptor. It is the same for every bundle: take it from the desk’s page, or from ./ledger bundle new."
                            : "The bundle has no such file; a table without rows still has its head."));
            return Optional.empty();
        }
        try (Reader text = new BufferedReader(new InputStreamReader(
                bytes.get(), StandardCharsets.UTF_8.newDecoder().onMalformedInput(CodingErrorAction.REPORT)))) {
            skipByteOrderMark(text);
            return Optional.of(use.of(text));
        } catch (CharacterCodingException e) {
            report(Fault.of(file, "It is not UTF-8 text; save it in that encoding."));
            return Optional.empty();
        }
    }

    private static void skipByteOrderMark(Reader text) throws IOException {
        text.mark(1);
        if (text.read() != BYTE_ORDER_MARK) {
            text.reset();
        }
    }

    private static String everything(Reader text) throws IOException {
        StringBuilder all = new StringBuilder();
        char[] some = new char[8192];
        for (int count = text.read(some); count >= 0; count = text.read(some)) {
            all.append(some, 0, count);
        }
        return all.toString();
    }
}
