package neatlanyard.device.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.io.IOException;
import java.nio.file.Files;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.IntStream;
import neatlanyard.core.departure.FiguresBasis;
import neatlanyard.core.departure.FiguresKnown;
import neatlanyard.core.figures.CriticalValues;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.weather.StationReport;
import neatlanyard.device.drawn.FiguresDrawn;
import neatlanyard.device.drawn.GivenDrawn;
import neatlanyard.device.drawn.ReportDrawn;
import neatlanyard.device.kept.KeptViews.KeptAirfields;
import neatlanyard.device.kept.KeptViews.KeptFigures;
import neatlanyard.device.kept.KeptViews.KeptTexts;
import neatlanyard.device.kept.KeptViews;
import neatlanyard.formats.figures.HoldoverReader;
import neatlanyard.formats.figures.PapersReader;
import neatlanyard.formats.figures.TakeoffTablesReader;
import neatlanyard.formats.figures.TypeFiguresReader;
import neatlanyard.formats.fleet.AirfieldWriter;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.weather.StationReportReader;
import org.testng.annotations.Test;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The same figures come of the same things said, by the server and in a browser's own engine. */
public class DeviceFiguresTest {
  private static final int DAYS = Integer.getInteger("lanyard.days", 120);
  private static final JsonMapper JSON = JsonMapper.builder()
      .changeDefaultPropertyInclusion(i -> i.withValueInclusion(JsonInclude.Include.NON_ABSENT))
      .addModule(new SimpleModule().addSerializer(Enum.class, new Written())).build();

  /** As the server writes constants. */
  private static final class Written extends ValueSerializer<Enum> {
    @Override
    public void serialize(Enum value, JsonGenerator out, SerializationContext context) {
      out.writeString(Doc.written(value));
    }
  }

  private static final KeptAirfields NOWHERE = new KeptAirfields("", "");
  private static final KeptTexts NO_TEXTS = new KeptTexts("", "", "");

  private record Texts(String typeFigures, String takeoffTables, String holdover, String from, String to) {}

  /** A departure, with all that it is worked out by. */
  private record Tried(FiguresKnown known, FiguresBasis basis, KeptFigures kept, Map<String, String> settled) {
    /** What a device asks by: what the server sent, without what says nothing. */
    String asked() {
      ObjectNode asked = JSON.createObjectNode();
      JsonNode all = JSON.valueToTree(kept);
      for (String field : List.of("flight", "tail", "type", "day", "from", "report", "destination", "gauged",
          "said")) {
        Optional.ofNullable(all.get(field)).ifPresent(v -> asked.set(field, said(v)));
      }
      ArrayNode figures = asked.putArray("asked");
      for (CriticalFigure figure : CriticalFigure.values()) {
        figures.add(Doc.written(figure));
      }
      asked.set("settled", JSON.valueToTree(settled));
      return asked.toString();
    }

    private static JsonNode said(JsonNode node) {
      if (node instanceof ObjectNode object) {
        List.copyOf(object.propertyNames()).stream().filter(n -> object.get(n).isNull()).forEach(object::remove);
      }
      node.forEach(Tried::said);
      return node;
    }

    /** What the server would say. */
    JsonNode server() {
      FiguresKnown.Result result = known.workOut(basis);
      Map<CriticalFigure, CriticalValues.Value> values = result.figures().map(CriticalValues::of).orElse(Map.of());
      Map<String, Object> answer = new LinkedHashMap<>();
      answer.put("given", GivenDrawn.of(known.given(), List.of()));
      answer.put("missing", result.missing());
      result.figures().ifPresent((DepartureFigures f) -> answer.put("worked", FiguresDrawn.of(f, figure ->
          !values.containsKey(figure) || values.get(figure).entered().equals(settled.get(Doc.written(figure))))));
      answer.put("otherwise", settled.entrySet().stream().filter(e -> {
        CriticalFigure figure = Doc.named(CriticalFigure.class, e.getKey());
        return values.containsKey(figure) && !values.get(figure).entered().equals(e.getValue());
      }).map(Map.Entry::getKey).toList());
      return JSON.valueToTree(answer);
    }
  }

  private static List<Tried> days(long seed, String type, Airfield from, Airfield to, Texts texts) throws IOException {
    Optional<TakeoffTablesReader.Tables> tables =
        Optional.of(TakeoffTablesReader.read(texts.takeoffTables).orThrow("tables"));
    FiguresBasis basis = new FiguresBasis(
        Optional.of(TypeFiguresReader.read(texts.typeFigures, of -> tables).orThrow(type)), List.of(),
        HoldoverReader.read(texts.holdover()).orThrow("holdover"), Optional.of(from), Optional.of(to));
    Random random = new Random(seed);
    RandomDays days = new RandomDays(seed);
    List<Tried> all = new ArrayList<>();
    for (int i = 0; i < DAYS / 10; i++) {
      FiguresKnown known = days.day(from, to, type);
      Map<String, String> settled = new TreeMap<>();
      known.workOut(basis).figures().ifPresent(f -> CriticalValues.of(f).forEach((figure, v) -> {
        if (random.nextInt(4) > 0) {
          settled.put(Doc.written(figure), random.nextInt(6) > 0 ? v.entered() : "777");
        }
      }));
      all.add(new Tried(known, basis, KeptViews.of(1, known, to.id(), NO_TEXTS, NOWHERE), settled));
    }
    return all;
  }

