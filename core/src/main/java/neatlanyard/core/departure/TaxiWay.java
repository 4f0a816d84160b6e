package neatlanyard.core.departure;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.taxi.Clearance;
import neatlanyard.core.taxi.Rolling;
import neatlanyard.core.taxi.Way;

/**
 * The ground of a departure as its type rolls on it.
 *
 * @param known the way its crew was cleared to take; empty until both have heard the same, and for a type whose pack
 *     says nothing of rolling
 * @param notFor what of the ground the type should not take, each with why
 */
public record TaxiWay(Optional<Known> known, List<String> notFor) {
  private static final double KG_A_TONNE = 1_000;

  public TaxiWay {
    notFor = List.copyOf(notFor);
  }

  /** A clearance that both pilots heard, with where it leads and how the type rolls there. */
  public record Known(Clearance clearance, Way way, Rolling rolling) {}

  static TaxiWay of(DepartureState d) {
    return new TaxiWay(known(d), notFor(d));
  }

  /** Whether it is the same in both: a press that says nothing of the ground works nothing out anew. */
  static boolean same(DepartureState a, DepartureState b) {
    return a.taxi() == b.taxi() && a.facts() == b.facts() && a.cardNumber() == b.cardNumber()
        && weight(a).equals(weight(b));
  }

  private static Optional<Known> known(DepartureState d) {
    Optional<Clearance> agreed = d.taxi().agreed();
    Planform shape = d.pack().planform();
    return shape.ground().isEmpty() ? Optional.empty() : agreed.flatMap(c -> d.facts().ground().flatMap(plan ->
        Way.of(plan, c).map(way -> new Known(c, way, Rolling.of(way, plan, shape, tonnes(d), standing(d))))));
  }

  private static List<String> notFor(DepartureState d) {
    Planform shape = d.pack().planform();
    Optional<GroundPlan> plan = d.facts().ground();
    return plan.map(p -> Rolling.notFor(p, shape, tonnes(d))).orElse(List.of());
  }

  private static Optional<String> weight(DepartureState d) {
    return d.entries().worked().value(CriticalFigure.TAKEOFF_WEIGHT);
  }

  /** What was worked out that it weighs. */
  private static OptionalDouble tonnes(DepartureState d) {
    return weight(d).stream()
        .mapToDouble(kg -> Double.parseDouble(kg) / KG_A_TONNE).findFirst();
  }

  /** Why the control check is made standing; empty where it may be made rolling. */
  private static Optional<String> standing(DepartureState d) {
    return d.card().map(Card::day).filter(day -> d.pack().policy().controlCheck(day).standing())
        .map(day -> d.pack().policy().controlCheckOn(day));
  }
}
