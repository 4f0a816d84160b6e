package neatlanyard.formats.record;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import neatlanyard.core.departure.Entry;
import neatlanyard.core.departure.Event;
import neatlanyard.core.record.Chain;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The record of one departure: its whole log and the head of its chain, as canonical JSON. */
public final class RecordFile {
  public static final String FORMAT = "neat-lanyard/record/1";

  private static final Set<String> FIELDS = Set.of("format", "entries", "head");

  private RecordFile() {}

  /** What a check of a record found. */
  public sealed interface Check {
    /** Nothing was altered. @param last the tie-off */
    record Whole(int entries, String head, Entry last) implements Check {}

    /** Something was altered. @param number the first entry concerned, from 1; 0 for the file around them */
    record Altered(long number, String what) implements Check {}

    /** It is not a record at all. */
    record NotARecord(String what) implements Check {}
  }

  /** Writes a record from entries as they are kept, each canonical. */
  public static String write(List<String> entries, String head) {
    return Canonical.of("{\"format\":\"%s\",\"entries\":[%s],\"head\":\"%s\"}"
        .formatted(FORMAT, String.join(",", entries), head));
  }

  /** Checks a record by itself: every entry against its hash, each hash against the next entry, the last against the head. */
  public static Check check(String text) {
    JsonNode file;
    try {
      file = EntryJson.tree(text);
    } catch (IllegalArgumentException e) {
      return new Check.NotARecord(String.valueOf(e.getMessage()));
    }
    if (!(file instanceof ObjectNode) || !FORMAT.equals(file.path("format").asString(""))) {
      return new Check.NotARecord("It does not say \"format\": \"%s\".".formatted(FORMAT));
    }
    if (!file.path("entries").isArray() || !file.path("head").isString()) {
      return new Check.NotARecord("It has no entries or no head.");
    }
    Set<String> strange = new TreeSet<>(file.propertyNames());
    strange.removeAll(FIELDS);
    if (!strange.isEmpty()) {
      return new Check.Altered(0, "it has fields that no record has: " + String.join(", ", strange));
    }
    return entries(file);
  }

  private static Check entries(JsonNode file) {
    List<Chain.Link> links = new ArrayList<>();
    for (JsonNode node : file.path("entries")) {
      if (!(node instanceof ObjectNode entry)) {
        return new Check.Altered(links.size() + 1L, "it is not an entry");
      }
      String computed;
      try {
        computed = Chain.sha256(EntryJson.hashed(entry));
      } catch (IllegalArgumentException e) {
        return new Check.Altered(links.size() + 1L, "it has no canonical form: " + e.getMessage());
      }
      links.add(new Chain.Link(
          entry.path("number").asLong(-1), entry.path("previous").asString(""), entry.path("hash").asString(""), computed));
    }
    String head = file.path("head").asString("");
    Optional<Chain.Break> broken = Chain.firstBreak(links, head);
    if (broken.isPresent()) {
      return new Check.Altered(broken.get().number(), broken.get().what());
    }
    if (links.isEmpty()) {
      return new Check.Altered(1, "the record has no entries");
    }
    try {
      Entry last = EntryJson.read(file.path("entries").get(links.size() - 1).toString());
      return last.event() instanceof Event.TiedOff
          ? new Check.Whole(links.size(), head, last)
          : new Check.Altered(links.size(), "the last entry is not the tie-off");
    } catch (IllegalArgumentException e) {
      return new Check.Altered(links.size(), String.valueOf(e.getMessage()));
    }
  }
}
