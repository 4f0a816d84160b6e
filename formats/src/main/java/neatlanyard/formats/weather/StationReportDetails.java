package neatlanyard.formats.weather;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.StationReport;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.weather.StationReportReader.Group;
import neatlanyard.formats.weather.StationReportReader.GroupMatch;

/**
 * What a report says besides its values, in words, and what it does not say: read again from its text, as a crew reads
 * it and no rule asks for it.
 *
 * @param sight visibility to one side, and along runways
 * @param unseen what an automatic station has not observed, and what is given as missing
 * @param later recent weather, wind shear, sea and runway state, the trend
 */
public record StationReportDetails(List<String> sight, List<String> unseen, List<String> later) {
  private static final Pattern RUNWAY = Pattern.compile("\\d{2}[LCR]?");
  private static final Map<String, String> SIDES = Map.of(
      "N", "north", "NE", "north-east", "E", "east", "SE", "south-east", "S", "south", "SW", "south-west", "W", "west",
      "NW", "north-west");
  private static final Map<String, String> CHANGES = Map.of("U", ", rising", "D", ", falling", "N", ", steady");

  /** Of a report that can be read. @param now as for {@link StationReportReader#read} */
  public static StationReportDetails of(StationReport report, Instant now) {
    List<GroupMatch> found = StationReportReader.groups(report.text(), now);
    return new StationReportDetails(
        Stream.concat(words(found, Group.VISIBILITY_SECTOR, StationReportDetails::side).stream(),
        words(found, Group.RUNWAY_RANGE, StationReportDetails::range).stream()).toList(),
        unseen(report, found), later(report, found));
  }

  private static List<String> words(List<GroupMatch> found, Group group, Function<GroupMatch, String> words) {
    return found.stream().filter(f -> f.group() == group).map(words).toList();
  }

  private static String side(GroupMatch f) {
    return "%d m to the %s".formatted(
        Integer.parseInt(f.token().substring(0, 4)), SIDES.getOrDefault(f.token().substring(4), ""));
  }

  private static String range(GroupMatch f) {
    Matcher m = f.match();
    String runway = "runway %s: ".formatted(m.group("runway"));
    if (m.group("least").equals("////")) {
      return runway + "visual range not reported";
    }
    String unit = m.group("feet") == null ? "m" : "ft";
    String most = m.group("most") == null ? "" : " to " + bound(m.group("most"));
    return "%s%s%s %s%s".formatted(
        runway, bound(m.group("bound") + m.group("least")), most, unit,
        CHANGES.getOrDefault(m.group("change"), ""));
  }

  private static String bound(String range) {
    String plain = Integer.toString(Integer.parseInt(range.replaceAll("[PM]", "")));
    return range.startsWith("P") ? "more than " + plain : range.startsWith("M") ? "less than " + plain : plain;
  }

  private static List<String> unseen(StationReport r, List<GroupMatch> found) {
    List<String> unseen = new ArrayList<>();
    if (r.visibilityM().isEmpty()) {
      unseen.add("visibility not reported");
    }
    if (found.stream().anyMatch(f -> f.group() == Group.PRESENT && f.match().group("unseen") != null)) {
      unseen.add("weather not observed");
    }
    if (found.stream().anyMatch(f -> f.group() == Group.CLOUD && f.token().startsWith("//////"))) {
      unseen.add("cloud not observed");
    }
    if (r.temperatureC().isEmpty()) {
      unseen.add("temperature not reported");
    }
    if (r.qnhHpa().isEmpty()) {
      unseen.add("pressure setting not reported");
    }
    return unseen;
  }

  private static List<String> later(StationReport r, List<GroupMatch> found) {
    List<String> later = new ArrayList<>(words(found, Group.RECENT, StationReportDetails::recent));
    List<GroupMatch> shear = found.stream().filter(f -> f.group() == Group.SHEAR).toList();
    if (!shear.isEmpty()) {
      List<String> runways = new ArrayList<>();
      for (GroupMatch f : shear) {
        Matcher named = RUNWAY.matcher(f.token());
        while (named.find()) {
          runways.add(named.group());
        }
      }
      later.add("wind shear: " + (runways.isEmpty() ? "all runways" : "runway " + String.join(", ", runways)));
    }
    later.addAll(words(found, Group.SEA, f -> "sea " + f.token()));
    later.addAll(words(found, Group.RUNWAY_STATE, f -> "runway state " + f.token()));
    found.stream().filter(f -> f.token().equals("NOSIG")).forEach(f ->
        later.add("no significant change in two hours"));
    r.trends().forEach(t -> later.add("trend " + t.text()));
    return later;
  }

  private static String recent(GroupMatch f) {
    String what = f.token().substring("RE".length());
    return StationReportReader.read("XXXX 010000Z AUTO %s".formatted(what), Instant.EPOCH)
        instanceof Read.Good<StationReport> good && !good.value().weather().isEmpty()
        ? "recent " + good.value().weather().stream().map(Phenomenon::words).collect(Collectors.joining(", "))
        : "recent " + what.toLowerCase(Locale.ROOT);
  }
}
