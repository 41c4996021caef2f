package org.wache.server.web;

import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import org.apache.commons.io.output.DeferredFileOutputStream;

/** The bytes of a request's body: in memory while they are few, else in a temporary file that goes with the request. */
final class ReadBody implements Closeable {

    private static final int IN_MEMORY = 64 * 1024;

    private final DeferredFileOutputStream bytes = DeferredFileOutputStream.builder()
            .setThreshold(IN_MEMORY)
            .setPrefix("wache-body")
            .setSuffix(".part")
            .get();
    private boolean closed;

    void write(byte[] part, int count) throws IOException {
        if (!closed) {
            bytes.write(part, 0, count);
        }
    }

    long length() {
        return bytes.getByteCount();
    }

    InputStream open() throws IOException {
        bytes.close();
        return bytes.toInputStream();
    }

    @Override
    public void close() {
        closed = true;
        try {
            bytes.close();
            if (!bytes.isInMemory()) {
                Files.deleteIfExists(bytes.getPath());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
