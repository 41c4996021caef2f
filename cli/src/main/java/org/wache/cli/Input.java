package org.wache.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.function.Function;
import org.wache.exchange.ContextFile;
import org.wache.exchange.FileProblem;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookProblem;
import org.wache.rulebook.RulebookReader;

/** What commands are given: files and rulebooks. */
final class Input {

    private Input() {}

    static Edition edition(String id, LocalDate day) {
        try {
            return RulebookReader.shipped(id).on(day);
        } catch (RulebookProblem e) {
            throw new Unusable(e.getMessage());
        }
    }

    static <T> T parsed(Path path, Function<byte[], T> reader) {
        if (Files.isDirectory(path)) {
            throw new Unusable(path + ": line 0, column 0: is a directory; expected a list as CSV or JSON");
        }
        try {
            return reader.apply(Files.readAllBytes(path));
        } catch (FileProblem e) {
            throw new Unusable(path + ": " + e.described());
        } catch (NoSuchFileException e) {
            throw new Unusable(path + ": line 0, column 0: there is no such file; expected a list as CSV or JSON");
        } catch (IOException e) {
            throw new Unusable(path + ": line 0, column 0: cannot be read (" + e.getMessage() + ")");
        }
    }

    /** The day that an option gives. */
    static LocalDate day(String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeException e) {
            throw new Unusable("--on: “" + text + "” is no day; expected one such as 2026-11-25");
        }
    }

    /** The day that an option gives; else the context's, else today. */
    static LocalDate day(String option, ContextFile context) {
        return option != null ? day(option) : context.on().orElseGet(LocalDate::now);
    }

    /** The rulebook that an option names; else the context's, else the first that ships. */
    static Edition edition(String option, ContextFile context, LocalDate day) {
        return edition(
                option != null
                        ? option
                        : context.rulebook()
                                .orElseGet(() -> RulebookReader.ids().get(0)),
                day);
    }

    static String name(Path path) {
        String name = path.getFileName().toString();
        int point = name.lastIndexOf('.');
        return point > 0 ? name.substring(0, point) : name;
    }
}
