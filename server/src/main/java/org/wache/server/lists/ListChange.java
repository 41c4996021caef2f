package org.wache.server.lists;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/**
 * A change of a list, as it is written down.
 *
 * @param record what was asked for, by which versions are told in words
 * @param before what it replaces, for the log; null when nothing
 * @param after what it puts there, for the log
 */
record ListChange(String record, String before, String after) {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** One thing of the list, from what it was to what it is. */
  static ListChange of(String what, Object before, Object after) {
    return new ListChange(JSON.writeValueAsString(Map.of(what, after)), JSON.writeValueAsString(Map.of(what, before)),
        JSON.writeValueAsString(Map.of(what, after)));
  }

  /** Changes of entries; named gives an entry's number and name. */
  static ListChange of(List<Views.Change> changes, Map<Long, String> named) {
    Map<String, Map<String, String>> before = new LinkedHashMap<>();
    Map<String, Map<String, String>> after = new LinkedHashMap<>();
    for (Views.Change change : changes) {
      String entry = change.entry().map(id -> named.getOrDefault(id, "entry")).orElse("new entry");
      if (change.kind().equals("remove") || change.kind().equals("restore")) {
        (change.kind().equals("remove") ? before : after).computeIfAbsent(entry, any -> new LinkedHashMap<>()).put("in the list", "yes");
      }
      before.computeIfAbsent(entry, any -> new LinkedHashMap<>()).putAll(change.before());
      after.computeIfAbsent(entry, any -> new LinkedHashMap<>()).putAll(change.after());
    }
    return new ListChange(JSON.writeValueAsString(changes), JSON.writeValueAsString(before), JSON.writeValueAsString(after));
  }
}
