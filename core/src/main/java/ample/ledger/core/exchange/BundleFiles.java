package ample.ledger.core.exchange;

import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** The files of a bundle, in a folder or in a zip. */
interface BundleFiles extends Closeable {

    /** Bytes that one file may have: more than twenty times the largest table of 100,000 sections. */
    long LARGEST_FILE = 512L << 20;

    /**
     * The bytes of the file, or empty when there is none of that name. Reading on throws a {@link RefusedException} where
     * the file turns out to be larger than any real one.
     */
    Optional<InputStream> open(String name) throws IOException;

    /** @throws RefusedException when there is neither a folder nor a zip that could be a bundle */
    static BundleFiles of(Path path) throws IOException {
        if (Files.isDirectory(path)) {
            return new FolderFiles(path);
        }
        if (Files.isRegularFile(path)) {
            return ZipFiles.open(path);
        }
        throw new RefusedException(
                path.toString(),
                "There is no folder or zip of this name. A bundle is a folder, or a zip of one, with a "
                        + BundleFormat.DESCRIPTOR + " and its CSV files.");
    }
}
