package org.wache.rulebook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Span;
import org.wache.signal.Watts;
import tools.jackson.databind.JsonNode;

/** One row of a rulebook file, read by key, with messages that name the file and the row. */
record Row(String file, JsonNode node) {

  RulebookProblem problem(String key, String expected) {
    return new RulebookProblem(file + ": " + key + " should be " + expected + " in " + node);
  }

  boolean has(String key) {
    return node.has(key);
  }

  String text(String key) {
    return optional(key).orElseThrow(() -> problem(key, "given"));
  }

  String text(String key, String otherwise) {
    return optional(key).orElse(otherwise);
  }

  Optional<String> optional(String key) {
    return node.hasNonNull(key) ? Optional.of(node.get(key).asString()) : Optional.empty();
  }

  boolean flag(String key) {
    return node.path(key).asBoolean(false);
  }

  double number(String key) {
    try {
      return Double.parseDouble(text(key));
    } catch (NumberFormatException e) {
      throw problem(key, "a number");
    }
  }

  Watts watts(String key) {
    return new Watts(number(key));
  }

  /** Kilohertz of a key, in hertz. */
  long kilohertz(String key) {
    return Math.round(number(key) * 1000);
  }

  Span span(String key) {
    try {
      return Span.ofMegahertz(text(key));
    } catch (IllegalArgumentException e) {
      throw problem(key, "a span in MHz such as 144.1-148.0");
    }
  }

  Frequency frequency(String key) {
    return Frequency.ofMegahertz(text(key)).orElseThrow(() -> problem(key, "a frequency in MHz"));
  }

  List<Row> rows(String key) {
    List<Row> rows = new ArrayList<>();
    for (JsonNode each : node.path(key)) {
      rows.add(new Row(file, each));
    }
    return rows;
  }

  List<String> texts(String key) {
    List<String> texts = new ArrayList<>();
    for (JsonNode each : node.path(key)) {
      texts.add(each.asString());
    }
    return texts;
  }

  /** Whether a row with from and until dates counts on a day. */
  boolean inForce(LocalDate day) {
    boolean begun = optional("from").map(LocalDate::parse).map(from -> !from.isAfter(day)).orElse(true);
    boolean going = optional("until").map(LocalDate::parse).map(until -> !until.isBefore(day)).orElse(true);
    return begun && going;
  }
}
