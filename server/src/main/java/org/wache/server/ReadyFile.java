package org.wache.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Tells whoever started the server that it can be used: everything runs, and the demo's data is in. */
@Component
class ReadyFile {

    private final String file;

    ReadyFile(@Value("${wache.ready-file}") String file) {
        this.file = file;
    }

    @EventListener(ApplicationReadyEvent.class)
    void ready() {
        if (!file.isBlank()) {
            try {
                Files.writeString(Path.of(file), "ready\n");
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
