package neatlanyard.formats.weather;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import neatlanyard.core.weather.Cloud;
import neatlanyard.core.weather.Forecast;
import neatlanyard.core.weather.Forecast.Change;
import neatlanyard.core.weather.Forecast.Expected;
import neatlanyard.core.weather.Forecast.Kind;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.Wind;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.weather.StationReportReader.Group;
import neatlanyard.formats.weather.StationReportReader.GroupMatch;

/**
 * Reads an aerodrome forecast in the code form TAF (WMO No. 306 volume I.1 FM 51; ICAO Annex 3, appendix 5), group by
 * group, and names each that does not belong. Its groups of wind, visibility, weather and cloud are those of a report.
 */
public final class ForecastReader {
  private static final int LONGEST = 2_000;
  private static final Pattern ISSUED = Pattern.compile("(\\d{2})(\\d{2})(\\d{2})Z");
  private static final Pattern SPAN = Pattern.compile("(\\d{2})(\\d{2})/(\\d{2})(\\d{2})");
  private static final Pattern FROM = Pattern.compile("FM(\\d{2})(\\d{2})(\\d{2})");
  private static final Pattern CHANGE = Pattern.compile("BECMG|TEMPO|PROB(30|40)");
  private static final Pattern EXTREME = Pattern.compile("T[XN]M?\\d{2}/\\d{4}Z");
  private static final Pattern STATION = Pattern.compile("[A-Z][A-Z0-9]{3}");
  private static final List<Group> VALUES = List.of(Group.WIND, Group.VISIBILITY, Group.PRESENT, Group.CLOUD);

  private final String text;
  private final Instant now;
  private final List<Fault> faults = new ArrayList<>();
  private final GroupValues values;
  private final List<Word> words;
  private int at;

  /** @param column from 1 */
  private record Word(String text, int column) {}

  private record Span(Instant begins, Instant ends) {}

  private ForecastReader(String text, Instant now) {
    this.text = text;
    this.now = now;
    this.values = new GroupValues(text, faults);
    this.words = Pattern.compile("\\S+").matcher(text).results()
        .map(m -> new Word(m.group().replaceAll("=$", ""), m.start() + 1)).filter(w -> !w.text.isEmpty()).toList();
  }

  /**
   * Reads a forecast.
   *
   * @param now the forecast carries only days of the month; they are taken as those nearest to this
   */
  public static Read<Forecast> read(String text, Instant now) {
    if (text.length() > LONGEST) {
      return new Read.Bad<>(List.of(new Fault(0, 0,
          "A forecast has at most 2 000 characters; this has %d.".formatted(text.length()))));
    }
    return new ForecastReader(text, now).read();
  }

  private Read<Forecast> read() {
    taken("TAF");
    while (taken("AMD") || taken("COR")) {
      // What it mends is not kept.
    }
    String station = next(STATION, "the station, four letters").map(Matcher::group).orElse("");
    Instant issued = next(ISSUED, "when it was issued, such as 240500Z").map(m ->
        moment(m.group(1), m.group(2), m.group(3), now)).orElse(now);
    Span valid = next(SPAN, "the time it is for, such as 2406/2506").map(m -> span(m, issued))
        .orElse(new Span(issued, issued));
    if (at < words.size() && List.of("NIL", "CNL").contains(words.get(at).text)) {
      fault(words.get(at), "it forecasts nothing");
    }
    Expected first = expected();
    List<Change> changes = new ArrayList<>();
    while (at < words.size()) {
      change(valid).ifPresent(changes::add);
    }
    if (first.wind().isEmpty() && faults.isEmpty()) {
      lacks("the wind, such as 24008KT");
    }
    faults.sort(Comparator.comparingInt(Fault::column));
    return faults.isEmpty()
        ? new Read.Good<>(new Forecast(text.strip(), station, issued, valid.begins, valid.ends, first, changes))
        : new Read.Bad<>(List.copyOf(faults));
  }

  private boolean taken(String word) {
    boolean is = at < words.size() && words.get(at).text.equals(word);
    at += is ? 1 : 0;
    return is;
  }

  private Optional<Matcher> next(Pattern pattern, String what) {
    Matcher m = pattern.matcher(at < words.size() ? words.get(at).text : "");
    if (!m.matches()) {
      lacks(what);
      return Optional.empty();
    }
    at++;
    return Optional.of(m);
  }

  private void lacks(String what) {
    faults.add(new Fault(1, at < words.size() ? words.get(at).column : text.length() + 1,
        "It lacks %s.".formatted(what)));
  }

  private void fault(Word word, String why) {
    faults.add(new Fault(1, word.column, "'%s': %s.".formatted(word.text, why)));
  }

  private boolean begins() {
    String word = words.get(at).text;
    return CHANGE.matcher(word).matches() || FROM.matcher(word).matches();
  }

