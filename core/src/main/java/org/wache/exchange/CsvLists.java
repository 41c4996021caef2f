package org.wache.exchange;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;

/** Lists as CSV (RFC 4180, UTF-8), with a header row; separator comma, semicolon or tab. */
public final class CsvLists {

  private static final Field[] FIELDS = Field.values();
  private static final char[] SEPARATORS = {',', ';', '\t'};

  private CsvLists() {}

  /**
   * Reads a list.
   *
   * @throws FileProblem when it is not a table with a column rx_mhz
   */
  public static ChannelList read(byte[] bytes, String name) {
    String text = Utf8.decode(bytes);
    long open = openQuote(text, separator(text));
    if (open > 0) { // the parser would take the rest of the file for one field
      throw new FileProblem(open, 1, "a quote is opened and never closed; close it, or double it inside a field");
    }
    try (CsvReader<CsvRecord> reader = CsvReader.builder().fieldSeparator(separator(text))
        .allowExtraFields(true).allowMissingFields(true).ofCsvRecord(text)) {
      return read(reader.iterator(), name);
    } catch (CsvParseException e) {
      throw new FileProblem(lineOf(e), 1, "not a CSV table: a quoted field is not closed, or has text behind it");
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e); // a string is never interrupted
    }
  }

  /** The line on which a quoted field starts that does not end, or 0. */
  private static long openQuote(String text, char separator) {
    long line = 1;
    long opened = 0;
    boolean fieldStart = true;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      line += c == '\n' ? 1 : 0;
      if (opened > 0) {
        boolean doubled = c == '"' && i + 1 < text.length() && text.charAt(i + 1) == '"';
        i += doubled ? 1 : 0;
        opened = c == '"' && !doubled ? 0 : opened;
      } else if (c == '"' && fieldStart) {
        opened = line;
      }
      fieldStart = opened == 0 && (c == separator || c == '\n' || c == '\r');
    }
    return opened;
  }

  private static long lineOf(CsvParseException e) {
    java.util.regex.Matcher digits = java.util.regex.Pattern.compile("line[s]? (\\d+)").matcher(String.valueOf(e.getMessage()));
    return digits.find() ? Long.parseLong(digits.group(1)) : 1;
  }

  /** The separator that stands most often in the header row, outside quotes. */
  static char separator(String text) {
    int[] counts = new int[SEPARATORS.length];
    boolean quoted = false;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '"') {
        quoted = !quoted;
      } else if (!quoted && (c == '\n' || c == '\r')) {
        break;
      } else if (!quoted) {
        for (int j = 0; j < SEPARATORS.length; j++) {
          counts[j] += c == SEPARATORS[j] ? 1 : 0;
        }
      }
    }
    int best = 0;
    for (int j = 1; j < SEPARATORS.length; j++) {
      best = counts[j] > counts[best] ? j : best;
    }
    return SEPARATORS[best];
  }

  private static ChannelList read(Iterator<CsvRecord> rows, String name) {
    if (!rows.hasNext()) {
      throw new FileProblem(1, 1, "the file is empty; expected a header row with at least rx_mhz");
    }
    Header header = Header.of(rows.next());
    List<Channel> channels = new ArrayList<>();
    while (rows.hasNext()) {
      channels.add(header.channel(rows.next()));
    }
    return new ChannelList(name, header.extras, channels);
  }

  /** Which column holds which field. */
  private static final class Header {
    private final int[] fieldOf;
    private final int[] extraOf;
    private final List<String> extras;

    private Header(int[] fieldOf, int[] extraOf, List<String> extras) {
      this.fieldOf = fieldOf;
      this.extraOf = extraOf;
      this.extras = extras;
    }

    static Header of(CsvRecord row) {
      int[] fieldOf = new int[row.getFieldCount()];
      int[] extraOf = new int[row.getFieldCount()];
      Set<Field> seen = EnumSet.noneOf(Field.class);
      List<String> extras = new ArrayList<>();
      for (int i = 0; i < fieldOf.length; i++) {
        Optional<Field> field = Field.ofColumn(row.getField(i));
        if (field.isPresent() && !seen.add(field.get())) {
          throw new FileProblem(row.getStartingLineNumber(), i + 1L,
              "the column " + field.get().column() + " stands twice; keep one");
        }
        fieldOf[i] = field.map(Field::ordinal).orElse(-1);
        extraOf[i] = field.isPresent() ? -1 : extras.size();
        if (field.isEmpty()) {
          extras.add(Formula.restored(row.getField(i)));
        }
      }
      if (!seen.contains(Field.RX_MHZ)) {
        throw new FileProblem(row.getStartingLineNumber(), 1,
            "no column rx_mhz; expected a header row such as number,name,rx_mhz,tx_mhz,mode,power_w");
      }
      return new Header(fieldOf, extraOf, extras);
    }

    Channel channel(CsvRecord row) {
      int count = row.getFieldCount();
      if (count > fieldOf.length) {
        throw new FileProblem(row.getStartingLineNumber(), fieldOf.length + 1L, "the row has " + count
            + " fields and the header " + fieldOf.length + "; put text with a separator (or a decimal comma) in quotes");
      }
      String[] texts = new String[FIELDS.length];
      Arrays.fill(texts, "");
      String[] more = new String[extras.size()];
      Arrays.fill(more, "");
      for (int i = 0; i < count; i++) {
        String text = Formula.restored(row.getField(i));
        if (fieldOf[i] >= 0) {
          texts[fieldOf[i]] = text;
        } else {
          more[extraOf[i]] = text;
        }
      }
      return Channel.ofTexts(texts, more.length == 0 ? List.of() : List.of(more));
    }
  }

  /** Writes a list: the known columns in their order, then the list's further ones. */
  public static String write(ChannelList list) {
    StringWriter out = new StringWriter();
    CsvWriter writer = CsvWriter.builder().build(out);
    List<String> head = new ArrayList<>();
    for (Field field : FIELDS) {
      head.add(field.column());
    }
    list.extraColumns().forEach(column -> head.add(Formula.harmless(column)));
    writer.writeRecord(head);
    for (Channel channel : list.channels()) {
      List<String> row = new ArrayList<>();
      for (Field field : FIELDS) {
        row.add(Formula.harmless(channel.text(field)));
      }
      for (int i = 0; i < list.extraColumns().size(); i++) {
        row.add(i < channel.extras().size() ? Formula.harmless(channel.extras().get(i)) : "");
      }
      writer.writeRecord(row);
    }
    flush(writer);
    return out.toString();
  }

  private static void flush(CsvWriter writer) {
    try {
      writer.flush();
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e); // a string is always writable
    }
  }
}
