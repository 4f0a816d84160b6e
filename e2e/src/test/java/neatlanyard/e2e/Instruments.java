package neatlanyard.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** What the crews of the tests read off the aircraft. */
final class Instruments {
  private Instruments() {}

  /** What a gauge of the demo reads, by the name of what it measures. */
  private static final Map<String, String> READINGS = Map.ofEntries(
      Map.entry("Battery voltage", "25.4"), Map.entry("Brake accumulator", "2900"), Map.entry("Crew oxygen", "1 850"),
      Map.entry("Oxygen while the left mask flows", "1 800"), Map.entry("Oxygen while the right mask flows", "1 800"),
      Map.entry("Centre of gravity", "25"), Map.entry("Pitch trim set", "2,8"), Map.entry("Left engine oil", "11"),
      Map.entry("Right engine oil", "10,5"),
      Map.entry("Left wear pin", "12"), Map.entry("Right wear pin", "4,2"),
      Map.entry("Tyre pressure, left outer", "81"),
      Map.entry("Tyre pressure, left inner", "82"), Map.entry("Tyre pressure, right outer", "81"),
      Map.entry("Tyre pressure, right inner", "80"),
      Map.entry("Left strut showing", "92"), Map.entry("Right strut showing", "88"),
      Map.entry("Hydraulic quantity", "88"),
      Map.entry("Fire bottle", "600"), Map.entry("Engine, both magnetos", "2050"),
      Map.entry("Engine, generator current", "62"), Map.entry("Engine, revolutions at full power", "2500"),
      Map.entry("Engine, oil pressure", "82"), Map.entry("Engine, oil temperature", "55"),
      Map.entry("Engine, oil by dipstick", "28"), Map.entry("Engine, generator", "28.5"),
      Map.entry("Fuel grade", "100"), Map.entry("Manifold pressure before start", "29.6"));

  /**
   * What a gauge reads: what is known of it, unless that belongs to another type; or the middle of what is right
   * today, as its step tells the crew.
   */
  static String read(Page page, String name) {
    List<Double> limits = limits(page);
    Optional<String> known = Optional.ofNullable(READINGS.get(name.replaceAll("Engine \\d", "Engine")));
    if (known.filter(k -> fits(k, limits)).isPresent()) {
      return known.get();
    }
    if (name.endsWith(" missing") || name.endsWith(" out")) {
      return "0";
    }
    return limits.isEmpty() ? "0" : Double.toString(
        Math.rint(limits.stream().mapToDouble(d -> d).average().orElse(0) * 10) / 10);
  }

  private static List<Double> limits(Page page) {
    Locator said = page.locator("#value-limits");
    return Pattern.compile("-?\\d[\\d ]*(\\.\\d+)?").matcher(said.count() == 0 ? ""
        : said.textContent().replace('\u2212', '-').replaceAll("\\([^)]*\\)", ""))
        .results().map(m -> Double.parseDouble(m.group().replace(" ", ""))).toList();
  }

  /** Between two limits; one alone may be the least or the most, and then it is near. */
  private static boolean fits(String known, List<Double> limits) {
    double value = Double.parseDouble(known.replace(" ", "").replace(',', '.'));
    DoubleSummaryStatistics all = limits.stream().mapToDouble(d -> d).summaryStatistics();
    return limits.isEmpty() || (limits.size() == 1 ? value > all.getMin() / 2 && value < all.getMax() * 2
        : value >= all.getMin() && value <= all.getMax());
  }
}
