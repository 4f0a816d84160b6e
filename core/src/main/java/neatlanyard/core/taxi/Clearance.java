package neatlanyard.core.taxi;

import java.util.ArrayList;
import java.util.List;
import neatlanyard.core.fleet.RunwayName;

/**
 * A taxi clearance as one pilot heard it; the order in which limit and route were said is not kept.
 *
 * @param from the stand
 * @param via taxiways in their order
 * @param limit the holding point or stand, or the beginning of a runway that is taxied along
 * @param crossing the strips that may be crossed, each by its first end, in the order of their names
 */
public record Clearance(String from, List<String> via, String limit, List<RunwayName> crossing) {
  public Clearance {
    via = List.copyOf(via);
    crossing = List.copyOf(crossing);
  }

  /** Such as "from stand 4 via B, A to A1, crossing 16". */
  public String words() {
    return "from stand %s via %s to %s%s".formatted(from, String.join(", ", via), limit,
        crossing.isEmpty() ? "" : ", crossing " + names(crossing));
  }

  /** In what it differs from another, each in words that say both; none where it is the same. */
  public List<String> against(Clearance other) {
    List<String> all = new ArrayList<>();
    differ(all, "from stand", from, other.from);
    differ(all, "via", String.join(", ", via), String.join(", ", other.via));
    differ(all, "to", limit, other.limit);
    differ(all, "crossing", names(crossing), names(other.crossing));
    return all;
  }

  private static void differ(List<String> all, String what, String one, String other) {
    if (!one.equals(other)) {
      all.add("%s %s, and %s".formatted(what, one.isEmpty() ? "nothing" : one, other.isEmpty() ? "nothing" : other));
    }
  }

  private static String names(List<RunwayName> runways) {
    return String.join(", ", runways.stream().map(RunwayName::value).toList());
  }
}
