package neatlanyard.formats.weather;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import neatlanyard.core.weather.StationReport;
import neatlanyard.core.weather.Wind;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;

/**
 * Reads a METAR or SPECI (WMO No. 306 volume I.1 FM 15/FM 16; ICAO Annex 3 appendix 3), group by group in the order of
 * the code form, and names each group that does not belong. {@link StationReportDetails} puts into words what is not
 * among the values.
 *
 * <p>Our own because the libraries pass over what they do not know; here every such group is a fault with its place.
 */
public final class StationReportReader {
  private static final String WEATHER =
      "(?<strength>[-+])?(?<near>VC)?(?<how>MI|PR|BC|DR|BL|SH|TS|FZ)?"
          + "(?<what>(?:DZ|RA|SN|SG|IC|PL|GR|GS|UP|BR|FG|FU|VA|DU|SA|HZ|PO|SQ|FC|SS|DS){0,3})";

  /** The groups in the order of the code form. */
  enum Group {
    KIND("METAR|SPECI", false),
    CORRECTED("COR", false),
    STATION("(?<station>[A-Z][A-Z0-9]{3})", false),
    TIME("(?<day>\\d{2})(?<hour>\\d{2})(?<minute>\\d{2})Z", false),
    AUTOMATIC("AUTO|COR", false),
    WIND("(?<from>\\d{3}|VRB|///)(?<speed>P?\\d{2,3}|//)(?:G(?<gust>P?\\d{2,3}))?(?<unit>KT|MPS)", false),
    WIND_SECTOR("(?<least>\\d{3})V(?<most>\\d{3})", false),
    VISIBILITY("CAVOK|(?<metres>\\d{4}|////)(?:NDV)?|(?:[MP])?(?<miles>\\d{1,2})?(?<part>\\d/\\d{1,2})?SM", false),
    VISIBILITY_SECTOR("\\d{4}(?:N|NE|E|SE|S|SW|W|NW)", true),
    RUNWAY_RANGE("R(?<runway>\\d{2}[LCR]?)/(?<bound>[PM]?)(?<least>\\d{4}|////)(?:V(?<most>[PM]?\\d{4}))?(?<feet>FT)?"
        + "/?(?<change>[UDN]?)", true),
    PRESENT(WEATHER + "|(?<unseen>//)", true),
    CLOUD("(?<amount>FEW|SCT|BKN|OVC|VV|///)(?<base>\\d{3}|///)(?<kind>CB|TCU|///)?|NSC|NCD|SKC|CLR", true),
    TEMPERATURE("(?<air>M?\\d{2}|//)/(?<dew>M?\\d{2}|//)?", false),
    PRESSURE("Q(?<hpa>\\d{4}|////)|A(?<inhg>\\d{4}|////)", true),
    RECENT("RE[A-Z]{2,6}", true),
    SHEAR("WS|ALL|RWY|R\\d{2}[LCR]?|RWY\\d{2}[LCR]?", true),
    SEA("W(?:M?\\d{2}|//)/[SH][\\d/]{1,3}", false),
    RUNWAY_STATE("R\\d{2}[LCR]?/[\\dCLRDNOS/]{6,8}", true),
    TREND("NOSIG|TEMPO|BECMG", false);

    final Pattern pattern;
    final boolean repeats;

    Group(String regex, boolean repeats) {
      this.pattern = Pattern.compile(regex);
      this.repeats = repeats;
    }

    String words() {
      return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
  }

  /** A group as it stands in the report. @param column from 1 */
  record GroupMatch(Group group, Matcher match, int column, String token) {}

  private final String text;
  private final Instant now;
  private final List<Fault> faults = new ArrayList<>();
  private final List<GroupMatch> found = new ArrayList<>();
  private final GroupValues values;
  private final TrendReader trend;

  private StationReportReader(String text, Instant now) {
    this.text = text;
    this.now = now;
    this.values = new GroupValues(text, faults);
    this.trend = new TrendReader(values, faults);
  }

  /**
   * Reads a report.
   *
   * @param now the report carries only a day of the month; it is taken as the one nearest to this
   */
  public static Read<StationReport> read(String text, Instant now) {
    if (text.length() > 1_000) {
      return new Read.Bad<>(
          List.of(new Fault(0, 0, "A report has at most 1 000 characters; this has %d.".formatted(text.length()))));
    }
    return new StationReportReader(text, now).read();
  }

  /** The groups of a report that can be read, in its order. */
  static List<GroupMatch> groups(String text, Instant now) {
    StationReportReader reader = new StationReportReader(text, now);
    reader.tokens();
    return reader.found;
  }

