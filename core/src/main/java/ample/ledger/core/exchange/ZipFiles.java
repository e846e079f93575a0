package ample.ledger.core.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/**
 * A bundle in a zip, its files at the top or together in one folder.
 *
 * <p>Refused before anything is unpacked: names that climb out of the zip, the same file twice, more files than a bundle
 * has. Refused while unpacking: a file that grows beyond what its packed size could honestly hold. Nothing is ever
 * written to disk.
 */
final class ZipFiles implements BundleFiles {

    private static final int MOST_ENTRIES = 200;

    /** Text packs to a tenth or a twentieth; a bomb to a thousandth. */
    private static final long MOST_GROWTH = 200;

    /** Below this a file may be as repetitive as it likes. */
    private static final long SMALL = 1L << 20;

    private final ZipFile zip;
    private final Map<String, ZipEntry> byName = new HashMap<>();

    private ZipFiles(ZipFile zip) throws RefusedException {
        this.zip = zip;
        List<? extends ZipEntry> entries = zip.stream().limit(MOST_ENTRIES + 1L).toList();
        if (entries.size() > MOST_ENTRIES) {
            throw new RefusedException(
                    zip.getName(),
                    "It holds more than " + MOST_ENTRIES + " files; a bundle has "
                            + (BundleFormat.current().tables().size() + 1) + ".");
        }
        for (ZipEntry entry : entries) {
            add(entry);
        }
    }

    /** @throws RefusedException when it is no zip, or one that no bundle is in */
    static ZipFiles open(Path path) throws IOException {
        ZipFile zip;
        try {
            zip = new ZipFile(path.toFile());
        } catch (ZipException e) {
            throw new RefusedException(path.toString(), "It is neither a folder nor a zip: " + e.getMessage() + ".");
        }
        try {
            return new ZipFiles(zip);
        } catch (RefusedException refused) {
            zip.close();
            throw refused;
        }
    }

    private void add(ZipEntry entry) throws RefusedException {
        String path = entry.getName();
        List<String> parts = List.of(path.split("/"));
        if (path.startsWith("/") || path.contains("\\") || path.contains(":") || parts.contains("..")) {
            throw new RefusedException(path, "Its name leads out of the zip; files lie at the top or in one folder.");
        }
        if (entry.isDirectory() || parts.size() > 2) {
            return;
        }
        if (byName.put(parts.get(parts.size() - 1), entry) != null) {
            throw new RefusedException(path, "Two files in the zip have this name.");
        }
    }

    @Override
    public Optional<InputStream> open(String name) throws IOException {
        ZipEntry entry = byName.get(name);
        if (entry == null) {
            return Optional.empty();
        }
        long honest = Math.max(SMALL, Math.max(0, entry.getCompressedSize()) * MOST_GROWTH);
        return Optional.of(new LimitedInputStream(name, zip.getInputStream(entry), Math.min(LARGEST_FILE, honest)));
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
