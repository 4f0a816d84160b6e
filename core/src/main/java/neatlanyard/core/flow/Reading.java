package neatlanyard.core.flow;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import neatlanyard.core.gauge.Allowed;
import neatlanyard.core.gauge.Judged;
import neatlanyard.core.gauge.Readings;
import neatlanyard.core.sop.Measure;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.Step;
import neatlanyard.core.state.DepartureState;

/** A value that was read, in its quantity's unit, and what it means now that all else is known. */
public record Reading(Quantity quantity, double value, Judged judged) {
  /** What was read at a step; empty before. */
  public static Optional<Reading> of(DepartureState d, Step step) {
    return step.measures().flatMap(m -> Optional.ofNullable(d.measured().get(m.quantity().id()))
        .map(v -> new Reading(m.quantity(), v, judged(d, m, v))));
  }

  /** What a value would mean. @param value in the quantity's unit */
  public static Judged judged(DepartureState d, Measure measure, double value) {
    return measure.judge(value, around(d, measure.quantity()));
  }

  /** The values of a measuring step that need no find, by all that is known now. */
  public static Allowed allowed(DepartureState d, Measure measure) {
    return measure.allowed(around(d, measure.quantity()));
  }

  private static Readings around(DepartureState d, Quantity quantity) {
    Map<String, Double> others = new HashMap<>();
    d.measured().forEach((q, v) -> others.put(q.value(), v));
    OptionalDouble outside = d.card().map(c -> c.day().report().temperatureC()).stream()
        .flatMapToDouble(t -> t.stream().mapToDouble(x -> x)).findFirst();
    return new Readings(
        outside, others, d.earlier().of(quantity.id()), d.earlier().usage(), d.opened().flight().crew().size(),
        d.opened().flight().to().value(), d.earlier().schedule());
  }
}