  /** Compiled for the browser, and run by the engine that Chromium has too. */
  @Test
  public void a_device_works_out_and_draws_what_the_server_does() throws IOException, InterruptedException {
    Fleet fleet = RandomDays.fleet();
    List<Tried> all = new ArrayList<>();
    ArrayNode asked = JSON.createArrayNode();
    long seed = Long.getLong("lanyard.seed", 20_270_114);
    for (String type : List.of("dovrin-46", "halyard-210")) {
      for (int i = 0; i < 5; i++) {
        Airfield from = fleet.airfields().get(i);
        Airfield to = fleet.airfields().get((i + 1) % 5);
        Texts texts = new Texts(RandomDays.text("figures/" + type + ".yaml"),
            RandomDays.text("figures/" + type + "-take-off.yaml"), RandomDays.text("figures/holdover.yaml"),
            AirfieldWriter.write(from, fleet), AirfieldWriter.write(to, fleet));
        List<Tried> here = days(seed++, type, from, to, texts);
        here.forEach(t -> asked.addObject().put("figures", t.asked()));
        ((ObjectNode) asked.get(asked.size() - here.size())).putArray("basis").add(texts.typeFigures)
            .add(texts.takeoffTables).add(texts.holdover).add(texts.from).add(texts.to);
        all.addAll(here);
      }
    }
    List<JsonNode> answers = Node.run("figures.mjs", "figures.js", asked.toString());
    assertThat(answers).hasSameSizeAs(all);
    for (int i = 0; i < all.size(); i++) {
      assertThat(otherwise(all.get(i).server(), answers.get(i), "")).as("%s", all.get(i).asked()).isEmpty();
    }
    assertThat(answers.stream().filter(a -> a.has("worked")).count()).as("worked out").isGreaterThan(all.size() / 2);
    assertThat(answers.stream().filter(a -> a.has("worked") && a.get("worked").has("runway")).count())
        .as("with a take-off").isGreaterThan(all.size() / 5);
    assertThat(answers.stream().filter(a -> !a.get("otherwise").isEmpty()).count()).isGreaterThan(all.size() / 5);
  }

  @Test
  public void what_is_typed_over_reads_as_the_server_reads_it() throws IOException, InterruptedException {
    Instant now = Instant.parse("2027-01-14T07:40:00Z");
    List<String> reports = new ArrayList<>();
    JSON.readTree(Files.readString(RandomDays.DEMO.resolve("../ui/src/departure/reports.cases.json")))
        .findValues("text").forEach(t -> reports.add(t.asString()));
    assertThat(reports).hasSizeGreaterThanOrEqualTo(300);
    reports.addAll(List.of("", "METAR", "METAR QTRN 140720Z 24012KTX 9000 ZZZ M02/M04 Q1003"));
    String sheet = RandomDays.text("figures/load-sheets/today-31.json").replace("{day}", "2027-01-14");
    List<String> sheets = List.of(sheet, sheet.replace("\"kg\"", "\"lb\""), sheet.replace("56780", "\"56,8\""),
        "", "{", "field,value\nweights,lb\nflight,Flight 31\ntail,TL-HYB\nday,2027-01-14\nedition,2\n"
        + "states.zero-fuel,127000\n"
        + "states.zero-fuel-percent,22.4\nfuel.left,11000\nfuel.right,11000\ntaxi-fuel,440\ntrip-fuel,15000\n",
        "field,value\nflight,=1+1\n");
    ArrayNode asked = JSON.createArrayNode();
    reports.forEach(r -> asked.addObject().put("report", r).put("now", now.toString()));
    sheets.forEach(s -> asked.addObject().put("sheet", s));
    List<JsonNode> answers = Node.run("figures.mjs", "figures.js", asked.toString());
    for (int i = 0; i < reports.size(); i++) {
      assertThat(words(answers.get(i))).as(reports.get(i)).isEqualTo(
          switch (StationReportReader.read(reports.get(i), now)) {
            case Read.Good<StationReport> good -> ReportDrawn.facts(good.value(), now);
            case Read.Bad<StationReport> bad -> bad.faults().stream().map(Fault::words).toList();
          });
    }
    for (int i = 0; i < sheets.size(); i++) {
      assertThat(words(answers.get(reports.size() + i))).as(sheets.get(i)).isEqualTo(
          switch (PapersReader.either(sheets.get(i))) {
            case Read.Good<PapersReader.Papers> good -> List.of();
            case Read.Bad<PapersReader.Papers> bad -> bad.faults().stream().map(Fault::words).toList();
          });
    }
  }

  private static List<String> words(JsonNode answer) {
    List<String> words = new ArrayList<>();
    answer.path(answer.has("facts") ? "facts" : "faults").forEach(w -> words.add(w.asString()));
    return words;
  }

  /** Where a device says otherwise. */
  private static List<String> otherwise(JsonNode server, JsonNode device, String at) {
    if (server.isNumber() && device.isNumber() && server.doubleValue() == device.doubleValue()) {
      return List.of();
    }
    boolean sameKind = server.getNodeType() == device.getNodeType() && server.size() == device.size();
    if (sameKind && server instanceof ObjectNode) {
      return server.propertyNames().stream().flatMap(n ->
          otherwise(server.get(n), device.path(n), at + "/" + n).stream()).toList();
    }
    if (sameKind && server instanceof ArrayNode) {
      return IntStream.range(0, server.size()).boxed().flatMap(i ->
          otherwise(server.get(i), device.get(i), at + "/" + i).stream()).toList();
    }
    return server.equals(device) ? List.of() : List.of("%s: server %s, device %s".formatted(at, server, device));
  }
}
