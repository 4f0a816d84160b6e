package neatlanyard.formats.sop;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import neatlanyard.core.gauge.Alike;
import neatlanyard.core.gauge.AsBefore;
import neatlanyard.core.gauge.Band;
import neatlanyard.core.gauge.Between;
import neatlanyard.core.gauge.Bottle;
import neatlanyard.core.gauge.CrewOxygen;
import neatlanyard.core.gauge.Drop;
import neatlanyard.core.gauge.Gauge;
import neatlanyard.core.gauge.Missing;
import neatlanyard.core.gauge.Oil;
import neatlanyard.core.gauge.Sag;
import neatlanyard.core.gauge.Setting;
import neatlanyard.core.gauge.Several;
import neatlanyard.core.gauge.TrimBand;
import neatlanyard.core.gauge.Tyre;
import neatlanyard.core.gauge.Uplift;
import neatlanyard.core.gauge.WearPin;

/** Writes how a quantity is judged, as {@link GaugeReader} reads it. */
final class GaugeWriter {
  private GaugeWriter() {}

  static Map<String, Object> tree(Gauge gauge) {
    return switch (gauge) {
      case Band b -> band("band", b);
      case Between b -> {
        Map<String, Object> m = band("between", b.band());
        m.putAll(PackWriter.fields("with", b.with(), "most-apart", b.mostApart()));
        PackWriter.unless(m, "slope", !b.slope(), true);
        yield m;
      }
      case Tyre t -> {
        Map<String, Object> m = PackWriter.fields(
            "kind", "tyre", "rated", t.ratedPsi(), "rated-c", t.ratedC(), "soon-pct", t.soonPct(), "out-pct",
            t.outPct(),
            "most-apart-pct", t.mostApartPct());
        PackWriter.unless(m, "with", t.with().isEmpty(), t.with());
        yield m;
      }
      case Bottle b -> PackWriter.fields(
          "kind", "bottle", "rated-c", b.ratedC(), "least", b.leastPsi(), "soon-below", b.soonPsi(), "most",
              b.mostPsi());
      case CrewOxygen o -> oxygen(o);
      case Sag s -> PackWriter.fields("kind", "sag", "before", s.before(), "most", s.most());
      case Drop d -> PackWriter.fields("kind", "drop", "before", d.before(), "least", d.least(), "most", d.most());
      case Alike a -> PackWriter.fields("kind", "alike", "with", a.with(), "most-apart", a.mostApart());
      case AsBefore a -> PackWriter.fields("kind", "as-before", "soon-apart", a.soonApart());
      case Several s -> PackWriter.fields("kind", "several", "of", s.of().stream().map(GaugeWriter::tree).toList());
      case Setting s -> PackWriter.fields("kind", "setting", "by", s.by().stream().map(b ->
          PackWriter.fields("quantity", b.quantity(), "points", numbers(b.points()))).toList(),
          "values", numbers(s.values()), "under", s.under(), "over", s.over());
      case Missing s -> PackWriter.fields("kind", "missing", "allowed", s.allowed());
      case Oil o -> PackWriter.fields("kind", "oil", "least", o.least(), "plenty", o.plenty(), "most-an-hour",
          o.mostAnHour());
      case TrimBand t -> PackWriter.fields("kind", "trim-band", "cg", t.cg(), "rows", t.rows().stream().map(r ->
          PackWriter.fields("percent", r.percent(), "least", r.least(), "most", r.most())).toList());
      case Uplift u -> PackWriter.fields(
          "kind", "uplift", "before", u.before(), "litres", u.litres(), "density", u.density(), "ordered", u.ordered(),
          "most-apart", u.mostApart());
      case WearPin w -> PackWriter.fields(
          "kind", "wear-pin", "limit", w.limitMm(), "soon-landings", w.soonLandings(), "new-pin", w.newPinMm());
    };
  }

  private static String numbers(double[] numbers) {
    return DoubleStream.of(numbers).mapToObj(n -> Double.isNaN(n) ? "-" : PackWriter.number(n).toString())
        .collect(Collectors.joining(" "));
  }

  private static Map<String, Object> band(String kind, Band b) {
    Map<String, Object> m = PackWriter.fields("kind", kind);
    limit(m, "least", b.least());
    limit(m, "soon-below", b.soonBelow());
    limit(m, "soon-above", b.soonAbove());
    limit(m, "most", b.most());
    return m;
  }

  private static void limit(Map<String, Object> m, String field, OptionalDouble value) {
    value.ifPresent(v -> m.putAll(PackWriter.fields(field, v)));
  }

  private static Map<String, Object> oxygen(CrewOxygen o) {
    Map<String, Object> m = PackWriter.fields(
        "kind", "crew-oxygen", "bottle-litres", o.bottleLitres(), "litres-a-minute", o.litresAMinute(), "minutes",
        o.minutes(),
        "keep", o.keepPsi(), "rated-c", o.ratedC());
    List<Map.Entry<String, Double>> to = o.minutesTo().entrySet().stream()
        .sorted(Comparator.comparing(Map.Entry::getKey)).toList();
    PackWriter.some(m, "minutes-to", to, e -> PackWriter.fields("airfield", e.getKey(), "minutes", e.getValue()));
    PackWriter.unless(m, "observers", o.observers().isEmpty(), o.observers());
    return m;
  }
}
