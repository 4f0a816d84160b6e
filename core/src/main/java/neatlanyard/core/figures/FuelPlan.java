package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * The fuel a flight needs, by its parts (ICAO Annex 6 Part I, 4.3.6), in kilograms.
 *
 * @param parts what is not named is none
 */
public record FuelPlan(Map<Part, Double> parts) {
  /** In the order in which they are planned. */
  public enum Part {
    TAXI("taxi"),
    TRIP("trip"),
    CONTINGENCY("contingency"),
    ALTERNATE("alternate"),
    FINAL_RESERVE("final reserve"),
    EXTRA("extra");

    private final String words;

    Part(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  public FuelPlan {
    EnumMap<Part, Double> ordered = new EnumMap<>(Part.class);
    ordered.putAll(parts);
    parts = Collections.unmodifiableMap(ordered);
  }

  public double kg(Part part) {
    return parts.getOrDefault(part, 0.0);
  }

  /** The least with which the flight may begin: all parts but what is taken beyond need. */
  public Worked least() {
    double sum = 0;
    List<String> lines = new ArrayList<>();
    for (Part part : Part.values()) {
      if (part != Part.EXTRA && parts.containsKey(part)) {
        sum += kg(part);
        lines.add("%s %s".formatted(part.words(), Worked.kg(kg(part))));
      }
    }
    return Worked.of(sum, "ICAO Annex 6 Part I, 4.3.6", "%s = %s".formatted(
        String.join(" + ", lines), Worked.kg(sum)));
  }

  /** Whether what is on board is enough. */
  public Limit enough(double onBoardKg) {
    Worked least = least();
    double over = onBoardKg - least.value();
    return new Limit("fuel", over >= 0, over >= 0
        ? "%s on board, %s more than the least, %s.".formatted(
        Worked.kg(onBoardKg), Worked.kg(over), Worked.kg(least.value()))
        : "%s on board, %s under the least, %s.".formatted(
        Worked.kg(onBoardKg), Worked.kg(-over), Worked.kg(least.value())), least.source());
  }
}
