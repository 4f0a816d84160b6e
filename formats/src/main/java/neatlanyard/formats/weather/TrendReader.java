package neatlanyard.formats.weather;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.weather.Trend;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.weather.StationReportReader.Group;
import neatlanyard.formats.weather.StationReportReader.GroupMatch;

/** Reads the trend behind a report (ICAO Annex 3, appendix 5): what is expected, each change with what it changes. */
final class TrendReader {
  private static final Pattern TIME = Pattern.compile("(?:FM|TL|AT)(?:[01]\\d|2[0-4])[0-5]\\d");
  private static final String NO_WEATHER = "NSW";
  private static final List<Group> CHANGES = List.of(Group.WIND, Group.VISIBILITY, Group.PRESENT, Group.CLOUD);

  private final GroupValues values;
  private final List<Fault> faults;
  private final List<List<GroupMatch>> changes = new ArrayList<>();

  TrendReader(GroupValues values, List<Fault> faults) {
    this.values = values;
    this.faults = faults;
  }

  /** Takes the words from the first of the trend on, one after the other. @param column from 1 */
  void word(String word, int column) {
    Matcher begins = Group.TREND.pattern.matcher(word);
    boolean calm = !changes.isEmpty() && changes.getFirst().getFirst().token().equals("NOSIG");
    if (begins.matches() && !calm && (changes.isEmpty() || !word.equals("NOSIG"))) {
      changes.add(new ArrayList<>(List.of(new GroupMatch(Group.TREND, begins, column, word))));
      return;
    }
    Optional<GroupMatch> change = calm ? Optional.empty()
        : TIME.matcher(word).matches() || word.equals(NO_WEATHER)
        ? Optional.of(new GroupMatch(Group.TREND, begins, column, word))
        : CHANGES.stream().flatMap(g -> match(g, word, column)).findFirst();
    change.ifPresentOrElse(changes.getLast()::add, () ->
        faults.add(new Fault(1, column, "'%s' is not a group of a trend.".formatted(word))));
  }

  private static Stream<GroupMatch> match(Group group, String word, int column) {
    Matcher match = group.pattern.matcher(word);
    return match.matches() && !(group == Group.PRESENT && StationReportReader.bare(match))
        ? Stream.of(new GroupMatch(group, match, column, word)) : Stream.empty();
  }

  /** The changes in their order; none where no significant change is expected. */
  List<Trend> all() {
    return changes.stream().filter(c -> !c.getFirst().token().equals("NOSIG")).map(this::trend).toList();
  }

  private Trend trend(List<GroupMatch> change) {
    return new Trend(
        Trend.Kind.valueOf(change.getFirst().token()),
        change.stream().map(GroupMatch::token).collect(Collectors.joining(" ")),
        of(change, Group.WIND).findFirst().flatMap(f -> values.wind(f, Optional.empty())),
        of(change, Group.VISIBILITY).findFirst().map(values::visibility).orElse(OptionalInt.empty()),
        of(change, Group.PRESENT).filter(f -> f.match().group("unseen") == null).map(GroupValues::phenomenon).toList(),
        of(change, Group.CLOUD).filter(f -> f.match().group("amount") != null).map(GroupValues::cloud).toList());
  }

  private static Stream<GroupMatch> of(List<GroupMatch> change, Group group) {
    return change.stream().filter(f -> f.group() == group);
  }
}
