package org.wache.rulebook;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Rulebooks beside those that ship: a folder with a folder for each country, its files named as the shipped ones are. The folder is
 * named by the system property {@code wache.rulebooks}, else by the environment variable {@code WACHE_RULEBOOKS}.
 */
final class RulebookFolder {

    private RulebookFolder() {}

    private static Optional<Path> root() {
        return Optional.ofNullable(System.getProperty("wache.rulebooks", System.getenv("WACHE_RULEBOOKS")))
                .filter(text -> !text.isBlank())
                .map(Path::of);
    }

    /** The identifiers of the countries in it, in order: the folders with an {@code edition.yaml}. */
    static List<String> ids() {
        if (root().isEmpty()) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(root().get())) {
            return all.filter(each -> Files.isRegularFile(each.resolve("edition.yaml")))
                    .map(each -> each.getFileName().toString())
                    .sorted()
                    .toList();
        } catch (IOException e) {
            throw new RulebookProblem(
                    "The folder of rulebooks " + root().get() + " cannot be read: " + e.getMessage(), e);
        }
    }

    /** A file of a country in it. */
    static Optional<String> file(String country, String name) {
        Optional<Path> file =
                root().map(each -> each.resolve(country).resolve(name)).filter(Files::isRegularFile);
        return file.map(path -> {
            try {
                return Files.readString(path);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }
}
