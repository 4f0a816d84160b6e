package neatlanyard.formats.sop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
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
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.snakeyaml.engine.v2.api.Dump;
import org.snakeyaml.engine.v2.api.DumpSettings;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every kind of gauge comes back as it was written; what does not fit is named. */
public class GaugeFormatsTest {
  private static final Band BAND = new Band(OptionalDouble.of(1), OptionalDouble.of(2.5), OptionalDouble.empty(),
      OptionalDouble.of(40));
  private static final List<Gauge> ONE_OF_EACH = List.of(
      BAND, new Between(BAND, "right", 25, true), new Bottle(21, 550, 600, 750),
      new CrewOxygen(11, 13.5, 12, Map.of("QBRN", 30.0, "QKPT", 18.0), 500, "observers", 21), new Missing(2),
      new Oil(8, 10, 0.3),
      new Sag("oxygen", 100), new TrimBand("centre",
      List.of(new TrimBand.Row(16, 4.5, 6.5), new TrimBand.Row(34, 1.5, 3.5))), new Tyre(86, 15, 5, 10, "inner", 5),
      new Tyre(120, 15, 4, 8, "", 0),
      new Drop("both", 10, 100), new Alike(List.of("left", "right"), 20), new AsBefore(2.5),
      new Several(List.of(BAND, new AsBefore(3))),
      new Setting(List.of(new Setting.By("weight", new double[] {4_800, 5_400}),
      new Setting.By("outside-c", new double[] {-30, 15.5})), new double[] {1, 2, 3, Double.NaN}, 0.2, 0.1),
      new Uplift("before", "litres", "density", "ordered", 60), new WearPin(0, 120, 6));

  @Test
  public void each_kind_there_is_can_be_written() {
    Set<Class<?>> kinds = new HashSet<>(Set.of(Gauge.class.getPermittedSubclasses()));
    ONE_OF_EACH.forEach(g -> kinds.remove(g.getClass()));
    assertThat(kinds).isEmpty();
    assertThat(ONE_OF_EACH.stream().map(g -> GaugeWriter.tree(g).get("kind")).distinct().sorted().map(Object::toString)
        .toList())
        .as("written under the names that are read").isEqualTo(GaugeReader.KINDS);
  }

  @DataProvider
  static Object[][] gauges() {
    return ONE_OF_EACH.stream().map(g -> new Object[] {g}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "gauges")
  public void what_was_written_is_read_the_same(Gauge gauge) {
    String text = new Dump(DumpSettings.builder().build()).dumpToString(GaugeWriter.tree(gauge));
    assertThat(Doc.read(text, GaugeReader::read)).isEqualTo(new Read.Good<>(gauge));
  }

  @DataProvider
  static Object[][] bad() {
    return new Object[][] {
      {"{kind: dial}", "'dial' is not a kind of gauge; known are: alike, as-before, band, between, bottle"},
      {"{kind: missing, allowed: 1.5}", "whole number"},
      {"{kind: tyre, rated: 0, rated-c: 15, soon-pct: 5, out-pct: 10, most-apart-pct: 5}", "'rated'"},
      {"{kind: sag, most: 100}", "'before'"},
      {"{kind: alike, with: [], most-apart: 2}", "at least one other quantity"},
      {"{kind: several, of: [{kind: several, of: [{kind: missing, allowed: 1}]}]}", "not nested"},
      {"{kind: setting, by: [{quantity: w, points: '1 2'}], values: '1 2 3', under: 0, over: 0}", "2 values are"},
      {"{kind: setting, by: [{quantity: w, points: '2 1'}], values: '1 2', under: 0, over: 0}", "does not rise"},
      {"{kind: setting, by: [{quantity: w, points: '1 x'}], values: '1 2', under: 0, over: 0}", "'x' is not a"},
      {"{kind: band, least: low}", "'least'"},
      {"{kind: band, lest: 4}", "'lest'"},
      {"{kind: wear-pin, limit: 0, soon-landings: -1, new-pin: 6}", "'soon-landings'"}};
  }

  @Test(dataProvider = "bad")
  public void what_does_not_fit_is_named(String text, String named) {
    assertThat(Doc.read(text, GaugeReader::read)).isInstanceOfSatisfying(Read.Bad.class, b ->
        assertThat(((Read.Bad<?>) b).faults().stream().map(Fault::words)).anyMatch(w -> w.contains(named)));
  }

  @Test
  public void a_pack_does_not_compare_with_what_it_does_not_declare() {
    String text = """
        format: neat-lanyard/pack/2
        quantities:
          - {id: flow, name: Flow, unit: psi, gauge: {kind: sag, before: oxygen, most: 100}}
        planform: {hazards: [{kind: surface, name: Flap, x: 1, y: 1, width-m: 1, length-m: 1, during: pumps}]}
        """;
    assertThat(PackReader.read(text))
        .isInstanceOfSatisfying(Read.Bad.class, b -> assertThat(((Read.Bad<?>) b).faults().stream().map(Fault::words))
        .anyMatch(w -> w.contains("'flow' compares with 'oxygen', which the pack does not declare"))
        .anyMatch(w -> w.contains("The pack declares no tag 'pumps'")));
  }
}
