package org.wache.arrival;

import java.io.InputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.wache.table.Table;

/**
 * Counts the cells that the content of an OpenDocument spreadsheet unfolds to, before a library unfolds them: a cell or a row
 * may say that it stands there a million times.
 */
final class OpenCells {

    private static final long MOST = (long) Table.MOST_ROWS * Table.MOST_COLUMNS;
    /** Reads without fetching or replacing anything that a file names. */
    static final XMLInputFactory XML = XMLInputFactory.newFactory();

    static {
        XML.setProperty(XMLInputFactory.SUPPORT_DTD, true); // so that one is seen, and refused
        XML.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        XML.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
    }

    private long all;
    private long row;
    private long rowTimes = 1;
    private long cellTimes = 1;

    private OpenCells() {}

    /** @throws ArrivalProblem when it unfolds to more than tables may hold, or declares entities */
    static void look(InputStream content) throws XMLStreamException {
        XMLStreamReader reader = XML.createXMLStreamReader(content);
        OpenCells cells = new OpenCells();
        while (reader.hasNext()) {
            cells.take(reader, reader.next());
        }
    }

    private void take(XMLStreamReader reader, int event) {
        if (event == XMLStreamConstants.DTD) {
            throw new ArrivalProblem(Workbook.BROKEN);
        }
        if (event == XMLStreamConstants.START_ELEMENT) {
            start(reader);
        } else if (event == XMLStreamConstants.END_ELEMENT
                && reader.getLocalName().equals("table-row")) {
            all += row * rowTimes;
            if (all > MOST) {
                throw new ArrivalProblem(Workbook.TOO_LARGE);
            }
        }
    }

    private void start(XMLStreamReader reader) {
        switch (reader.getLocalName()) {
            case "table-row" -> {
                row = 0;
                rowTimes = times(reader, "number-rows-repeated");
            }
            case "table-cell" -> cellTimes = times(reader, "number-columns-repeated");
            case "p" -> { // only what holds a paragraph counts: empty cells fill every sheet to its edge
                row += cellTimes;
                cellTimes = 0;
            }
            default -> {}
        }
    }

    private static long times(XMLStreamReader reader, String attribute) {
        String said = reader.getAttributeValue(reader.getNamespaceURI(), attribute);
        return said != null && said.matches("[0-9]{1,9}") ? Long.parseLong(said) : 1;
    }
}
