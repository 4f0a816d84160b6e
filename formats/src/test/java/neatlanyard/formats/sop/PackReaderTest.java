package neatlanyard.formats.sop;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Base64;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.proof.PackCheck;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Drawing;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Procedure.Kind;
import neatlanyard.core.sop.Situation;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.formats.fleet.FleetReader;
import neatlanyard.formats.fleet.FlightsReader;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.weather.StationReportReader;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PackReaderTest {
  private static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo");
  private static final Stage[] STAGES = {Stage.POWER_UP, Stage.WALKAROUND, Stage.FLOWS, Stage.FIGURES, Stage.BRIEFING,
      Stage.START, Stage.CONTROLS, Stage.TAXI, Stage.BEFORE_TAKEOFF, Stage.LINE_UP};
  private static final Instant NOW = Instant.parse("2027-01-14T07:25:00Z");

  private static String demo(String file) throws IOException {
    return Files.readString(DEMO.resolve(file));
  }

  private static List<String> faults(Read<?> read) {
    return read instanceof Read.Bad<?> bad ? bad.faults().stream().map(Fault::words).toList() : List.of();
  }

  private static Card card(String tail, String weather, boolean dark, Circumstance... so) throws IOException {
    Pack pack = PackReader.read(demo("packs/dovrin-46.yaml")).orThrow("pack");
    Day day = new Day(StationReportReader.read(weather, NOW).orThrow("report"), false, dark, Set.of(so));
    return Card.cut(pack, Seat.LEFT, new Situation(
        pack.tail(new TailId(tail)).orElseThrow(), new AirfieldId("QTRN"), new AirfieldId("QVSK"), Optional.empty(),
        day, Map.of()));
  }

  private static final String WINTER = "QTRN 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003";
  private static final String SUMMER = "QTRN 140720Z 24012KT CAVOK 18/11 Q1020";

  @DataProvider
  Object[][] packs() {
    return new Object[][] {{"packs/dovrin-46.yaml", 60, 3}, {"packs/dovrin-46-2026-12.yaml", 60, 3},
        {"packs/halyard-210.yaml", 90, 2}, {"packs/pellow-9.yaml", 50, 1}, {"packs/selkie-m3.yaml", 30, 2},
        {"packs/burdock-four.yaml", 35, 1}};
  }

  @Test(dataProvider = "packs")
  public void the_demo_packs_are_as_large_as_a_fleet_would_expect(String file, int walkaround,
      int tails) throws IOException {
    Pack pack = PackReader.read(demo(file)).orThrow(file);
    assertThat(steps(pack, Kind.WALKAROUND)).isGreaterThanOrEqualTo(walkaround);
    assertThat(steps(pack, Kind.values())).isGreaterThanOrEqualTo(walkaround * 7L / 2);
    assertThat(pack.procedures()).filteredOn(p -> p.kind() == Kind.CHECKLIST).hasSizeGreaterThanOrEqualTo(4);
    assertThat(pack.procedures()).extracting(Procedure::stage).as("every stage of the job").contains(STAGES);
    assertThat(pack.wholeTails()).extracting(Tail::equipment).doesNotHaveDuplicates().hasSize(tails);
  }

  /** Where crews differ, each other way than the default is followed by some pack. */
  @Test
  public void every_matter_in_which_crews_differ_has_a_fleet_that_differs() throws IOException {
    Set<Matter> differs = EnumSet.noneOf(Matter.class);
    Set<Kind> kinds = EnumSet.noneOf(Kind.class);
    for (Object[] row : packs()) {
      Pack pack = PackReader.read(demo((String) row[0])).orThrow("pack");
      Stream.of(Matter.values()).filter(m -> pack.policy().of(m) != m.byDefault()).forEach(differs::add);
      pack.procedures().forEach(p -> kinds.add(p.kind()));
    }
    assertThat(differs).containsExactlyInAnyOrder(Matter.values());
    assertThat(kinds).containsExactlyInAnyOrder(Kind.values());
  }

  private static long steps(Pack pack, Kind... kinds) {
    return pack.procedures().stream().filter(p -> List.of(kinds).contains(p.kind())).mapToLong(p -> p.steps().size())
        .sum();
  }

  @Test(dataProvider = "packs")
  public void the_demo_packs_are_clean(String file, int walkaround, int tails) throws IOException {
    assertThat(PackCheck.of(PackReader.read(demo(file)).orThrow(file))).allMatch(f -> f.waived().isPresent());
  }

  @Test(dataProvider = "packs")
  public void what_is_written_reads_back_equal(String file, int walkaround, int tails) throws IOException {
    Pack pack = PackReader.read(demo(file)).orThrow(file);
    assertThat(PackReader.read(PackWriter.yaml(pack)).orThrow("yaml")).isEqualTo(pack);
    assertThat(PackReader.read(PackWriter.json(pack)).orThrow("json")).isEqualTo(pack);
    assertThat(PackWriter.yaml(PackReader.read(PackWriter.yaml(pack)).orThrow("yaml")))
        .isEqualTo(PackWriter.yaml(pack));
  }

  /**
   * The published JSON Schema 2020-12 takes what the reader takes and refuses what it refuses, as far as form goes.
   */
  @Test(dataProvider = "packs")
  public void the_published_schema_fits(String file, int walkaround, int tails) throws IOException {
    String json = PackWriter.json(PackReader.read(demo(file)).orThrow(file));
    Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
        .getSchema(Files.readString(
        Path.of(System.getProperty("lanyard.root", ".."), "docs/formats/pack.schema.json")));
    assertThat(schema.validate(json, InputFormat.JSON)).isEmpty();
    for (String[] bad : new String[][] {
        {"\"stage\":\"walkaround\"", "\"stage\":\"walk\""}, {"\"unit\":\"psi\"", "\"unit\":\"bar\""},
            {"\"dark\":true", "\"dusk\":true"},
        {"\"response\":", "\"answer\":"}, {"pack/2", "pack/3"}, {"\"colder-than\":3", "\"colder-than\":3.5"}}) {
      if (!json.contains(bad[0])) {
        assertThat(file).as(bad[0]).doesNotContain("dovrin");
        continue;
      }
      String text = json.replace(bad[0], bad[1]);
      assertThat(schema.validate(text, InputFormat.JSON)).as(bad[1]).isNotEmpty();
      assertThat(PackReader.read(text)).as(bad[1]).isInstanceOf(Read.Bad.class);
    }
  }

  @Test
  public void the_card_is_cut_for_the_tail_and_the_day_with_reasons() throws IOException {
    Card winter = card("TL-DVC", WINTER, true, Circumstance.FIRST_FLIGHT);
    Card summer = card("TL-DVA", SUMMER, false);
    assertThat(winter.whyLeftOut(new StepId("pu-apu"))).isEqualTo("no APU on this tail");
    assertThat(winter.item(new StepId("wa-freight-door")).orElseThrow().added()).isEqualTo("freight door fitted");
    assertThat(summer.leftOut()).filteredOn(l -> l.step().id().value().equals("wa-contamination-l"))
        .extracting(Card.LeftOut::why).containsExactly("18 °C, not colder than 3 °C, nothing is falling");
    assertThat(summer.leftOut()).allMatch(l -> !l.why().isBlank());
    long steps = winter.pack().procedures().stream().mapToLong(p -> p.steps().size()).sum();
    assertThat(winter.parts().stream().mapToLong(p -> p.items().size()).sum() + winter.leftOut().size())
        .isEqualTo(steps);
  }

  /** A value of today comes from something that is there, and a control is configured as it can be. */
  @Test
  public void values_of_today_and_the_takeoff_configuration_refer_to_what_is_there() throws IOException {
    String demo = demo("packs/dovrin-46.yaml");
    String turn = "alternates: {choices: [one, two], memory: inverter}, value: {turn: true, back: true}";
    assertThat(faults(PackReader.read(demo.replace("radius-m: 22", "radius-m: 7")))).singleElement().asString()
        .endsWith("A turn of 7.0 m is tighter than the wheelbase, 8.0 m.");
    assertThat(faults(PackReader.read(demo.replace("{x: 0, y: 2.6, wheels: 2}", "{x: 0, y: 10.6, wheels: 2}"))))
        .singleElement().asString().contains("'ground' wants a wheel at x 0 that steers");
    assertThat(faults(PackReader.read(demo.replace(turn, "value: {turn: true, back: true}")))).singleElement()
        .asString()
        .endsWith("The step uses nothing in turn.");
    assertThat(faults(PackReader.read(demo.replace("value: {of: cruising-level}", "value: {position: gear}"))))
        .singleElement().asString()
        .endsWith("The step neither sets, expects nor verifies 'gear'.");
    assertThat(faults(PackReader.read(demo.replace("value: {of: cruising-level}", "value: {of: the-moon}"))))
        .singleElement().asString()
        .contains("'of' is 'the-moon'; known are: pressure-setting");
    assertThat(faults(PackReader.read(demo.replace("takeoff: {flaps: \"15\"", "takeoff: {flaps: \"16\""))))
        .singleElement().asString()
        .endsWith("'flaps' cannot be '16'; known are: 0, 15, 27.");
    assertThat(faults(PackReader.read(demo.replace("takeoff: {flaps: \"15\", ", "takeoff: {"))))
        .singleElement().asString()
        .endsWith("'takeoff' says nothing of 'flaps', which counts while nothing is agreed.");
    assertThat(faults(PackReader.read(demo.replace("verifies: {trims: take-off}}", "verifies: {trims: agreed}}"))))
        .singleElement().asString().endsWith("'trims' cannot be 'agreed'; known are: any, take-off.");
    assertThat(faults(PackReader.read(demo.replace("{agreed: [v1, vr, v2]}", "{agreed: [v1, vr, v2], back: true}"))))
        .singleElement().asString().endsWith("One figure can be asked back.");
  }

  @Test
  public void the_demo_flights_fit_the_demo_fleet() throws IOException {
    Fleet fleet = FleetReader.read(demo("fleet.yaml")).orThrow("fleet");
    List<Flight> flights = FlightsReader.read(demo("flights.yaml"), fleet, NOW).orThrow("flights");
    assertThat(flights).allMatch(f -> f.departs().isAfter(NOW));
    assertThat(flights.getFirst().arrival().orElseThrow().flies()).isEqualTo(Duration.ofMinutes(26));
    assertThat(faults(FlightsReader.read(demo("flights.yaml").replace("flies: PT26M", "flies: PT0S")
        .replace("    flies: PT58M\n", "").replace("arrives-in: PT4H40M", "arrives-in: PT40H"), fleet, NOW)))
        .hasSize(3).anyMatch(f -> f.contains("a flight takes from a minute to a day"))
        .anyMatch(f -> f.contains("says nothing without how long it flies"))
        .anyMatch(f -> f.contains("is not within the day after"));
    assertThat(faults(
        FlightsReader.read(demo("flights.yaml").replace("TL-DVC", "TL-NIX").replace("quill", "varga"), fleet, NOW)))
        .containsExactly(
            "line 20, column 11: The fleet has no tail 'TL-NIX'.",
            "line 27, column 15: 'varga' is maintenance and does not sit in the left seat.",
            "line 53, column 15: 'varga' is maintenance and does not sit in the left seat.",
            "line 66, column 15: 'varga' is maintenance and does not sit in the left seat.",
            "line 117, column 15: 'varga' is maintenance and does not sit in the right seat.");
  }

  @Test
  public void every_fault_of_a_pack_is_named_with_its_place() throws IOException {
    String text = demo("packs/dovrin-46.yaml")
        .replace("at: nose-left, challenge: \"Static ports, left\"", "at: nowhere, challenge: \"Static ports, left\"")
        .replace("needs: [pu-battery], measures", "needs: [pu-batterie], measures")
        .replace("needs: [pu-clear, pu-brake", "needs: [pu-clearr, pu-brake")
        .replace("opens: [apu-air, apu-on]", "opens: [apu-hair, apu-on]")
        .replace("when: {fitted: freight-door}, critical", "when: {fited: freight-door}, critical")
        .replace("items: [left pitot]", "items: [left pitott]")
        .replace("length-m: 22.6", "length-m: long")
        .replace("- {id: pu-radar,", "- {id: pu-gear,")
        .replace("control-check: stationary", "control-check: each-lever")
        .replace("sets: {gust-lock: out}", "sets: {gust-lock: away}")
        .replace("quantity: oxygen, unit: psi, least", "quantity: oxygen, unit: hpa, least")
        .replace("after-wait: [fo-window]", "after-wait: [fo-boots]")
        .replace("sub-type: freight,", "sub-type: fright,");
    List<String> faults = faults(PackReader.read(text));
    assertThat(faults).allMatch(f -> f.startsWith("line "));
    assertThat(String.join("\n", faults)).contains(
        "There is no station or panel 'nowhere'", "There is no step 'pu-clearr'", "There is no tag 'apu-hair'",
        "'fited' is not a condition; known are", "Nothing opens 'left pitott' of the tag 'covers'",
        "'length-m' is 'long', not a number",
        "A step 'pu-gear' exists already",
        "'each-lever' is not a school of 'control-check'; known are: stationary, straight-taxi",
        "'gust-lock' cannot be 'away'; known are: in, out", "'oxygen' is declared in psi, not in hpa",
        "The step 'fo-boots' starts no wait",
        "The pack declares no sub-type 'fright'");
    assertThat(PackReader.read(text) instanceof Read.Bad<Pack> bad ? bad.faults() : List.of())
        .filteredOn(f -> f instanceof Fault fault && fault.what().contains("'gust-lock' cannot be"))
        .extracting(f -> f instanceof Fault fault ? fault.path() : "").singleElement().asString()
        .matches("/procedures/\\d+/steps/\\d+/sets/gust-lock");
  }

  @Test
  public void json_is_read_too_and_unknown_fields_are_not_passed_over() {
    assertThat(faults(FleetReader.read("{\"format\": \"neat-lanyard/fleet/1\", \"operator\": \"X\"}"))).isEmpty();
    assertThat(faults(
        FleetReader.read("{\"format\": \"neat-lanyard/fleet/1\", \"operator\": \"X\", \"colour\": \"red\"}")))
        .containsExactly(
        "line 1, column 63: 'colour' is not a field here; known are: airfields, crew, format, operator, tails, zone.");
  }

  @Test
  public void texts_made_to_do_harm_are_refused() {
    String bomb = "a: &a [x, x]\nb: &b [*a, *a]\nc: [*b, *b]\n";
    assertThat(faults(PackReader.read(bomb)))
        .containsExactly("line 2, column 8: Aliases (*) are not allowed; write it out.");
    assertThat(faults(PackReader.read("[".repeat(100_000)))).hasSize(1).first().asString()
        .contains("nested deeper than 40 levels");
    assertThat(faults(PackReader.read("x".repeat(Doc.MOST_CHARACTERS + 1)))).first().asString()
        .contains("is the most");
    assertThat(faults(PackReader.read("[" + "a,".repeat(600_000) + "]"))).hasSize(1).first().asString()
        .contains("more than 500000 values");
    assertThat(faults(FleetReader.read("format: neat-lanyard/fleet/1\noperator: A\noperator: B\n")))
        .containsExactly("line 3, column 1: 'operator' stands twice.");
    assertThat(faults(PackReader.read("a: b: c"))).hasSize(1).first().asString().startsWith("line 1");
    assertThat(faults(PackReader.read(""))).containsExactly("It is empty.");
    assertThat(faults(PackReader.read("!!java.net.URL [x]"))).isNotEmpty();
  }

  @DataProvider
  Object[][] drawings() {
    return new Object[][] {
        {"<svg viewBox=\"0 0 9 9\"><script>alert(1)</script></svg>", "<script> is not drawn here"},
        {"<svg viewBox=\"0 0 9 9\"><path d=\"M0 0\" onload=\"x()\"/></svg>", "has 'onload', which is not"},
        {"<svg viewBox=\"0 0 9 9\"><path d=\"url(x)\"/></svg>", "'d' of a <path> is no measure"},
        {"<svg viewBox=\"0 0 9 9\"><circle cx=\"1e999\"/></svg>", "'cx' of a <circle> is no measure"},
        {"<svg viewBox=\"0 0 0 9\"></svg>", "It begins with <svg viewBox"},
        {"<svg viewBox=\"0 0 9 9\" style=\"x\"></svg>", "and no other attribute"},
        {"<!DOCTYPE svg [<!ENTITY a \"b\">]><svg viewBox=\"0 0 9 9\">&a;</svg>", "It is no SVG"},
        {"<svg viewBox=\"0 0 9 9\"><path d=\"M0 0\" class=\"red\"/></svg>", "'red' is no class here"},
        {"<svg viewBox=\"0 0 9 9\">words</svg>", "no text of its own"}, {"nothing drawn", "It is no SVG"},
        {"<svg viewBox=\"0 0 9 9\">" + "<line/>".repeat(121) + "</svg>", "at most 120 shapes"},
        {"x".repeat(10_001), "at most 10000 characters"}};
  }

  @Test(dataProvider = "drawings")
  public void a_drawing_can_do_nothing_but_be_seen(String svg, String why) throws IOException {
    String pack = demo("packs/pellow-9.yaml");
    String wrong = pack.substring(0, pack.indexOf("    svg: >-")) + "    svg: '" + svg + "'\n"
        + pack.substring(pack.indexOf("  - id: ", pack.indexOf("    svg: >-")));
    assertThat(String.join("\n", faults(PackReader.read(wrong)))).contains(why);
    assertThat(String.join("\n", faults(PackReader.read(pack.replace("right: [pin-proud]", "right: [unknown]")))))
        .contains("looks like 'unknown', which is no drawing of this pack");
  }

  /** A JPEG as Java's own ImageIO writes it, of no more than what it must have. */
  private static byte[] jpeg(int width, int height) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "jpeg", out);
    return out.toByteArray();
  }

  /** With a segment put in behind its beginning. */
  private static byte[] with(byte[] jpeg, int marker) {
    byte[] segment = {(byte) 0xff, (byte) marker, 0, 6, 'E', 'x', 'i', 'f'};
    return ByteBuffer.allocate(jpeg.length + segment.length).put(jpeg, 0, 2).put(segment)
        .put(jpeg, 2, jpeg.length - 2).array();
  }

  @DataProvider
  Object[][] photos() throws IOException {
    byte[] good = jpeg(40, 30);
    return new Object[][] {
        {base64(with(good, 0xe1)), "carries more than the picture"},
        {base64(with(good, 0xfe)), "carries more than the picture"},
        {base64(ByteBuffer.allocate(good.length + 8).put(good).put("more".getBytes(StandardCharsets.UTF_8)).put(
            good, good.length - 4, 4).array()), "not all of one"},
        {base64(Arrays.copyOf(good, good.length - 9)), "not all of one"},
        {base64(jpeg(1_201, 4)), "at most 1200 pixels a side"},
        {base64("<svg onload='x()'/>".getBytes(StandardCharsets.UTF_8)), "It is no JPEG"},
        {"not base64!", "written in base64"}, {"A".repeat(80_001), "at most 60000 bytes"}};
  }

  private static String base64(byte[] file) {
    return Base64.getEncoder().encodeToString(file);
  }

  /** The pack with a photo in place of its first drawing. */
  private static String photographed(String pack, String photo) {
    return pack.substring(0, pack.indexOf("    svg: >-")) + "    photo: '" + photo + "'\n"
        + pack.substring(pack.indexOf("  - id: ", pack.indexOf("    svg: >-")));
  }

  @Test(dataProvider = "photos")
  public void a_photo_of_a_pack_is_a_whole_picture_and_nothing_else(String photo, String why) throws IOException {
    assertThat(String.join("\n", faults(PackReader.read(photographed(demo("packs/pellow-9.yaml"), photo)))))
        .contains(why);
  }

  @Test
  public void a_photo_is_read_and_written_as_it_is() throws IOException {
    String photo = base64(jpeg(40, 30));
    Pack pack = PackReader.read(photographed(demo("packs/pellow-9.yaml"), photo)).orThrow("pack");
    Drawing drawing = pack.drawings().getFirst();
    assertThat(drawing).extracting(Drawing::width, Drawing::height, Drawing::photo).containsExactly(40.0, 30.0, photo);
    assertThat(PackReader.read(PackWriter.json(pack)).orThrow("pack").drawings()).isEqualTo(pack.drawings());
  }

  @Test
  public void a_need_that_goes_round_is_found() throws IOException {
    String text = demo("packs/dovrin-46.yaml").replace("needs: [pu-pumps-off, pu-radar]", "needs: [pu-fire]");
    assertThat(faults(PackReader.read(text))).anyMatch(f -> f.contains("needs itself, by way of its needs"));
  }
}
