package neatlanyard.core.gauge;

import java.util.List;

/** Several rules for one reading: the worst judgement stands, with the arithmetic of all. @param of at least one */
public record Several(List<Gauge> of) implements Gauge {
  /** @throws IllegalArgumentException when there is none */
  public Several {
    of = List.copyOf(of);
    if (of.isEmpty()) {
      throw new IllegalArgumentException("It has no rule");
    }
  }

  @Override
  public Judged judge(double value, String unit, Readings around) {
    return of.stream().map(g -> g.judge(value, unit, around)).reduce(Judged::and).orElseThrow();
  }

  @Override
  public Allowed allowed(Readings around) {
    return of.stream().map(g -> g.allowed(around)).reduce(Allowed.ANY, Allowed::and);
  }

  @Override
  public List<String> comparesWith() {
    return of.stream().flatMap(g -> g.comparesWith().stream()).distinct().toList();
  }
}
