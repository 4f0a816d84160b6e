package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import neatlanyard.core.figures.Loading.Place;
import neatlanyard.core.units.Numbers;

/**
 * What came or went after the load sheet was made, and is changed on it by hand.
 *
 * @param passengers by cabin, in heads; fewer are negative
 * @param holdsKg by hold, in kilograms; less is negative
 */
public record LastMinuteChange(Map<String, Integer> passengers, Map<String, Double> holdsKg) {
  public static final LastMinuteChange NONE = new LastMinuteChange(Map.of(), Map.of());

  public LastMinuteChange {
    passengers = Map.copyOf(passengers);
    holdsKg = Map.copyOf(holdsKg);
  }

  public boolean none() {
    return passengers.isEmpty() && holdsKg.isEmpty();
  }

  /** How many people it is about, those who came and those who went. */
  private int heads() {
    return passengers.values().stream().mapToInt(Math::abs).sum();
  }

  private double kg(Loading type) {
    return heads() * (double) type.passengerKg() + holdsKg.values().stream().mapToDouble(Math::abs).sum();
  }

  /** Why it cannot be, a sentence each. */
  List<String> faults(LoadSheet sheet, Loading type) {
    List<String> all = new ArrayList<>();
    new TreeMap<>(passengers).forEach((cabin, heads) -> {
      if (type.cabins().stream().noneMatch(c -> c.id().equals(cabin))) {
        all.add("The type has no cabin '%s'.".formatted(cabin));
      }
      sheet.load().map(l -> l.passengers().getOrDefault(cabin, 0)).filter(was -> was + heads < 0)
          .ifPresent(was -> all.add("%d sit in '%s'; %d cannot leave it.".formatted(was, cabin, -heads)));
    });
    new TreeMap<>(holdsKg).forEach((hold, kg) -> {
      if (type.holds().stream().noneMatch(h -> h.id().equals(hold))) {
        all.add("The type has no hold '%s'.".formatted(hold));
      }
      sheet.load().map(l -> l.holdsKg().getOrDefault(hold, 0.0)).filter(was -> was + kg < 0)
          .ifPresent(was -> all.add("%s lie in '%s'; %s cannot come out of it.".formatted(Worked.kg(was), hold,
          Worked.kg(-kg))));
    });
    return all;
  }

  /** Whether it may be made by hand. */
  Limit limit(Loading type) {
    String what = "%d %s and %s in all".formatted(heads(), heads() == 1 ? "passenger" : "passengers",
        Worked.kg(kg(type)));
    return type.byHand().map(most -> {
      boolean held = heads() <= most.passengers() && kg(type) <= most.kg();
      return new Limit("last-minute change", held, "%s by hand, at most %d and %s%s.".formatted(what,
          most.passengers(), Worked.kg(most.kg()), held ? "" : ": ask for a new sheet"), "Limits of the operator");
    }).orElseGet(() -> new Limit("last-minute change", false,
        "%s by hand, which the operator does not allow: ask for a new sheet.".formatted(what),
        "Limits of the operator"));
  }

  /** Such as "aft +2, hold front −40 kg". */
  public String words() {
    List<String> all = new ArrayList<>();
    new TreeMap<>(passengers).forEach((c, n) -> all.add("%s %s%d".formatted(c, n < 0 ? "\u2212" : "+", Math.abs(n))));
    new TreeMap<>(holdsKg).forEach((h, kg) -> all.add("hold %s %s%s kg".formatted(h, kg < 0 ? "\u2212" : "+",
        Numbers.written(Math.abs(kg), 0))));
    return String.join(", ", all);
  }

  /** Where the places it names are, with what comes there, in kilograms. */
  Map<Place, Double> kgAt(Loading type) {
    Map<Place, Double> all = new LinkedHashMap<>();
    type.cabins().stream().filter(c -> passengers.containsKey(c.id()))
        .forEach(c -> all.put(c, passengers.getOrDefault(c.id(), 0) * (double) type.passengerKg()));
    type.holds().stream().filter(h -> holdsKg.containsKey(h.id()))
        .forEach(h -> all.put(h, holdsKg.getOrDefault(h.id(), 0.0)));
    return all;
  }
}