  /** What is named until the next change, or to the end. */
  private Expected expected() {
    List<GroupMatch> found = new ArrayList<>();
    for (; at < words.size() && !begins(); at++) {
      Word w = words.get(at);
      List<GroupMatch> fits = VALUES.stream().flatMap(g -> fit(g, w)).limit(1).toList();
      if (fits.isEmpty() && !w.text.equals("NSW") && !EXTREME.matcher(w.text).matches()) {
        fault(w, "no group of a forecast");
      }
      found.addAll(fits);
    }
    List<Cloud> clouds = of(found, Group.CLOUD).filter(f -> f.match().group("amount") != null)
        .map(GroupValues::cloud).toList();
    boolean said = of(found, Group.CLOUD).findAny().isPresent()
        || of(found, Group.VISIBILITY).anyMatch(f -> f.token().equals("CAVOK"));
    Optional<Wind> wind = of(found, Group.WIND).findFirst().flatMap(f -> values.wind(f, Optional.empty()));
    OptionalInt visibility = of(found, Group.VISIBILITY).findFirst().map(values::visibility)
        .orElse(OptionalInt.empty());
    List<Phenomenon> weather = of(found, Group.PRESENT).filter(f -> f.match().group("unseen") == null)
        .map(GroupValues::phenomenon).toList();
    return new Expected(wind, visibility, weather, said ? Optional.of(clouds) : Optional.empty());
  }

  private static Stream<GroupMatch> fit(Group group, Word w) {
    Matcher m = group.pattern.matcher(w.text);
    return m.matches() && !(group == Group.PRESENT && StationReportReader.bare(m))
        ? Stream.of(new GroupMatch(group, m, w.column, w.text)) : Stream.empty();
  }

  private static Stream<GroupMatch> of(List<GroupMatch> found, Group group) {
    return found.stream().filter(f -> f.group() == group);
  }

  /** From the word that begins it to the next that begins one. */
  private Optional<Change> change(Span valid) {
    Word word = words.get(at);
    int from = at++;
    Matcher fm = FROM.matcher(word.text);
    if (fm.matches()) {
      Instant begins = moment(fm.group(1), fm.group(2), fm.group(3), valid.begins);
      return made(Kind.FROM, OptionalInt.empty(), new Span(begins, valid.ends), from, valid);
    }
    Matcher named = CHANGE.matcher(word.text);
    OptionalInt percent = named.matches() && named.group(1) != null
        ? OptionalInt.of(Integer.parseInt(named.group(1))) : OptionalInt.empty();
    boolean passes = percent.isPresent() && taken("TEMPO") || word.text.equals("TEMPO");
    Optional<Span> span = next(SPAN, "the time of '%s', such as 2408/2412".formatted(word.text))
        .map(m -> span(m, valid.begins));
    Kind kind = passes || percent.isPresent() ? Kind.AT_TIMES : Kind.BECOMING;
    return made(kind, percent, span.orElse(valid), from, valid);
  }

  private Optional<Change> made(Kind kind, OptionalInt percent, Span span, int from, Span valid) {
    Expected what = expected();
    if (span.begins.isBefore(valid.begins) || span.ends.isAfter(valid.ends)) {
      fault(words.get(from), "its time is not within that of the forecast");
      return Optional.empty();
    }
    String said = String.join(" ", words.subList(from, at).stream().map(Word::text).toList());
    return Optional.of(new Change(kind, percent, span.begins, span.ends, what, said));
  }

  private Span span(Matcher m, Instant near) {
    Instant begins = moment(m.group(1), m.group(2), "00", near);
    Instant ends = moment(m.group(3), m.group(4), "00", begins);
    if (!ends.isAfter(begins)) {
      faults.add(new Fault(1, words.get(at - 1).column, "'%s' ends before it begins.".formatted(m.group())));
    }
    return new Span(begins, ends);
  }

  /** The hour 24 is the end of its day. */
  private Instant moment(String day, String hour, String minute, Instant near) {
    int d = Integer.parseInt(day);
    int h = Integer.parseInt(hour);
    int min = Integer.parseInt(minute);
    LocalDate today = near.atZone(ZoneOffset.UTC).toLocalDate();
    Optional<Instant> found = h > 24 || min > 59 || h == 24 && min > 0 ? Optional.empty() : Stream.of(-1, 0, 1)
        .map(m -> YearMonth.from(today).plusMonths(m)).filter(m -> d >= 1 && d <= m.lengthOfMonth())
        .map(m -> m.atDay(d).atStartOfDay(ZoneOffset.UTC).toInstant()
        .plus(Duration.ofHours(h)).plus(Duration.ofMinutes(min)))
        .min(Comparator.comparing(t -> Duration.between(t, near).abs()));
    if (found.isEmpty()) {
      faults.add(new Fault(1, words.get(Math.max(0, at - 1)).column,
          "There is no day %s, hour %s, minute %s.".formatted(day, hour, minute)));
    }
    return found.orElse(near);
  }
}
