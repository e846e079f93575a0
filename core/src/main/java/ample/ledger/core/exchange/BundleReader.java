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
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Reads a schedule bundle from a folder or a zip: every table of the format, as CSV in UTF-8, with or without a byte-order
 * mark.
 *
 * <p>Reports every fault it can find in one go, and gives tables only where there is none.
 */
final class BundleReader {

    /** A bundle with more faults than this is not what it claims to be; nobody would read on. */
    private static final int MOST_FAULTS = 1_000;

    private static final char BYTE_ORDER_MARK = '\uFEFF';

    private final BundleFormat format = BundleFormat.current();
    private final List<Fault> faults = new ArrayList<>();

    /** What is done with the text of one file. */
    private interface Use<T> {
        T of(Reader text) throws IOException;
    }

    private final Progress progress;

    private BundleReader(Progress progress) {
        this.progress = progress;
    }

    /**
     * The tables of the bundle at {@code path}, a folder or a zip.
     *
     * @throws FaultyBundleException naming every fault, the first thousand where there are more
     * @throws UncheckedIOException when the disk cannot be read
     */
    static BundleTables read(Path path, Progress progress) {
        try (BundleFiles files = BundleFiles.of(path)) {
            return new BundleReader(progress).read(files);
        } catch (RefusedException refused) {
            throw new FaultyBundleException(List.of(Fault.of(refused.file(), refused.getMessage())));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private BundleTables read(BundleFiles files) throws IOException {
        use(files, BundleFormat.DESCRIPTOR, BundleReader::everything)
                .ifPresent(descriptor -> format.faultsOf(descriptor).forEach(this::report));
        stopIfFaulty();
        Map<String, BundleTable> tables = new LinkedHashMap<>();
        for (TableSchema schema : format.tables()) {
            TableReader table = new TableReader(schema, progress, this::report);
            use(files, schema.path(), table::read).ifPresent(read -> tables.put(schema.name(), read));
        }
        stopIfFaulty();
        tables.values().forEach(table -> KeyChecks.faultsOf(table, tables).forEach(this::report));
        stopIfFaulty();
        return new BundleTables(tables);
    }

    private void report(Fault fault) {
        faults.add(fault);
        if (faults.size() >= MOST_FAULTS) {
            throw new FaultyBundleException(faults);
        }
    }

    private void stopIfFaulty() {
        if (!faults.isEmpty()) {
            throw new FaultyBundleException(faults);
        }
    }

    private <T> Optional<T> use(BundleFiles files, String file, Use<T> use) throws IOException {
        Optional<InputStream> bytes = files.open(file);
        if (bytes.isEmpty()) {
            report(Fault.of(file, "The bundle has no such file; a table without rows still has its head."));
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
