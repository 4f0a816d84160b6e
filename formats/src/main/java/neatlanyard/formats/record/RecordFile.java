package neatlanyard.formats.record;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.record.Chain;
import neatlanyard.core.record.Seal;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The record of one departure: its whole log and the head of its chain, as canonical JSON. */
public final class RecordFile {
  public static final String FORMAT = "neat-lanyard/record/2";

  /** Written before records were signed. */
  private static final String UNSIGNED = "neat-lanyard/record/1";

  private static final Set<String> FIELDS = Set.of("format", "entries", "head", "seal");
  private static final Set<String> SEAL_FIELDS = Set.of("algorithm", "public-key", "signature");

  private RecordFile() {}

  /** What a check of a record found. */
  public sealed interface Check {
    /**
     * Nothing was altered.
     *
     * @param last the tie-off
     * @param seal the signature, which holds; empty in records of before
     */
    record Whole(int entries, String head, Entry last, Optional<Seal> seal) implements Check {}

    /** Something was altered. @param number the first entry concerned, from 1; 0 for the file around them */
    record Altered(long number, String what) implements Check {}

    /** It is not a record at all. */
    record NotARecord(String what) implements Check {}
  }

  /** Writes a record from entries as they are kept, each canonical, with the installation's signature. */
  public static String write(List<String> entries, String head, Seal seal) {
    return Canonical.of(
        ("{\"format\":\"%s\",\"entries\":[%s],\"head\":\"%s\",\"seal\":{\"algorithm\":\"Ed25519\","
        + "\"public-key\":\"%s\",\"signature\":\"%s\"}}")
        .formatted(FORMAT, String.join(",", entries), head, seal.publicKey(), seal.signature()));
  }

  /** Where the log of a departure, as it is kept, does not hang together; empty when it does. */
  public static Optional<Chain.Break> firstBreak(List<String> entries) {
    List<Chain.Link> links = new ArrayList<>();
    for (String entry : entries) {
      try {
        if (!(EntryJson.tree(entry) instanceof ObjectNode node)) {
          return Optional.of(new Chain.Break(links.size() + 1L, "it is not an entry"));
        }
        links.add(link(node));
      } catch (IllegalArgumentException e) {
        return Optional.of(new Chain.Break(links.size() + 1L, String.valueOf(e.getMessage())));
      }
    }
    return Chain.firstBreak(links, links.isEmpty() ? Chain.GENESIS : links.getLast().claimed());
  }

  private static Chain.Link link(ObjectNode entry) {
    return new Chain.Link(
        entry.path("number").asLong(-1), entry.path("previous").asString(""), entry.path("hash").asString(""),
        Chain.sha256(EntryJson.hashed(entry)));
  }

  /**
   * Checks a record by itself: every entry against its hash, each hash against the next entry, the last against the
   * head.
   */
  public static Check check(String text) {
    JsonNode file;
    try {
      file = EntryJson.tree(text);
    } catch (IllegalArgumentException e) {
      return new Check.NotARecord(String.valueOf(e.getMessage()));
    }
    String format = file.path("format").asString("");
    if (!(file instanceof ObjectNode) || !format.equals(FORMAT) && !format.equals(UNSIGNED)) {
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
    boolean sealed = file.path("seal").isObject() && Set.copyOf(file.path("seal").propertyNames()).equals(SEAL_FIELDS);
    if (format.equals(FORMAT) != sealed) {
      return new Check.Altered(0, format.equals(FORMAT) ? "its signature is missing"
          : "it has a signature, which records of that form have not");
    }
    return sealed ? signed(entries(file), file.path("seal")) : entries(file);
  }

  private static Check signed(Check entries, JsonNode node) {
    if (!(entries instanceof Check.Whole whole)) {
      return entries;
    }
    Seal seal = new Seal(node.path("public-key").asString(""), node.path("signature").asString(""));
    return seal.holds(whole.head()) && node.path("algorithm").asString("").equals("Ed25519")
        ? new Check.Whole(whole.entries(), whole.head(), whole.last(), Optional.of(seal))
        : new Check.Altered(0, "its signature does not hold for its head");
  }

  private static Check entries(JsonNode file) {
    List<Chain.Link> links = new ArrayList<>();
    for (JsonNode node : file.path("entries")) {
      if (!(node instanceof ObjectNode entry)) {
        return new Check.Altered(links.size() + 1L, "it is not an entry");
      }
      try {
        links.add(link(entry));
      } catch (IllegalArgumentException e) {
        return new Check.Altered(links.size() + 1L, "it has no canonical form: " + e.getMessage());
      }
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
          ? new Check.Whole(links.size(), head, last, Optional.empty())
          : new Check.Altered(links.size(), "the last entry is not the tie-off");
    } catch (IllegalArgumentException e) {
      return new Check.Altered(links.size(), String.valueOf(e.getMessage()));
    }
  }
}
