package org.wache.server.prints;

import com.openhtmltopdf.extend.FSSupplier;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.outputdevice.helper.ExternalResourceControlPriority;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Sets papers: a template with what it tells becomes a tagged PDF (PDF/UA, ISO 14289-1) in the typefaces of the screens. Nothing is
 * ever fetched for one, and what users wrote is text in it and nothing else.
 *
 * @param size of the sheets
 * @param lying whether the longer side is below
 * @param title as a reader's window names it
 * @param foot what stands under each page beside its number; empty for pages without a foot
 */
public record Paper(PaperSize size, boolean lying, String title, String foot) {

    private static final Map<String, Template> TEMPLATES = new ConcurrentHashMap<>();
    private static final String STYLE = text("paper.css");

    static {
        XRLog.setLoggingEnabled(false); // it reports each style that it ignores, on every page
    }

    /** An upright or lying sheet with a foot. */
    public static Paper of(PaperSize size, boolean lying, String title, String foot) {
        return new Paper(size, lying, title, foot);
    }

    /** What the template for the frame of a paper is told. */
    private record Frame(String title, String foot, String page, String style, String body) {}

    /**
     * The bytes of the PDF.
     *
     * @param template its name among the resources of prints, without its ending
     * @param told what it tells: a record whose parts the template names
     */
    public byte[] write(String template, Object told) {
        return write(template, told, "");
    }

    /** The same in a style of its own besides that of all papers. */
    byte[] write(String template, Object told, String style) {
        String body = template(template).execute(told);
        String page = "size: " + size.css(lying) + ";" + (foot.isEmpty() ? " margin: 0;" : "");
        String html = template("frame").execute(new Frame(title, foot, page, STYLE + style, body));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        builder.usePdfUaAccessibility(true);
        builder.withProducer("Wache");
        builder.useExternalResourceAccessControl(
                (uri, type) -> uri != null && uri.startsWith("data:"),
                ExternalResourceControlPriority.RUN_AFTER_RESOLVING_URI);
        builder.useExternalResourceAccessControl(
                (uri, type) -> uri != null && uri.startsWith("data:"),
                ExternalResourceControlPriority.RUN_BEFORE_RESOLVING_URI);
        for (Typeface face : Typeface.values()) {
            FSSupplier<InputStream> file = face::open;
            builder.useFont(file, face.family(), face.weight(), FontStyle.NORMAL, true);
        }
        builder.withHtmlContent(html, null);
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e); // memory is always writable
        }
        return out.toByteArray();
    }

    private static Template template(String name) {
        return TEMPLATES.computeIfAbsent(name, each -> Mustache.compiler()
                .withEscaper(Paper::escaped)
                .emptyStringIsFalse(true)
                .withLoader(part -> new InputStreamReader(open(part + ".mustache"), StandardCharsets.UTF_8))
                .compile(text(each + ".mustache")));
    }

    /** A text as XML holds it: what XML cannot hold at all is left out (XML 1.0, section 2.2). */
    public static String escaped(String text) {
        StringBuilder safe = new StringBuilder(text.length());
        text.codePoints().forEach(sign -> {
            switch (sign) {
                case '&' -> safe.append("&amp;");
                case '<' -> safe.append("&lt;");
                case '>' -> safe.append("&gt;");
                case '"' -> safe.append("&quot;");
                case '\'' -> safe.append("&#39;");
                default -> {
                    boolean held = sign == '\t'
                            || sign == '\n'
                            || sign == '\r'
                            || sign >= 0x20 && sign <= 0xD7FF
                            || sign >= 0xE000 && sign <= 0xFFFD
                            || sign >= 0x1_0000;
                    if (held) {
                        safe.appendCodePoint(sign);
                    }
                }
            }
        });
        return safe.toString();
    }

    private static InputStream open(String file) {
        return Paper.class.getResourceAsStream("/prints/" + file);
    }

    private static String text(String file) {
        try (InputStream in = open(file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e); // it ships with the application
        }
    }
}
