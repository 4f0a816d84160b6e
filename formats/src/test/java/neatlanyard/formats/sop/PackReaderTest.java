package neatlanyard.formats.sop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Stage;
import neatlanyard.formats.fleet.FleetReader;
import neatlanyard.formats.fleet.FlightsReader;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.weather.StationReportReader;
import org.testng.annotations.Test;

public class PackReaderTest {
  private static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo");
  private static final Instant NOW = Instant.parse("2027-01-14T07:25:00Z");

  private static String demo(String file) throws IOException {
    return Files.readString(DEMO.resolve(file));
  }

  private static List<String> faults(Read<?> read) {
    return read instanceof Read.Bad<?> bad ? bad.faults().stream().map(Fault::words).toList() : List.of();
  }

  private static Card card(String tail, String weather, boolean dark, boolean first) throws IOException {
    Pack pack = PackReader.read(demo("packs/dovrin-46.yaml")).orThrow("pack");
    Fleet fleet = FleetReader.read(demo("fleet.yaml")).orThrow("fleet");
    Tail of = fleet.tail(new TailId(tail)).orElseThrow();
    Day day = new Day(StationReportReader.read(weather, NOW).orThrow("report"), false, dark, first, false, false);
    return Card.cut(pack, of, Seat.LEFT, day);
  }

  private static final String WINTER = "QTRN 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003";
  private static final String SUMMER = "QTRN 140720Z 24012KT CAVOK 18/11 Q1020";

  @Test
  public void the_demo_is_as_large_as_a_crew_would_expect() throws IOException {
    Card card = card("TL-DVA", WINTER, true, true);
    Map<String, Integer> steps =
        card.parts().stream().collect(Collectors.toMap(p -> p.procedure().id().value(), p -> p.items().size()));
    assertThat(steps.get("walkaround")).isGreaterThanOrEqualTo(25);
    assertThat(steps.get("flow-left")).isGreaterThanOrEqualTo(15);
    assertThat(steps.get("flow-right")).isGreaterThanOrEqualTo(15);
    long stations = card.parts().stream().filter(p -> p.procedure().stage() == Stage.WALKAROUND)
        .flatMap(p -> p.items().stream()).map(i -> i.step().place()).distinct().count();
    assertThat(stations).isGreaterThanOrEqualTo(12);
  }

  @Test
  public void the_card_is_cut_for_the_tail_and_the_day_with_reasons() throws IOException {
    Card winter = card("TL-DVC", WINTER, true, true);
    Card summer = card("TL-DVA", SUMMER, false, false);
    assertThat(winter.leftOut()).filteredOn(l -> l.step().challenge().equals("APU"))
        .extracting(Card.LeftOut::why).containsExactly("no APU on this tail");
    assertThat(winter.item(new neatlanyard.core.sop.StepId("wa-freight-door")).orElseThrow().added()).isEqualTo("freight door fitted");
    assertThat(summer.leftOut()).filteredOn(l -> l.step().id().value().equals("wa-contamination-l"))
        .extracting(Card.LeftOut::why).containsExactly("18 °C, not colder than 3 °C, nothing is falling");
    assertThat(summer.leftOut()).allMatch(l -> !l.why().isBlank());
    long steps = winter.pack().procedures().stream().mapToLong(p -> p.steps().size()).sum();
    assertThat(winter.parts().stream().mapToLong(p -> p.items().size()).sum() + winter.leftOut().size()).isEqualTo(steps);
  }

  @Test
  public void the_demo_flights_fit_the_demo_fleet() throws IOException {
    Fleet fleet = FleetReader.read(demo("fleet.yaml")).orThrow("fleet");
    List<Flight> flights = FlightsReader.read(demo("flights.yaml"), fleet, NOW).orThrow("flights");
    assertThat(flights).allMatch(f -> f.departs().isAfter(NOW));
    assertThat(faults(FlightsReader.read(demo("flights.yaml").replace("TL-DVC", "TL-NIX").replace("quill", "varga"), fleet, NOW)))
        .containsExactly(
            "line 15, column 11: The fleet has no tail 'TL-NIX'.",
            "line 20, column 15: 'varga' is maintenance and does not fly.");
  }

  @Test
  public void every_fault_of_a_pack_is_named_with_its_place() throws IOException {
    String text = demo("packs/dovrin-46.yaml")
        .replace("at: nose-left, challenge: \"Static ports, left\"", "at: nowhere, challenge: \"Static ports, left\"")
        .replace("needs: [pu-battery]", "needs: [pu-batterie]")
        .replace("opens: [apu-air]", "opens: [apu-hair]")
        .replace("when: {fitted: freight-door}", "when: {fited: freight-door}")
        .replace("items: [left pitot]", "items: [left pitott]")
        .replace("length-m: 22.6", "length-m: long")
        .replace("- {id: pu-radar,", "- {id: pu-gear,")
        .replace("control-check: stationary", "control-check: sitting");
    List<String> faults = faults(PackReader.read(text));
    assertThat(faults).hasSize(10).allMatch(f -> f.startsWith("line "));
    assertThat(String.join("\n", faults)).contains(
        "There is no station or panel 'nowhere'", "There is no step 'pu-batterie'", "There is no tag 'apu-hair'",
        "'fited' is not a condition; known are", "Nothing opens 'left pitott' of the tag 'covers'", "'length-m' is 'long', not a number",
        "A step 'pu-gear' exists already", "'control-check' is 'sitting'; known are: stationary, straight-taxi");
  }

  @Test
  public void json_is_read_too_and_unknown_fields_are_not_passed_over() {
    assertThat(faults(FleetReader.read("{\"format\": \"neat-lanyard/fleet/1\", \"operator\": \"X\"}"))).isEmpty();
    assertThat(faults(FleetReader.read("{\"format\": \"neat-lanyard/fleet/1\", \"operator\": \"X\", \"colour\": \"red\"}")))
        .containsExactly("line 1, column 63: 'colour' is not a field here; known are: airfields, crew, format, operator, tails.");
  }

  @Test
  public void texts_made_to_do_harm_are_refused() {
    String bomb = "a: &a [x, x]\nb: &b [*a, *a]\nc: [*b, *b]\n";
    assertThat(faults(PackReader.read(bomb))).containsExactly("line 2, column 8: Aliases (*) are not allowed; write it out.");
    assertThat(faults(PackReader.read("[".repeat(100_000)))).hasSize(1).first().asString().contains("nested deeper than 40 levels");
    assertThat(faults(PackReader.read("x".repeat(Doc.MOST_CHARACTERS + 1)))).first().asString().contains("is the most");
    assertThat(faults(FleetReader.read("format: neat-lanyard/fleet/1\noperator: A\noperator: B\n")))
        .containsExactly("line 3, column 1: 'operator' stands twice.");
    assertThat(faults(PackReader.read("a: b: c"))).hasSize(1).first().asString().startsWith("line 1");
    assertThat(faults(PackReader.read(""))).containsExactly("It is empty.");
    assertThat(faults(PackReader.read("!!java.net.URL [x]"))).isNotEmpty();
  }

  @Test
  public void a_need_that_goes_round_is_found() throws IOException {
    String text = demo("packs/dovrin-46.yaml").replace("response: \"on, 24.8 V or more\"}", "response: on, needs: [pu-fire]}");
    assertThat(faults(PackReader.read(text))).anyMatch(f -> f.contains("needs itself, by way of its needs"));
  }
}
