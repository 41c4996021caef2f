package org.wache.server.releases;

import java.util.Locale;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.wache.exchange.ReleaseFile;
import org.wache.exchange.ReleaseReport;
import org.wache.server.prints.PaperDates;

/** How papers of a release are answered: by a name of their own, and each page with the release's number and sum on it. */
final class PaperFile {

    private static final int SHORT_SUM = 16;

    private PaperFile() {}

    /** The first figures of the release's SHA-256. */
    static String shortSum(ReleaseFile file) {
        return file.sum().substring(0, SHORT_SUM);
    }

    /** What stands under each page. */
    static String foot(ReleaseFile file) {
        return file.list() + " · release " + file.number() + " · " + PaperDates.day(file.day()) + " · rulebook "
                + file.rulebook() + " " + file.edition() + " · SHA-256 " + ReleaseReport.spaced(shortSum(file)) + " …";
    }

    /** A paper to look at. */
    static ResponseEntity<byte[]> pdf(ReleaseFile file, String what, byte[] bytes) {
        return of(file, what + ".pdf", MediaType.APPLICATION_PDF_VALUE, bytes);
    }

    /** A file of any type. */
    static ResponseEntity<byte[]> of(ReleaseFile file, String what, String type, byte[] bytes) {
        String name = file.list().replaceAll("[^A-Za-z0-9]+", "-").toLowerCase(Locale.ROOT) + "-" + file.number() + "-"
                + what;
        return ResponseEntity.ok()
                .header("Content-Disposition", "inline; filename=\"" + name + "\"")
                .contentType(MediaType.parseMediaType(type))
                .body(bytes);
    }
}
