package neatlanyard.formats.fleet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.Outbound;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.testng.annotations.Test;

public class FleetReaderTest {
  private static final Instant NOW = Instant.parse("2027-01-14T07:25:00Z");
  private static final String FLEET = """
      format: neat-lanyard/fleet/1
      operator: Somebody
      airfields:
        - {id: QAAA, name: A, latitude-deg: 61, longitude-deg: 2, elevation-ft: 31, zone: Etc/GMT}
      tails:
        - {id: TL-AAA, type: some-type}
      crew:
        - {id: ann, name: Ann, role: captain}
        - {id: bob, name: Bob, role: first-officer}
      """;

  private static List<String> faults(Read<?> read) {
    return read instanceof Read.Bad<?> bad ? bad.faults().stream().map(Fault::words).toList() : List.of();
  }

  private static String flight(String crew, String departs) {
    return """
        format: neat-lanyard/flights/1
        flights:
          - id: f1
            number: Flight 1
            tail: TL-AAA
            from: QAAA
            to: QAAA
            %s
            crew: [%s]
        """.formatted(departs, crew);
  }

  @Test
  public void every_fault_of_a_fleet_is_named() {
    String bad = FLEET.replace("latitude-deg: 61", "latitude-deg: 161").replace("zone: Etc/GMT", "zone: Nowhere/Land")
        .replace("id: TL-AAA", "id: tl").replace("role: captain", "role: king").replace("id: bob", "id: ann")
        .replace("elevation-ft: 31", "elevation-ft: 31.5");
    assertThat(faults(FleetReader.read(bad))).containsExactly(
        "line 4, column 39: 'latitude-deg' is 161; -90.0 to 90.0 is allowed.",
        "line 4, column 76: 'elevation-ft' is 31.5, not a whole number.",
        "line 4, column 88: 'zone': Unknown time-zone ID: Nowhere/Land.",
        "line 6, column 10: 'id': 'tl' is not a registration: 2 to 10 capitals, digits or hyphens.",
        "line 8, column 32: 'role' is 'king'; known are: captain, first-officer, engineer, standards, maintenance, "
        + "training, administrator.",
        "line 9, column 10: 'ann' stands twice.");
    assertThat(faults(FleetReader.read("operator: X"))).containsExactly("line 1, column 1: 'format' is missing.");
    assertThat(faults(FleetReader.read(FLEET.replace("fleet/1", "fleet/9")))).hasSize(1).first().asString()
        .contains("'neat-lanyard/fleet/1' is read here");
    assertThat(faults(FleetReader.read("just words"))).isNotEmpty();
  }

  @Test
  public void a_crew_has_both_seats_one_commander_and_one_flying() {
    Fleet fleet = FleetReader.read(FLEET).orThrow("fleet");
    String good = "{who: ann, seat: left, commander: true, flying: true}, {who: bob, seat: right}";
    Flight flight = FlightsReader.read(flight(good, "departs-in: PT40M"), fleet, NOW).orThrow("flights").getFirst();
    assertThat(flight.departs()).isEqualTo(NOW.plusSeconds(2_400));
    assertThat(flight.commander().orElseThrow().who().value()).isEqualTo("ann");
    assertThat(FlightsReader.read(flight(good, "departs: 2027-01-14T08:05:00Z"), fleet, NOW).orThrow("").getFirst()
        .departs())
        .isEqualTo(flight.departs());
    assertThat(faults(
        FlightsReader.read(flight("{who: ann, seat: left}, {who: bob, seat: left}", "departs: soon"), fleet, NOW)))
        .containsExactly(
            "line 8, column 14: 'departs': Text 'soon' could not be parsed at index 0.",
            "line 9, column 11: A crew has one person in the left seat and one in the right, and may have one in the "
            + "engineer's.",
            "line 9, column 11: Exactly one of the crew is the commander.",
            "line 9, column 11: Exactly one of the crew is the pilot flying.");
  }

  private static String runway(String one, String other) {
    return FLEET.replace("zone: Etc/GMT}", "zone: Etc/GMT, variation-deg: -2, runways: [{width-m: 45, surface: paved, "
        + "ends: [\n%s,\n%s]}]}".formatted(one, other));
  }

  private static String end(String name, String bearing, String more) {
    return "{name: \"%s\", bearing-true-deg: %s, tora-m: 2000, toda-m: 2100, asda-m: 2000, lda-m: 2000, ".formatted(
        name, bearing) + "slope-percent: 0%s}".formatted(more);
  }

