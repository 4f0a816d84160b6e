package neatlanyard.formats.weather;

import static org.assertj.core.api.Assertions.assertThat;

import io.github.mivek.enums.CloudType;
import io.github.mivek.enums.Phenomenon;
import io.github.mivek.model.AbstractWeatherContainer;
import io.github.mivek.model.Metar;
import io.github.mivek.model.WeatherCondition;
import io.github.mivek.parser.MetarParser;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import neatlanyard.core.weather.Cloud;
import neatlanyard.core.weather.RunwayRange;
import neatlanyard.core.weather.StationReport;
import neatlanyard.core.weather.Wind;
import org.jspecify.annotations.Nullable;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;

/**
 * Three hundred varied reports, read by us and by two independent parsers: a Java library here, and one of the
 * browser's language in {@code ui/src/departure/reports.test.ts}, which reads what is written here. Where they differ,
 * it is said on what and why. When the generator changed, run with -Dlanyard.refresh.
 */
public class ReportsTest {
  private static final Path CASES = Path.of("../ui/src/departure/reports.cases.json");
  private static final Instant NOW = Instant.parse("2027-01-14T07:25:00Z");
  private static final double KT_PER_MPS = 3_600 / 1_852.0;
  private static final double HPA_PER_INCH = 33.8639;

  /** A report with our reading of it, each value as short words that both languages write alike. */
  record Case(String text, Map<String, String> values) {}

  /** Where the Java library reads otherwise, and why ours is left as it is. */
  private static final Map<String, BiPredicate<String, Case>> EXPLAINED = Map.of(
      "Of several kinds in one group the library keeps an order of its own; the form names the dominant one first.",
      (field, c) -> field.equals("weather") && c.text().contains("SNRA"));

  static List<Case> cases() {
    Random random = new Random(306);
    return IntStream.range(0, 300).mapToObj(i -> report(random))
        .map(text -> new Case(text, values(StationReportReader.read(text, NOW).orThrow(text)))).toList();
  }

  private static String report(Random r) {
    List<String> groups = new ArrayList<>(List.of("QTRN", "%02d%02d%02dZ".formatted(1 + r.nextInt(28), r.nextInt(24),
        r.nextInt(60))));
    if (r.nextInt(5) == 0) {
      groups.add("AUTO");
    }
    groups.addAll(wind(r));
    if (r.nextInt(6) == 0) {
      groups.add("CAVOK");
    } else {
      groups.add(r.nextInt(4) == 0 ? one(r, "3/4SM", "1SM", "2SM", "10SM", "1 1/2SM")
          : "%04d".formatted(r.nextInt(6) == 0 ? 9_999 : 100 * (1 + r.nextInt(60))));
      for (int n = r.nextInt(3); n > 0; n--) {
        groups.add("R%s/%s".formatted(one(r, "25L", "07", "12R"),
            one(r, "0400N", "P2000", "M0050U", "0350V0700D", "1200")));
      }
      for (int n = r.nextInt(3); n > 0; n--) {
        groups.add(one(r, "-SN", "+RA", "FZFG", "SHSN", "-DZ", "BR", "TSRA", "VCSH", "-SNRA", "BLSN", "+TSRAGR",
            "MIFG", "HZ", "FZDZ", "VCTS", "SG"));
      }
      groups.addAll(clouds(r));
    }
    int air = r.nextInt(70) - 35;
    groups.add("%s/%s".formatted(celsius(air), celsius(air - r.nextInt(12))));
    groups.add(r.nextInt(4) == 0 ? "A%04d".formatted(2_850 + r.nextInt(200)) : "Q%04d".formatted(960 + r.nextInt(85)));
    switch (r.nextInt(4)) {
      case 0 -> groups.add("NOSIG");
      case 1 -> groups.add(one(r, "TEMPO 0600 FG", "BECMG 9999", "TEMPO 3000 -SN BKN006", "BECMG 24020G35KT",
          "TEMPO 4000 SHRA BECMG 9999", "TEMPO FM0800 TL0900 1500 SN VV003"));
      default -> { }
    }
    return String.join(" ", groups);
  }

