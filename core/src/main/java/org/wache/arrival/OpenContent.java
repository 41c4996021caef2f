package org.wache.arrival;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.namespace.QName;
import javax.xml.stream.XMLEventFactory;
import javax.xml.stream.XMLEventReader;
import javax.xml.stream.XMLEventWriter;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.events.XMLEvent;

/**
 * The content of an OpenDocument spreadsheet as its library reads it whole. That one passes over the text of a cell that is
 * set in another style or links somewhere (text:span, text:a), and over all sheets of a file without styles of its own, both
 * of which the format allows (OASIS OpenDocument 1.3, part 3, sections 6.1.7, 6.1.8 and 3.15.3). So the inner marks of a
 * paragraph are taken off, styles that say nothing are put in where there are none, and all else that a file carries is left
 * behind.
 */
final class OpenContent {

    private static final String TEXT = "urn:oasis:names:tc:opendocument:xmlns:text:1.0";
    private static final String OFFICE = "urn:oasis:names:tc:opendocument:xmlns:office:1.0";
    /** What stands for spaces and line ends within a paragraph. */
    private static final Set<String> MEANS_SPACE = Set.of("s", "tab", "line-break");

    private static final QName STYLES = new QName(OFFICE, "automatic-styles");
    private static final QName BODY = new QName(OFFICE, "body");
    private static final XMLEventFactory EVENTS = XMLEventFactory.newFactory();

    private final XMLEventWriter out;
    private int paragraphs;
    private boolean styled;

    private OpenContent(XMLEventWriter out) {
        this.out = out;
    }

    /** A spreadsheet of nothing but its kind and this content. */
    static byte[] plain(String kind, InputStream content) throws IOException, XMLStreamException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            stored(zip, kind.getBytes(StandardCharsets.US_ASCII));
            zip.putNextEntry(new ZipEntry("content.xml"));
            XMLEventReader reader = OpenCells.XML.createXMLEventReader(content);
            XMLEventWriter writer = XMLOutputFactory.newFactory().createXMLEventWriter(zip, "UTF-8");
            OpenContent plain = new OpenContent(writer);
            while (reader.hasNext()) {
                plain.take(reader.nextEvent());
            }
            writer.flush();
            zip.closeEntry();
        }
        return bytes.toByteArray();
    }

    /** The kind stands first and is not packed, so that it can be read off the file's first bytes. */
    private static void stored(ZipOutputStream zip, byte[] kind) throws IOException {
        ZipEntry entry = new ZipEntry("mimetype");
        CRC32 sum = new CRC32();
        sum.update(kind);
        entry.setMethod(ZipEntry.STORED);
        entry.setSize(kind.length);
        entry.setCompressedSize(kind.length);
        entry.setCrc(sum.getValue());
        zip.putNextEntry(entry);
        zip.write(kind);
        zip.closeEntry();
    }

    private void take(XMLEvent event) throws XMLStreamException {
        if (event.isStartElement()) {
            start(event);
        } else if (event.isEndElement()) {
            QName name = event.asEndElement().getName();
            if (isParagraph(name)) {
                paragraphs--;
            }
            if (!isInner(name)) {
                out.add(event);
            }
        } else {
            out.add(event);
        }
    }

    private void start(XMLEvent event) throws XMLStreamException {
        QName name = event.asStartElement().getName();
        styled |= name.equals(STYLES);
        if (name.equals(BODY) && !styled) {
            out.add(EVENTS.createStartElement(name.getPrefix(), OFFICE, STYLES.getLocalPart()));
            out.add(EVENTS.createEndElement(name.getPrefix(), OFFICE, STYLES.getLocalPart()));
        }
        if (!isInner(name)) {
            out.add(event);
        }
        if (isParagraph(name)) {
            paragraphs++;
        }
    }

    private static boolean isParagraph(QName name) {
        return name.getNamespaceURI().equals(TEXT) && name.getLocalPart().equals("p");
    }

    /** Whether it is a mark within a paragraph that says nothing but how its text looks or where it leads. */
    private boolean isInner(QName name) {
        return paragraphs > 0
                && name.getNamespaceURI().equals(TEXT)
                && !isParagraph(name)
                && !MEANS_SPACE.contains(name.getLocalPart());
    }
}
