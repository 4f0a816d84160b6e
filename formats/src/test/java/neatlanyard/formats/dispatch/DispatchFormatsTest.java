package neatlanyard.formats.dispatch;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import neatlanyard.core.dispatch.Category;
import neatlanyard.core.dispatch.DispatchList;
import neatlanyard.core.dispatch.DispatchList.Entry;
import neatlanyard.core.dispatch.ReadingHistory.Reading;
import neatlanyard.core.dispatch.TechAct;
import neatlanyard.core.dispatch.TechEntry;
import neatlanyard.core.dispatch.TechLog;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import net.fortuna.ical4j.data.CalendarBuilder;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class DispatchFormatsTest {
  private static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo");
  private static final Instant NOW = Instant.parse("2027-01-14T07:25:00Z");

  private static String demo(String file) throws IOException {
    return Files.readString(DEMO.resolve(file));
  }

  private static <T> T good(Read<T> read) {
    return switch (read) {
      case Read.Good<T> g -> g.value();
      case Read.Bad<T> b -> throw new AssertionError(b.faults());
    };
  }

  private static <T> List<String> faults(Read<T> read) {
    return switch (read) {
      case Read.Good<T> g -> List.of();
      case Read.Bad<T> b -> b.faults().stream().map(Fault::toString).toList();
    };
  }

  /** The demo's log has tails of all types. */
  private static DispatchList ofTail(TailId tail, DispatchList others) {
    try {
      return tail.value().equals("TL-BF4") ? good(DispatchListReader.read(demo("dispatch/burdock-four.yaml")))
          : others;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @DataProvider
  static Object[][] types() {
    return new Object[][] {{"dovrin-46", 40}, {"halyard-210", 40}, {"pellow-9", 40},
        {"selkie-m3", 40}, {"burdock-four", 40}};
  }

  /** A list names steps, places and procedures of its type's pack: none of them may point nowhere. */
  @Test(dataProvider = "types")
  public void each_demo_list_has_entries_that_fit_their_pack(String type, int least) throws IOException {
    DispatchList list = good(DispatchListReader.read(demo("dispatch/%s.yaml".formatted(type))));
    Pack pack = good(PackReader.read(demo("packs/%s.yaml".formatted(type))));
    assertThat(list.entries()).hasSizeGreaterThanOrEqualTo(least);
    assertThat(list.type()).isEqualTo(pack.type());
    Set<String> steps = pack.procedures().stream().flatMap(p -> p.steps().stream()).map(s -> s.id().value())
        .collect(Collectors.toSet());
    for (Entry e : list.entries()) {
      assertThat(steps).as("steps of %s", e.id()).containsAll(e.steps().stream().map(s -> s.value()).toList());
      e.adds().forEach(x -> {
        assertThat(steps).as("new").doesNotContain(x.id().value());
        assertThat(pack.place(x.at())).isPresent();
        assertThat(pack.procedures()).anyMatch(p -> p.id().equals(x.in()));
      });
    }
    assertThat(list.entries()).extracting(Entry::category).contains(Category.values());
  }

  @Test
  public void every_fault_of_a_list_is_named_with_its_line() {
    String bad = """
        format: neat-lanyard/dispatch-list/1
        type: dovrin-46
        title: List
        revision: "1"
        entries:
          - {id: 33-1, title: Bulb, category: b, installed: 2, required: 2}
          - {id: 33-1, title: Bulb, category: e, installed: 2, required: 1}
          - {id: 33-2, title: Bulb, category: b, days: 4, installed: 2, required: 1, when: {sunny: true}}
        not-together:
          - {entries: [33-1, 99-9], why: no}
        """;
    assertThat(faults(DispatchListReader.read(bad))).hasSize(6)
        .anyMatch(f -> f.contains("line=6,") && f.contains("none may be out"))
        .anyMatch(f -> f.contains("line=7,") && f.contains("stands twice"))
        .anyMatch(f -> f.contains("line=8,") && f.contains("'sunny' is not a condition"))
        .anyMatch(f -> f.contains("line=10,") && f.contains("no entry '99-9'"));
  }

  @Test
  public void a_technical_log_goes_out_as_csv_and_comes_back_the_same() throws IOException {
    DispatchList list = good(DispatchListReader.read(demo("dispatch/dovrin-46.yaml")));
    List<TechEntry> lines = good(TechLogCsv.read(demo("tech-log.csv"), t -> ofTail(t, list), NOW, ZoneOffset.UTC));
    assertThat(good(TechLogCsv.read(TechLogCsv.write(lines), t -> ofTail(t, list), NOW, ZoneOffset.UTC)))
        .isEqualTo(lines);
    TechLog log = TechLog.of(lines.stream().filter(l -> l.tail().equals(new TailId("TL-DVA"))).toList());
    assertThat(log.deferrals(list, ZoneOffset.UTC)).extracting(d -> d.words())
        .containsExactly("52-1 Service door indicator");
    assertThat(log.deferrals(list, ZoneOffset.UTC).getFirst().lastDay()).as("10 days after the day before")
        .isEqualTo("2027-01-23");
  }

  @Test
  public void words_with_commas_quotes_and_lines_survive_the_csv() {
    TechEntry odd = new TechEntry(new TailId("TL-DVA"), NOW, new neatlanyard.core.fleet.CrewId("varga"),
        "Lio \"V\" Varga",
        new TechAct.Cleared(new UUID(1, 2), "changed, \"tested\",\r\nsigned"));
    assertThat(good(
        TechLogCsv.read(TechLogCsv.write(List.of(odd)), t -> DispatchList.none(new TypeId("x1")), NOW,
        ZoneOffset.UTC))).containsExactly(odd);
    assertThat(faults(
        TechLogCsv.read("tail,defect\r\nx,y\r\n", t -> DispatchList.none(new TypeId("x1")), NOW, ZoneOffset.UTC)))
        .hasSize(11).allMatch(f -> f.contains("is missing"));
  }

  /**
   * What a spreadsheet would take for a formula goes out behind an apostrophe (OWASP, CSV injection), and comes back
   * as it was.
   */
  @Test
  public void a_table_that_goes_out_is_safe_in_a_spreadsheet_and_comes_back_equal() {
    for (String words : List.of("=1+1", "+cmd|' /C calc'!A0", "-2", "@SUM(A1)", "'quoted", "''twice", "'=1", "''=1",
        "=", "'", "plain")) {
      TechEntry said = new TechEntry(new TailId("TL-DVA"), NOW, new neatlanyard.core.fleet.CrewId("varga"), "V",
          new TechAct.Cleared(new UUID(1, 2), words));
      String csv = TechLogCsv.write(List.of(said));
      String cell = csv.substring(csv.indexOf("\r\n") + 2).replaceAll("(?s).*,(\"?)([^,]*)\\1\r\n$", "$2");
      assertThat(cell).doesNotMatch("(?s)[=+\\-@].*");
      assertThat(good(TechLogCsv.read(csv, t -> DispatchList.none(new TypeId("x1")), NOW, ZoneOffset.UTC)))
          .containsExactly(said);
    }
  }

  @Test
  public void times_and_days_are_plausible_or_refused_with_what_would_be() {
    String head = "tail,defect,at,by,name,act,flight,place,step,entry,count,last-day,words\r\n";
    String line = "TL-DVA,00000000-0000-0001-0000-000000000002,%s,varga,V,extended,,,,,,%s,x\r\n";
    for (String[] odd : new String[][] {{"+1000000000-12-31T00:00:00Z", "2027-02-01"}, {"-P99999999D", "2027-02-01"},
        {"-PT3H", "+999999999-12-31"}, {"1815-01-01T00:00:00Z", "2027-02-01"}}) {
      assertThat(faults(
          TechLogCsv.read(head + line.formatted(odd[0], odd[1]), t -> DispatchList.none(new TypeId("x1")), NOW,
          ZoneOffset.UTC)))
          .as("%s", (Object) odd).isNotEmpty();
    }
    assertThat(good(
        TechLogCsv.read(head + line.formatted("-PT3H", "2027-02-01"), t -> DispatchList.none(new TypeId("x1")), NOW,
        ZoneOffset.UTC))).hasSize(1);
  }

  @Test
  public void readings_say_which_cell_does_not_fit() throws IOException {
    List<Reading> readings = good(ReadingsCsv.read(demo("readings.csv"), NOW));
    assertThat(readings).hasSizeGreaterThan(150).allMatch(r -> r.at().isBefore(NOW));
    assertThat(faults(
        ReadingsCsv.read(
        "tail,quantity,at,landings,hours,value\r\nTL-DVA,oil-left,-PT2H,1,2,1e9\r\nTL-DVA,oil-left,soon,-1,2,3\r\n",
        NOW)))
        .hasSize(3).anyMatch(f -> f.contains("line=2,") && f.contains("not a value anybody reads"))
        .anyMatch(f -> f.contains("'at' is 'soon'"));
  }

  /** Second opinion: the calendar library that others read it with finds the same days (RFC 5545). */
  @Test
  public void the_calendar_has_a_day_for_each_deferral() throws Exception {
    DispatchList list = good(DispatchListReader.read(demo("dispatch/dovrin-46.yaml")));
    List<TechEntry> lines = good(TechLogCsv.read(demo("tech-log.csv"), t -> ofTail(t, list), NOW, ZoneOffset.UTC))
        .stream().filter(l -> l.tail().value().equals("TL-DVC")).toList();
    String calendar = DueCalendar.of(new TailId("TL-DVC"), TechLog.of(lines).deferrals(list, ZoneOffset.UTC), NOW);
    assertThat(calendar).startsWith("BEGIN:VCALENDAR\r\n").contains("DTSTART;VALUE=DATE:20270110\r\n");
    assertThat(new CalendarBuilder().build(new java.io.StringReader(calendar)).getComponents("VEVENT")).hasSize(1);
    assertThat(LocalDate.ofInstant(NOW, ZoneOffset.UTC)).isAfter(LocalDate.of(2027, 1, 10));
  }
}
