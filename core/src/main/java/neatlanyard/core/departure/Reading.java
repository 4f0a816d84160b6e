package neatlanyard.core.departure;

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
import neatlanyard.core.sop.StepId;

/** A value that was read, in its quantity's unit, and what it means now that all else is known. */
public record Reading(Quantity quantity, double value, Judged judged) {
  /** What was read at a step; empty before. */
  public static Optional<Reading> of(Departure d, StepId step) {
    return d.pack().step(step).flatMap(Step::measures)
        .flatMap(m -> Optional.ofNullable(d.measured().get(m.quantity().id()))
        .map(v -> new Reading(m.quantity(), v, judged(d, m, v))));
  }

  static Judged judged(Departure d, Measure measure, double value) {
    return measure.judge(value, around(d, measure.quantity()));
  }

  /** The values of a measuring step that need no find, by all that is known now; empty for any other step. */
  public static Optional<Allowed> allowed(Departure d, StepId step) {
    return d.pack().step(step).flatMap(Step::measures).map(m -> m.allowed(around(d, m.quantity())));
  }

  private static Readings around(Departure d, Quantity quantity) {
    Map<String, Double> others = new HashMap<>();
    d.measured().forEach((q, v) -> others.put(q.value(), v));
    OptionalDouble outside = d.card().map(c -> c.day().report().temperatureC()).stream()
        .flatMapToDouble(t -> t.stream().mapToDouble(x -> x)).findFirst();
    Past past = d.past();
    return new Readings(
        outside, others, past.of(quantity.id()), past.usage(), d.opened().flight().crew().size(), d.opened().flight()
        .to().value(), past.schedule());
  }
}