  private Read<StationReport> read() {
    tokens();
    require(Group.STATION, "the station, four letters");
    require(Group.TIME, "the time, such as 240650Z");
    // An automatic station leaves out what it has no sensor for.
    if (all(Group.AUTOMATIC).noneMatch(f -> f.token.equals("AUTO"))) {
      require(Group.WIND, "the wind, such as 24008KT");
      require(Group.VISIBILITY, "the visibility, such as 9999 or CAVOK");
      require(Group.TEMPERATURE, "temperature and dew point, such as M02/M04");
      require(Group.PRESSURE, "the pressure setting, such as Q1003");
    }
    Optional<Instant> observed = first(Group.TIME).flatMap(this::observed);
    Optional<Wind> wind = first(Group.WIND).flatMap(f -> values.wind(f, first(Group.WIND_SECTOR).map(values::sector)));
    StationReport report = new StationReport(
        text.strip(),
        first(Group.STATION).map(f -> f.match.group("station")).orElse(""),
        observed.orElse(now),
        wind,
        first(Group.VISIBILITY).map(values::visibility).orElse(OptionalInt.empty()),
        all(Group.PRESENT).filter(f -> f.match.group("unseen") == null).map(GroupValues::phenomenon).toList(),
        all(Group.CLOUD).filter(f -> f.match.group("amount") != null).map(GroupValues::cloud).toList(),
        first(Group.TEMPERATURE).map(f -> GroupValues.celsius(f.match.group("air"))).orElse(OptionalInt.empty()),
        first(Group.TEMPERATURE).map(f -> GroupValues.celsius(f.match.group("dew"))).orElse(OptionalInt.empty()),
        first(Group.PRESSURE).map(values::hpa).orElse(OptionalDouble.empty()),
        all(Group.RUNWAY_RANGE).map(GroupValues::range).toList(), trend.all());
    faults.sort(Comparator.comparingInt(Fault::column));
    return faults.isEmpty() ? new Read.Good<>(report) : new Read.Bad<>(faults);
  }

  private void tokens() {
    Matcher token = Pattern.compile("\\S+").matcher(text);
    int at = 0;
    while (token.find()) {
      String word = token.group().replaceAll("=$", "");
      if (word.equals("RMK")) {
        return;
      }
      if (!found.isEmpty() && found.getLast().group == Group.TREND) {
        trend.word(word, token.start() + 1);
        continue;
      }
      if (word.isEmpty()) {
        continue;
      }
      // Whole statute miles and a fraction stand as two words: 1 1/2SM.
      if (word.matches("\\d") && text.substring(token.end()).matches("(?s) \\d/\\d{1,2}SM.*")) {
        continue;
      }
      at = place(word, token.start() + 1, at);
    }
  }

  /** Takes a word as the first group, from where the last one stood onward, that it fits. @return where it stands */
  private int place(String word, int column, int from) {
    for (int g = from; g < Group.values().length; g++) {
      Group group = Group.values()[g];
      Matcher match = group.pattern.matcher(word);
      if (match.matches() && !word.isEmpty() && !(group == Group.PRESENT && bare(match))) {
        found.add(new GroupMatch(group, match, column, word));
        if (group == Group.TREND) {
          trend.word(word, column);
        }
        return group.repeats ? g : g + 1;
      }
    }
    Optional<Group> earlier = Arrays.stream(Group.values(), 0, from)
        .filter(g -> g.pattern.matcher(word).matches() && g != Group.STATION)
        .reduce((a, b) -> b);
    faults.add(new Fault(1, column, earlier
        .map(g -> "'%s' looks like %s, which stands earlier in a report or stands there already.".formatted(word,
        g.words()))
        .orElse("'%s' is not a group of the code form.".formatted(word))));
    return from;
  }

  /** A strength or a descriptor alone is no weather, but for showers and thunderstorm. */
  static boolean bare(Matcher m) {
    if (m.group("unseen") != null) {
      return false;
    }
    String how = m.group("how");
    boolean alone = how != null && (how.equals("TS") || how.equals("SH"));
    return m.group("what").isEmpty() && !alone;
  }

  private Optional<GroupMatch> first(Group group) {
    return all(group).findFirst();
  }

  private Stream<GroupMatch> all(Group group) {
    return found.stream().filter(f -> f.group == group);
  }

  private void require(Group group, String what) {
    if (first(group).isEmpty()) {
      faults.add(new Fault(1, text.length() + 1, "It lacks %s.".formatted(what)));
    }
  }

  private Optional<Instant> observed(GroupMatch f) {
    int day = GroupValues.number(f, "day");
    int hour = GroupValues.number(f, "hour");
    int minute = GroupValues.number(f, "minute");
    boolean good = values.within(f, "day", day, 31, "days") & values.within(f, "hour", hour, 23, "hours")
        & values.within(f, "minute", minute, 59, "minutes");
    if (day == 0) {
      faults.add(new Fault(1, f.column, "'%s': there is no day 00.".formatted(f.token)));
    }
    if (!good || day == 0) {
      return Optional.empty();
    }
    LocalDate today = now.atZone(ZoneOffset.UTC).toLocalDate();
    return Stream.of(-1, 0, 1)
        .map(m -> YearMonth.from(today).plusMonths(m))
        .filter(m -> day <= m.lengthOfMonth())
        .map(m -> m.atDay(day).atTime(hour, minute).toInstant(ZoneOffset.UTC))
        .min(Comparator.comparing(t -> Duration.between(t, now).abs()));
  }
}
