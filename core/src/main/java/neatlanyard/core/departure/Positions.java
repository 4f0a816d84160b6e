package neatlanyard.core.departure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.DayValue.Source;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.State;

/** How controls stand and what indications show: by the steps done, and by the aircraft's own data. */
public final class Positions {
  private Positions() {}

  /**
   * One statement of a point.
   *
   * @param by the step that was done; empty where the aircraft's own data say it
   * @param number number of the entry that says it
   */
  public record Told(PointId point, String value, Optional<Item> by, long number) {
    /** Such as "After start flow, Flaps" or "the aircraft's own data". */
    String source() {
      return by.map(i -> "%s, %s".formatted(i.procedure().title(), i.step().challenge()))
          .orElse("the aircraft's own data");
    }
  }

  /** All that is said of each point, in the order in which it was said. */
  static Map<PointId, List<Told>> told(Departure d) {
    Map<PointId, List<Told>> told = new HashMap<>();
    for (Item item : d.items()) {
      if (d.said(item) == Status.DONE) {
        long number = d.stands(item);
        Stream.of(item.step().sets(), item.step().expects(), item.step().verifies()).flatMap(List::stream)
            .map(s -> new Told(s.point(), said(d, item, s), Optional.of(item), number)).forEach(t -> add(told, t));
      }
    }
    d.beside().aircraft().forEach(a -> a.event().states().forEach(s ->
        add(told, new Told(s.point(), s.value(), Optional.empty(), a.number()))));
    told.values().forEach(l -> l.sort(Comparator.comparing(Told::number)));
    return told;
  }

  private static void add(Map<PointId, List<Told>> told, Told one) {
    told.computeIfAbsent(one.point(), p -> new ArrayList<>()).add(one);
  }

  /** A position that was chosen, even where it is not the one wanted. */
  private static String said(Departure d, Item item, State wanted) {
    boolean chosen = item.step().value().filter(v -> v.source() instanceof Source.Position p
        && p.point().equals(wanted.point())).isPresent();
    return chosen ? d.beside().value(item.step().id()).map(v -> v.event().value()).orElse(wanted.value())
        : wanted.value();
  }

  /** What is said of each point last. */
  public static Map<PointId, String> said(Departure d) {
    Map<PointId, String> said = new HashMap<>();
    told(d).forEach((point, all) -> said.put(point, all.getLast().value()));
    return said;
  }

  /** What is said of a point last. */
  static Optional<Told> now(Map<PointId, List<Told>> told, PointId point) {
    return Optional.ofNullable(told.get(point)).map(List::getLast);
  }
}
