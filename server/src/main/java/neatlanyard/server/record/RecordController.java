package neatlanyard.server.record;

import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.departure.DepartureLog.Kept;
import neatlanyard.core.departure.Entry;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.formats.record.EntryJson;
import neatlanyard.formats.record.RecordFile;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.departure.Departures;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.record.RecordViews.LineView;
import neatlanyard.server.record.RecordViews.RecordView;
import neatlanyard.server.work.HeavyWork;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The record: to read on the screen at any time, to take away once it is tied off. */
@RestController
class RecordController {
  private final Departures departures;
  private final FleetDesk fleet;
  private final HeavyWork heavy;

  RecordController(Departures departures, FleetDesk fleet, HeavyWork heavy) {
    this.heavy = heavy;
    this.departures = departures;
    this.fleet = fleet;
  }

  @GetMapping("/api/departures/{id}/log")
  RecordView log(@PathVariable String id) {
    Departure d = departures.state(id);
    List<Kept> kept = departures.entries(id);
    EntryWords words = new EntryWords(d.pack());
    List<LineView> lines = kept.stream().map(k -> line(EntryJson.read(k.json()), k.hash(), words)).toList();
    String head = kept.getLast().hash();
    RecordFile.Check check = RecordFile.check(file(kept));
    boolean tiedOff = d.tiedOff().isPresent();
    boolean whole = check instanceof RecordFile.Check.Whole;
    String said = switch (check) {
      case RecordFile.Check.Whole w -> "%d entries, the chain is whole".formatted(w.entries());
      case RecordFile.Check.Altered a -> tiedOff ? "Entry %d: %s".formatted(a.number(), a.what()) : "Not tied off yet";
      case RecordFile.Check.NotARecord n -> n.what();
    };
    return new RecordView(lines, head, tiedOff, whole, said);
  }

  private static LineView line(Entry e, String hash, EntryWords words) {
    return new LineView(e.number(), e.at(), e.by().value(), e.seat().map(Doc::written).orElse(""), words.of(e), hash);
  }

  private static String file(List<Kept> kept) {
    return RecordFile.write(kept.stream().map(Kept::json).toList(), kept.getLast().hash());
  }

  /** The record as canonical JSON. @throws Problem while the departure is not tied off */
  @GetMapping(path = "/api/departures/{id}/record", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<String> record(@PathVariable String id) {
    Departure d = tiedOff(id);
    return attached(d, "json").body(file(departures.entries(id)));
  }

  /** The record in short, as a page. @throws Problem while the departure is not tied off */
  @GetMapping(path = "/api/departures/{id}/record.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> page(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    Departure d = tiedOff(id);
    List<Kept> kept = departures.entries(id);
    List<Entry> log = kept.stream().map(k -> EntryJson.read(k.json())).toList();
    ZoneId zone = fleet.fleet().airfield(d.opened().flight().from()).map(Airfield::zone).orElse(ZoneOffset.UTC);
    return attached(d, "pdf").body(
        heavy.run(who.id().value(), HeavyWork.Kind.PAGE, stop -> new RecordPage(d, zone).pdf(log, kept.getLast().hash())));
  }

  private Departure tiedOff(String id) {
    Departure d = departures.state(id);
    if (d.tiedOff().isEmpty()) {
      throw Problem.refused(new Refusal("not-tied-off", "There is no record before the tie-off.", "The commander ties off first."));
    }
    return d;
  }

  private static ResponseEntity.BodyBuilder attached(Departure d, String as) {
    ContentDisposition name = ContentDisposition.attachment()
        .filename("%s-%s.%s".formatted(d.opened().tail().id(), d.opened().flight().id(), as)).build();
    return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, name.toString());
  }
}
