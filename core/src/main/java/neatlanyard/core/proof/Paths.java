package neatlanyard.core.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.proof.Plan.Placed;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Step;

/** The order of steps against where they are done. */
final class Paths {
  /** How much of the whole way moving one place must save to be worth saying. Common practice, no source. */
  private static final double WORTH_SAYING = 0.15;

  /** A place come to and left again: the days on which it was, and the days on which one went elsewhere since. */
  private record Visit(DaySet here, DaySet leftSince) {}

  private Paths() {}

  static List<Finding> of(Plan plan) {
    List<Finding> findings = new ArrayList<>();
    for (Procedure procedure : plan.pack.procedures()) {
      if (procedure.kind().scanned()) {
        List<Placed> steps = plan.of(procedure);
        backAndForth(plan, steps, findings);
        longWay(plan, procedure, steps).ifPresent(findings::add);
      }
    }
    return findings;
  }

  private static void backAndForth(Plan plan, List<Placed> steps, List<Finding> findings) {
    Map<PlaceId, Visit> visits = new HashMap<>();
    Optional<PlaceId> last = Optional.empty();
    for (Placed p : steps) {
      PlaceId here = p.step().place();
      Visit before = visits.getOrDefault(here, new Visit(plan.days.none(), plan.days.none()));
      DaySet again = before.leftSince.and(p.on());
      if (last.filter(here::equals).isEmpty() && !again.isEmpty() && !mustBeLater(p.step())) {
        findings.add(Finding.of(Rule.BACK_AND_FORTH, p.step().id().value(), p.where(),
            "The scan was at %s, left it, and comes back for this: %s.".formatted(
                plan.place(here).map(Place::name).orElse(here.value()), again.example()),
            "Move it to the others there; if it has to come later, say what it needs."));
      }
      visits.replaceAll((place, v) -> place.equals(here) ? v : new Visit(v.here, v.leftSince.or(v.here.and(p.on()))));
      visits.merge(here, new Visit(p.on(), plan.days.none()), (a, b) ->
          new Visit(a.here.or(b.here), a.leftSince.minus(p.on())));
      last = Optional.of(here);
    }
  }

  /** Coming back is right where something else had to be so first. */
  private static boolean mustBeLater(Step step) {
    return !step.needs().isEmpty() || !step.afterWait().isEmpty() || !step.closes().isEmpty();
  }

  /** Whether one place, moved elsewhere in the order, would shorten the way by much. */
  private static Optional<Finding> longWay(Plan plan, Procedure procedure, List<Placed> steps) {
    List<Place> way = new ArrayList<>();
    for (Placed p : steps) {
      plan.place(p.step().place()).filter(x -> way.isEmpty() || !way.getLast().equals(x)).ifPresent(way::add);
    }
    double whole = length(way);
    double best = whole * WORTH_SAYING;
    Optional<Finding> found = Optional.empty();
    for (int i = 1; i < way.size(); i++) {
      List<Place> without = new ArrayList<>(way);
      Place moved = without.remove(i);
      double shorter = length(without);
      for (int to = 1; to <= without.size(); to++) {
        double detour = without.get(to - 1).distance(moved)
            + (to < without.size() ? moved.distance(without.get(to)) - without.get(to - 1).distance(without.get(to))
            : 0);
        double saved = whole - shorter - detour;
        if (saved > best) {
          best = saved;
          found = Optional.of(Finding.of(Rule.LONG_WAY, procedure.id().value(), procedure.title(),
              "The way is %.1f %s; with %s after %s it is %.1f.".formatted(
                  whole, moved.station() ? "m" : "panel widths", moved.name(), without.get(to - 1).name(),
                  whole - saved),
              "Move its steps there."));
        }
      }
    }
    return found;
  }

  private static double length(List<Place> way) {
    double length = 0;
    for (int i = 1; i < way.size(); i++) {
      length += way.get(i - 1).distance(way.get(i));
    }
    return length;
  }
}