  @Test
  public void runways_are_what_their_names_say() {
    assertThat(FleetReader.read(runway(end("09L", "088", ", intersections: [{name: B, from-beginning-m: 600}, "
        + "{name: A, from-beginning-m: 300}]"), end("27R", "268", "")))).isInstanceOfSatisfying(Read.Good.class, g -> {
          Fleet fleet = (Fleet) g.value();
          assertThat(fleet.airfields().getFirst().ends().flatMap(e -> e.intersections().stream()).map(i -> i.name()))
              .as("the nearest first").containsExactly("A", "B");
        });
    assertThat(faults(FleetReader.read(runway(end("09L", "110", ""), end("26R", "268", ""))))).containsExactly(
        "line 4, column 159: 09L and 26R are not the two ends of one runway; the other end of 09L is 27R.",
        "line 4, column 159: 09L and 26R lie 158° apart, not 180°.",
        "line 5, column 33: Runway 09L lies 112° magnetic by this bearing and the variation.");
    assertThat(faults(FleetReader.read(runway(end("09", "088", "").replace("toda-m: 2100", "toda-m: 1900")
        .replace("asda-m: 2000", "asda-m: 1990"),
        end("27", "268", ", intersections: [{name: C, from-beginning-m: 2000}]")))))
        .containsExactly(
        "line 5, column 59: 'toda-m' is the run and a clearway of up to half of it: 2000 to 3000.",
        "line 5, column 73: 'asda-m' is the run and the stopway: not less than 2000.",
        "line 6, column 125: C lies 2000 m from the beginning of a run of 2000 m.");
  }

  @Test
  public void every_road_leads_somewhere() throws IOException {
    String whole = Files.readString(Path.of(System.getProperty("lanyard.root", ".."), "demo", "fleet.yaml"));
    assertThat(FleetReader.read(whole).orThrow("fleet").airfields()).filteredOn(a -> a.ground().isPresent())
        .hasSize(6);
    String wrong = whole.replace("along: [\"1\", L1]", "along: [\"1\"]").replace("name: A1,", "name: a1,")
        .replace("kind: hot-spot, remark: \"16/34 is lit less than A, and not seen until close\"", "kind: hot-spot")
        .replace("{from: C2, to: C3, bears-t: 45}", "{from: C2, to: C1, bears-t: 0}")
        .replace("kind: holding, runway: \"07\"", "kind: holding, runway: \"08\"");
    assertThat(String.join("\n", faults(FleetReader.read(wrong)))).contains("S1 leads nowhere",
        "'a1' is no name: capital letters", "A hot spot says in words what it is", "between two neighbours",
        "no runway 08", "A leads to 'A1', which is no point", "No taxiway joins '1' to the others",
        "'bears-t' is 0");
  }

  @Test
  public void a_deck_that_cannot_be_is_told_with_its_place() throws IOException {
    String fleet = Files.readString(Path.of(System.getProperty("lanyard.root", ".."), "demo", "fleet.yaml"));
    String wrong = fleet.replace("corners: \"14 150\"", "corners: \"30 150\"")
        .replace("{name: Spot 2,", "{name: Lift,").replace("corners: \"-2 160, -2 246\"", "corners: \"-2 160\"")
        .replace("remark: \"A wire that is drawn out or breaks sweeps the deck at knee height.\"", "remark: ''")
        .replace("corners: \"13 60, 20 60, 20 90, 13 90\"", "corners: \"13 60, x\"");
    assertThat(String.join("\n", faults(FleetReader.read(wrong)))).contains("'Spot 1' reaches over the edge",
        "'Lift' stands twice", "A catapult has at least 2", "A wire says in words", "pairs such as");
  }

  /** As a device is sent the one it leaves from. */
  @Test
  public void an_airfield_that_is_written_reads_as_it_was_but_for_its_alternate_and_its_ground() throws IOException {
    Fleet fleet = FleetReader.read(Files.readString(Path.of(System.getProperty("lanyard.root", ".."), "demo",
        "fleet.yaml"))).orThrow("fleet");
    for (Airfield a : fleet.airfields()) {
      assertThat(FleetReader.read(AirfieldWriter.write(a, fleet)).orThrow("one").airfields()).containsExactly(
          new Airfield(a.id(), a.name(), a.latitudeDeg(), a.longitudeDeg(), a.elevationFt(), a.zone(),
          a.variationDeg(), a.runways(),
          new Outbound(a.outbound().landing(), Optional.empty(), a.outbound().minimumFt()), Optional.empty(),
          Optional.empty()));
    }
  }
}