  private static List<String> wind(Random r) {
    int from = 10 * (1 + r.nextInt(36));
    int speed = 1 + r.nextInt(40);
    return switch (r.nextInt(8)) {
      case 0 -> List.of("00000KT");
      case 1 -> List.of("VRB%02dKT".formatted(1 + r.nextInt(5)));
      case 2 -> List.of("%03d%02dMPS".formatted(from, 1 + r.nextInt(20)));
      case 3 -> List.of("%03d%02dKT".formatted(from, speed), "%03dV%03d".formatted(
          10 * (1 + Math.floorMod(from / 10 - 5, 36)), 10 * (1 + Math.floorMod(from / 10 + 3, 36))));
      case 4, 5 -> List.of("%03d%02dG%02dKT".formatted(from, speed, speed + 10));
      default -> List.of("%03d%02dKT".formatted(from, speed));
    };
  }

  private static List<String> clouds(Random r) {
    return switch (r.nextInt(6)) {
      case 0 -> List.of("NSC");
      case 1 -> List.of("VV%03d".formatted(1 + r.nextInt(8)));
      default -> IntStream.rangeClosed(0, r.nextInt(3)).mapToObj(n -> "%s%03d%s".formatted(
          List.of("FEW", "SCT", "BKN", "OVC").get(Math.min(3, n + r.nextInt(2))), 3 + 20 * n + r.nextInt(18),
          r.nextInt(6) == 0 ? one(r, "CB", "TCU") : "")).toList();
    };
  }

  private static String one(Random r, String... of) {
    return of[r.nextInt(of.length)];
  }

  private static String celsius(int c) {
    return (c < 0 ? "M" : "") + "%02d".formatted(Math.abs(c));
  }

  private static Map<String, String> values(StationReport r) {
    Map<String, String> all = new LinkedHashMap<>();
    Wind wind = r.wind().orElseThrow();
    all.put("wind", "%s %d%s".formatted(wind.directionDeg().isPresent() ? wind.directionDeg().getAsInt() : "VRB",
        wind.speedKt(), wind.gustKt().isPresent() ? " gust " + wind.gustKt().getAsInt() : ""));
    all.put("sector", wind.sector().map(s -> s.fromDeg() + " to " + s.toDeg()).orElse(""));
    all.put("visibility", Integer.toString(r.visibilityM().orElseThrow()));
    all.put("weather", r.weather().stream().map(ReportsTest::code).collect(Collectors.joining(" ")));
    all.put("clouds", r.clouds().stream().map(ReportsTest::layer).collect(Collectors.joining(" ")));
    all.put("temperature", r.temperatureC().orElseThrow() + "/" + r.dewPointC().orElseThrow());
    all.put("pressure", Long.toString((long) Math.floor(r.qnhHpa().orElseThrow())));
    all.put("ranges", r.ranges().stream().map(ReportsTest::range).collect(Collectors.joining(" ")));
    all.put("trends", r.trends().stream().map(t -> t.kind() + " "
        + (t.visibilityM().isPresent() ? t.visibilityM().getAsInt() : "") + " "
        + t.weather().stream().map(ReportsTest::code).collect(Collectors.joining(" "))).map(String::strip)
        .collect(Collectors.joining(", ")));
    return all;
  }

  private static String code(neatlanyard.core.weather.Phenomenon p) {
    String strength = switch (p.intensity()) {
      case LIGHT -> "-";
      case HEAVY -> "+";
      case MODERATE -> "";
    };
    String how = p.descriptor() == neatlanyard.core.weather.Phenomenon.Descriptor.NONE ? "" : p.descriptor().name();
    return strength + (p.vicinity() ? "VC" : "") + how
        + p.kinds().stream().map(Enum::name).collect(Collectors.joining());
  }

  private static String layer(Cloud c) {
    return c.amount() + c.baseFt().orElse(-1) + c.kind();
  }

  private static String range(RunwayRange r) {
    return "%s %d%s".formatted(r.runway(), r.leastM().orElse(-1),
        r.mostM().isPresent() ? " to " + r.mostM().getAsInt() : "");
  }

