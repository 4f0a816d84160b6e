package neatlanyard.formats.weather;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import neatlanyard.core.units.Units;
import neatlanyard.core.weather.Cloud;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.RunwayRange;
import neatlanyard.core.weather.Wind;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.weather.StationReportReader.GroupMatch;

/** What the groups of a report stand for, as values; what is out of range becomes a fault at its place. */
final class GroupValues {
  private final String text;
  private final List<Fault> faults;

  /** @param text all of the report @param faults where they are put */
  GroupValues(String text, List<Fault> faults) {
    this.text = text;
    this.faults = faults;
  }

  static int number(GroupMatch f, String name) {
    return Integer.parseInt(f.match().group(name).replace("P", ""));
  }

  boolean within(GroupMatch f, String name, int value, int most, String unit) {
    if (value <= most) {
      return true;
    }
    faults.add(new Fault(1, f.column() + f.match().start(name),
        "'%s': %d is more than %d %s.".formatted(f.token(), value, most, unit)));
    return false;
  }

  Wind.Sector sector(GroupMatch f) {
    Stream.of("least", "most").forEach(n -> within(f, n, number(f, n), 360, "degrees"));
    return new Wind.Sector(number(f, "least"), number(f, "most"));
  }

  Optional<Wind> wind(GroupMatch f, Optional<Wind.Sector> sector) {
    String from = f.match().group("from");
    if (from.equals("///") || f.match().group("speed").equals("//")) {
      return Optional.empty();
    }
    double toKt = f.match().group("unit").equals("MPS") ? Units.ktFromMps(1) : 1;
    OptionalInt direction = from.equals("VRB") ? OptionalInt.empty() : OptionalInt.of(number(f, "from"));
    direction.ifPresent(d -> within(f, "from", d, 360, "degrees"));
    OptionalInt gust = f.match().group("gust") == null
        ? OptionalInt.empty()
        : OptionalInt.of((int) Math.round(number(f, "gust") * toKt));
    return Optional.of(new Wind(direction, (int) Math.round(number(f, "speed") * toKt), gust, sector));
  }

  OptionalInt visibility(GroupMatch f) {
    String metres = f.match().group("metres");
    if (f.token().equals("CAVOK")) {
      return OptionalInt.of(10_000);
    }
    if (metres != null) {
      return metres.equals("////") ? OptionalInt.empty()
          : OptionalInt.of(metres.equals("9999") ? 10_000 : Integer.parseInt(metres));
    }
    Matcher whole = Pattern.compile("(\\d) " + Pattern.quote(f.token())).matcher(text);
    double miles = whole.find() && f.match().group("miles") == null ? Integer.parseInt(whole.group(1)) : 0;
    miles += f.match().group("miles") == null ? 0 : Integer.parseInt(f.match().group("miles"));
    String part = f.match().group("part");
    if (part != null) {
      String[] halves = part.split("/");
      int below = Integer.parseInt(halves[1]);
      if (below == 0) {
        faults.add(new Fault(1, f.column(), "'%s': nothing can be divided by 0.".formatted(f.token())));
        return OptionalInt.empty();
      }
      miles += Integer.parseInt(halves[0]) / (double) below;
    }
    return OptionalInt.of((int) Math.round(Units.metresFromStatuteMiles(miles)));
  }

  static Phenomenon phenomenon(GroupMatch f) {
    String strength = f.match().group("strength");
    String how = f.match().group("how");
    List<Phenomenon.Kind> kinds = new ArrayList<>();
    String what = f.match().group("what");
    for (int i = 0; i < what.length(); i += 2) {
      kinds.add(Phenomenon.Kind.valueOf(what.substring(i, i + 2)));
    }
    return new Phenomenon(
        strength == null ? Phenomenon.Intensity.MODERATE
            : strength.equals("-") ? Phenomenon.Intensity.LIGHT : Phenomenon.Intensity.HEAVY,
        f.match().group("near") != null,
        how == null ? Phenomenon.Descriptor.NONE : Phenomenon.Descriptor.valueOf(how),
        kinds);
  }

  static Cloud cloud(GroupMatch f) {
    String base = f.match().group("base");
    String kind = f.match().group("kind");
    return new Cloud(
        f.match().group("amount"),
        base.equals("///") ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(base) * 100),
        kind == null ? "" : kind);
  }

  static OptionalInt celsius(@org.jspecify.annotations.Nullable String group) {
    if (group == null || group.equals("//")) {
      return OptionalInt.empty();
    }
    int degrees = Integer.parseInt(group.replace("M", ""));
    return OptionalInt.of(group.startsWith("M") ? -degrees : degrees);
  }

  OptionalDouble hpa(GroupMatch f) {
    String hpa = f.match().group("hpa");
    String group = hpa != null ? hpa : f.match().group("inhg");
    if (group.equals("////")) {
      return OptionalDouble.empty();
    }
    double value = hpa != null ? Integer.parseInt(hpa) : Units.hpaFromInHg(Integer.parseInt(group) / 100.0);
    if (value < 850 || value > 1_100) {
      faults.add(new Fault(1, f.column(),
          "'%s': a pressure setting lies between 850 and 1 100 hPa.".formatted(f.token())));
    }
    return OptionalDouble.of(value);
  }

  static RunwayRange range(GroupMatch f) {
    double metres = f.match().group("feet") == null ? 1 : Units.metresFromFt(1);
    RunwayRange.Bound bound = switch (f.match().group("bound")) {
      case "P" -> RunwayRange.Bound.OR_MORE;
      case "M" -> RunwayRange.Bound.OR_LESS;
      default -> RunwayRange.Bound.EXACT;
    };
    return new RunwayRange(f.match().group("runway"), seen(f.match().group("least"), metres), bound,
        f.match().group("most") == null ? OptionalInt.empty() : seen(f.match().group("most"), metres));
  }

  private static OptionalInt seen(String group, double metres) {
    String digits = group.replaceAll("[PM]", "");
    return digits.equals("////") ? OptionalInt.empty()
        : OptionalInt.of((int) Math.floor(Integer.parseInt(digits) * metres));
  }
}
