package neatlanyard.formats.fleet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.fleet.GroundPlan.Spot;
import neatlanyard.core.fleet.GroundPlan.Taxiway;
import neatlanyard.core.taxi.Clearance;
import neatlanyard.core.taxi.ClearanceWords;
import neatlanyard.core.taxi.Way;
import org.testng.annotations.Test;

/** The airfields of the demo: every runway can be taxied to, and said in either order. */
public class DemoGroundTest {
  private static final int MOST_TAXIWAYS = 5;

  @Test
  public void from_every_stand_a_clearance_leads_to_every_holding_point() throws IOException {
    List<Airfield> airfields = FleetReader.read(Files.readString(Path.of(System.getProperty("lanyard.root", ".."),
        "demo", "fleet.yaml"))).orThrow("fleet").airfields();
    for (Airfield a : airfields) {
      a.ground().ifPresent(plan -> plan.spots(Spot.Kind.STAND).forEach(stand ->
          plan.spots(Spot.Kind.HOLDING).forEach(holding -> {
            Optional<Clearance> c = leads(plan, stand, holding, List.of());
            assertThat(c).as("%s, stand %s to %s", a.name(), stand.name(), holding.name()).isPresent();
            String via = String.join(" ", c.get().via());
            assertThat(List.of(ClearanceWords.read(plan, stand.name(), holding.name() + " via " + via),
                ClearanceWords.read(plan, stand.name(), via + ", hold short at " + holding.name())))
                .containsOnly(new ClearanceWords.Heard.Understood(c.get()));
            Way way = Way.of(plan, c.get()).orElseThrow();
            assertThat(way.spots()).startsWith(stand).endsWith(holding);
            assertThat(way.legOfStretch()).hasSize(way.spots().size() - 1).isSorted();
          })));
    }
  }

  /** By trying taxiways that meet, the shorter sequences first. */
  private static Optional<Clearance> leads(GroundPlan plan, Spot from, Spot to, List<Taxiway> via) {
    if (!via.isEmpty()) {
      Clearance c = new Clearance(from.name(), via.stream().map(Taxiway::name).toList(), to.name(), List.of());
      if (Way.of(plan, c).isPresent()) {
        return Optional.of(c);
      }
    }
    return via.size() == MOST_TAXIWAYS ? Optional.empty() : plan.taxiways().stream()
        // A taxiway that has the name of a holding point is that point when it is said.
        .filter(t -> !t.apron() && t.runway().isEmpty() && plan.spot(t.name()).isEmpty() && !via.contains(t)
        && (via.isEmpty() || t.along().stream().anyMatch(via.getLast().along()::contains)))
        .flatMap(t -> leads(plan, from, to, Stream.concat(via.stream(), Stream.of(t)).toList()).stream()).findFirst();
  }
}