  /** The same of the library's reading. */
  private static Map<String, String> values(Metar m) {
    Map<String, String> all = new LinkedHashMap<>();
    double toKt = m.getWind().getUnit().equals("MPS") ? KT_PER_MPS : 1;
    Integer gust = m.getWind().getGust();
    all.put("wind", "%s %d%s".formatted(
        m.getWind().getDirectionDegrees() == null ? "VRB" : m.getWind().getDirectionDegrees(),
        Math.round(m.getWind().getSpeed() * toKt), gust == null || gust == 0 ? "" : " gust " + gust));
    all.put("sector", m.getWind().getMinVariation() == null || m.getWind().getMaxVariation() == 0 ? ""
        : m.getWind().getMinVariation() + " to " + m.getWind().getMaxVariation());
    all.put("visibility", metres(m));
    all.put("weather", weather(m));
    all.put("clouds", clouds(m));
    all.put("temperature", m.getTemperature() + "/" + m.getDewPoint());
    all.put("pressure", Integer.toString(m.getAltimeter()));
    all.put("ranges", m.getRunways().stream().map(r -> "%s %d%s".formatted(r.getName(), r.getMinRange(),
        r.getMaxRange() == 0 ? "" : " to " + r.getMaxRange())).collect(Collectors.joining(" ")));
    all.put("trends", m.getTrends().stream().map(t -> (t.getType().name() + " " + metres(t) + " " + weather(t))
        .replaceAll("\\s+", " ").strip()).collect(Collectors.joining(", ")));
    return all;
  }

  private static String metres(AbstractWeatherContainer of) {
    @Nullable String main = of.getVisibility() == null ? null : of.getVisibility().getMainVisibility();
    if (main == null) {
      return of.isCavok() ? "10000" : "";
    }
    if (main.equals(">10km")) {
      return "10000";
    }
    if (main.endsWith("SM")) {
      double miles = 0;
      for (String part : main.replace("SM", "").strip().split(" ")) {
        String[] of2 = part.split("/");
        miles += Double.parseDouble(of2[0]) / (of2.length > 1 ? Double.parseDouble(of2[1]) : 1);
      }
      return Long.toString(Math.round(miles * 1_609.344));
    }
    return Integer.toString(Integer.parseInt(main.replace("m", "")));
  }

  private static String weather(AbstractWeatherContainer of) {
    return of.getWeatherConditions().stream().map(ReportsTest::code).collect(Collectors.joining(" "));
  }

  private static String code(WeatherCondition w) {
    return (w.getIntensity() == null ? "" : w.getIntensity().getShortcut())
        + (w.getDescriptive() == null ? "" : w.getDescriptive().getShortcut())
        + w.getPhenomenons().stream().map(Phenomenon::getShortcut).collect(Collectors.joining());
  }

  private static String clouds(Metar m) {
    String layers = m.getClouds().stream().filter(c -> c.getHeight() != null)
        .map(c -> c.getQuantity().name() + c.getHeight() + (c.getType() == null ? "" : name(c.getType())))
        .collect(Collectors.joining(" "));
    return m.getVerticalVisibility() == null ? layers : "VV" + m.getVerticalVisibility();
  }

  private static String name(CloudType type) {
    return type.name();
  }

  @Test
  public void read_as_a_library_reads_them_but_for_what_is_explained() {
    Set<String> used = new HashSet<>();
    List<String> unexplained = new ArrayList<>();
    for (Case c : cases()) {
      Map<String, String> theirs = values(MetarParser.getInstance().parse(c.text()));
      c.values().forEach((field, ours) -> {
        if (!ours.equals(theirs.get(field))) {
          String why = EXPLAINED.entrySet().stream().filter(e -> e.getValue().test(field, c)).map(Map.Entry::getKey)
              .findFirst().orElse("");
          used.add(why);
          if (why.isEmpty()) {
            unexplained.add("%s: %s is ours, %s theirs, of %s".formatted(field, ours, theirs.get(field), c.text()));
          }
        }
      });
    }
    assertThat(unexplained).isEmpty();
    assertThat(used).as("an explanation of nothing is none").isEqualTo(EXPLAINED.keySet());
  }

  @Test
  public void the_other_parser_is_given_these_readings() throws IOException {
    JsonMapper mapper = JsonMapper.builder().build();
    String json = cases().stream().map(mapper::writeValueAsString).collect(Collectors.joining(",\n", "[\n", "\n]\n"));
    if (System.getProperty("lanyard.refresh") != null) {
      Files.writeString(CASES, json);
    }
    assertThat(json).isEqualTo(Files.readString(CASES));
  }
}
