package neatlanyard.core.sop.draft;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Positions that a response may name, each with what it is otherwise. Common practice, no source. */
final class Positions {
  private static final Map<String, String> OTHERWISE = Map.ofEntries(
      Map.entry("on", "off"), Map.entry("off", "on"), Map.entry("open", "shut"), Map.entry("shut", "open"),
      Map.entry("closed", "open"), Map.entry("set", "released"), Map.entry("released", "set"),
      Map.entry("armed", "off"), Map.entry("in", "out"), Map.entry("out", "in"), Map.entry("up", "down"),
      Map.entry("down", "up"), Map.entry("locked", "unlocked"), Map.entry("latched", "open"),
      Map.entry("free", "locked"), Map.entry("removed", "on"), Map.entry("stowed", "on"), Map.entry("away", "in"),
      Map.entry("both", "off"), Map.entry("rich", "lean"), Map.entry("idle", "forward"),
      Map.entry("forward", "idle"), Map.entry("standby", "on"), Map.entry("clean", "contaminated"),
      Map.entry("retracted", "out"), Map.entry("cut off", "run"), Map.entry("automatic", "off"));

  private Positions() {}

  /** The position a response begins with; empty where it names none that is known. */
  static Optional<String> of(String response) {
    String first = response.toLowerCase(Locale.ROOT).split("[,;.(]", 2)[0].strip();
    return OTHERWISE.containsKey(first) ? Optional.of(first) : Optional.empty();
  }

  static String otherwise(String position) {
    return OTHERWISE.getOrDefault(position, "other");
  }
}
