package neatlanyard.core.departure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.figures.GaugedFuel;
import neatlanyard.core.flow.Reading;
import neatlanyard.core.gauge.Gauge;
import neatlanyard.core.gauge.Uplift;
import neatlanyard.core.sop.Measure;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.units.Unit;

/**
 * What walk and flow have read of the fuel: ordered, before, pumped, on the gauges, tank by tank. It is held against
 * the load sheet's fuel.
 */
public final class FuelStory {
  private FuelStory() {}

  /** What the gauges show after fuelling; empty before they were read, and where the pack has none in kilograms. */
  public static Optional<GaugedFuel> gauged(DepartureState d) {
    return gauges(d).filter(q -> q.unit() == Unit.KG).flatMap(q -> Optional.ofNullable(d.measured().get(q.id()))
        .map(kg -> new GaugedFuel(kg, uplift(q).orElseThrow().mostApart())));
  }

  /** Whether a step reads the gauges. */
  public static boolean reads(DepartureState d, StepId step) {
    return d.step(step).flatMap(Step::measures).map(Measure::quantity).filter(q -> uplift(q).isPresent()).isPresent();
  }

  /** Whether a step reads anything of it. */
  static boolean tells(DepartureState d, StepId step) {
    return d.step(step).flatMap(Step::measures).map(Measure::quantity)
        .filter(q -> gauges(d).filter(g -> of(g, q)).isPresent()).isPresent();
  }

  private static boolean of(Quantity gauges, Quantity quantity) {
    return quantity.equals(gauges) || gauges.gauge().orElseThrow().comparesWith().contains(quantity.id().value());
  }

  /** What was read, a line each, in the order of the pack, and how it agrees. */
  public static List<String> lines(DepartureState d) {
    Optional<Quantity> gauges = gauges(d);
    if (gauges.isEmpty()) {
      return List.of();
    }
    List<String> lines = new ArrayList<>();
    measures(d).filter(m -> of(gauges.get(), m.quantity()))
        .forEach(m -> Optional.ofNullable(d.measured().get(m.quantity().id())).ifPresent(v ->
            lines.add("%s: %s".formatted(m.quantity().name(), Gauge.words(v, m.quantity().unit().symbol())))));
    measures(d).filter(m -> m.quantity().equals(gauges.get())).findFirst()
        .flatMap(m -> Optional.ofNullable(d.measured().get(m.quantity().id())).map(v -> Reading.judged(d, m, v)))
        .ifPresent(j -> lines.add(j.words()));
    return lines;
  }

  private static Stream<Measure> measures(DepartureState d) {
    return d.items().stream().flatMap(i -> i.step().measures().stream());
  }

  private static Optional<Quantity> gauges(DepartureState d) {
    return d.pack().quantities().stream().filter(q -> uplift(q).isPresent()).findFirst();
  }

  private static Optional<Uplift> uplift(Quantity quantity) {
    return quantity.gauge().flatMap(g -> g instanceof Uplift u ? Optional.of(u) : Optional.empty());
  }
}
