package ample.ledger.core.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** A bundle in a folder. */
record FolderFiles(Path folder) implements BundleFiles {

    @Override
    public Optional<InputStream> open(String name) throws IOException {
        Path file = folder.resolve(name);
        return Files.isRegularFile(file)
                ? Optional.of(new LimitedInputStream(name, Files.newInputStream(file), LARGEST_FILE))
                : Optional.empty();
    }

    @Override
    public void close() {
        // Each file is closed by who opened it.
    }
}
