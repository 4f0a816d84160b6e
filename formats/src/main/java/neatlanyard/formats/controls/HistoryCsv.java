package neatlanyard.formats.controls;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.controls.trend.Measure;
import neatlanyard.core.controls.trend.Measure.Quantity;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.units.Numbers;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.text.Rows;

/** What control checks measured, as CSV; see docs/formats/control-history.md. */
public final class HistoryCsv {
  /** Several years of a fleet. */
  public static final int MOST_ROWS = 200_000;

  private static final List<String> COLUMNS = List.of("tail", "at", "of", "quantity", "value", "limit");
  private static final int LONGEST_NAME = 80;

  /** Finer than anything of it is measured. */
  private static final int DECIMALS = 3;

  private HistoryCsv() {}

  private record Key(TailId tail, Instant at) {}

  private record Row(Key check, Measure measure) {}

  /** The checks, in the order of their first rows. @param now what a time given as a span counts from */
  public static Read<List<Checked>> read(String text, Instant now) {
    return switch (Rows.read(text, COLUMNS, MOST_ROWS, r -> new Row(
        new Key(r.of("tail", TailId::new, new TailId("XX")), r.time("at", now)), new Measure(
        r.of("of", HistoryCsv::name, "x"), r.of("quantity", HistoryCsv::quantity, Quantity.LAG),
        r.of("value", HistoryCsv::amount, 0.0), r.of("limit", HistoryCsv::amount, 0.0))))) {
      case Read.Good<List<Row>> good -> new Read.Good<>(checks(good.value()));
      case Read.Bad<List<Row>> bad -> new Read.Bad<>(bad.faults());
    };
  }

  private static List<Checked> checks(List<Row> rows) {
    Map<Key, List<Measure>> checks = new LinkedHashMap<>();
    rows.forEach(r -> checks.computeIfAbsent(r.check, k -> new ArrayList<>()).add(r.measure));
    return checks.entrySet().stream().map(e -> new Checked(e.getKey().tail, e.getKey().at, e.getValue())).toList();
  }

  private static String name(String text) {
    if (text.isBlank() || text.length() > LONGEST_NAME) {
      throw new IllegalArgumentException("a surface's name has 1 to %d characters".formatted(LONGEST_NAME));
    }
    return text;
  }

  private static Quantity quantity(String text) {
    return Doc.named(Quantity.class, text);
  }

  private static double amount(String text) {
    double v = Double.parseDouble(text);
    if (!(v >= 0 && v <= 1_000)) {
      throw new IllegalArgumentException("a number from 0 to 1000 is wanted");
    }
    return v;
  }

  /** Writes checks. @param at how a check's time is written */
  public static String write(List<Checked> checks, Function<Instant, String> at) {
    return Rows.write(COLUMNS, checks.stream().flatMap(c -> c.measures().stream().map(m -> List.of(
        c.tail().value(), at.apply(c.at()), m.of(), Doc.written(m.quantity()), Numbers.plain(m.value(), DECIMALS),
        Numbers.plain(m.limit(), DECIMALS)))));
  }
}
