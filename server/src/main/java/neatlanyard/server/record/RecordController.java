package neatlanyard.server.record;

import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.departure.TodaysFigures;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.log.DepartureLog.StoredEntry;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.record.Chain;
import neatlanyard.core.record.Seal;
import neatlanyard.core.state.DepartureState;
import neatlanyard.formats.record.EntryJson;
import neatlanyard.formats.record.RecordFile;
import neatlanyard.server.departure.Departures;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.record.RecordViews.KeyView;
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
  private final Seals seals;

  RecordController(Departures departures, FleetDesk fleet, HeavyWork heavy, Seals seals) {
    this.heavy = heavy;
    this.seals = seals;
    this.departures = departures;
    this.fleet = fleet;
  }

  @GetMapping("/api/departures/{id}/log")
  RecordView log(@PathVariable String id) {
    DepartureState d = departures.state(id);
    List<StoredEntry> kept = departures.entries(id);
    EntryWords words = new EntryWords(d.pack(), e -> covered(d, e));
    List<LineView> lines = kept.stream().map(k -> line(EntryJson.read(k.json()), k.hash(), words)).toList();
    String head = kept.getLast().hash();
    Optional<Chain.Break> broken = RecordFile.firstBreak(kept.stream().map(StoredEntry::json).toList());
    boolean tiedOff = d.tiedOff().isPresent();
    String said = broken.map(b -> "Entry %d: %s".formatted(b.number(), b.what()))
        .orElse(tiedOff ? "%d entries, the chain is whole".formatted(kept.size()) : "Not tied off yet");
    return new RecordView(lines, head, tiedOff, tiedOff && broken.isEmpty(), said);
  }

  /** What one pilot has entered alone is not read here by the other before they have entered theirs. */
  private static boolean covered(DepartureState d, Entry entry) {
    return d.tiedOff().isEmpty() && switch (entry.event()) {
      case Event.FigureEntered e -> TodaysFigures.covered(d, e.figure());
      case Event.TaxiCleared e -> d.taxi().covers(entry.number());
      default -> false;
    };
  }

  private static LineView line(Entry e, String hash, EntryWords words) {
    return new LineView(e.number(), e.at(), e.by().value(), e.seat(), words.of(e), hash);
  }

  private String file(List<StoredEntry> kept) {
    String head = kept.getLast().hash();
    return RecordFile.write(kept.stream().map(StoredEntry::json).toList(), head, seals.seal(head));
  }

  /**
   * The public keys of this installation, the newest first: for anybody, as records are checked without signing in.
   */
  @GetMapping("/api/record-keys")
  List<KeyView> keys() {
    return seals.keys().stream().map(k ->
        new KeyView(Seal.fingerprint(k.publicKey()), k.made(), Seal.pem(k.publicKey()))).toList();
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
    List<StoredEntry> kept = departures.entries(id);
    List<Entry> log = kept.stream().map(k -> EntryJson.read(k.json())).toList();
    ZoneId zone = fleet.fleet().airfield(d.state().opened().flight().from())
        .map(Airfield::zone).orElse(ZoneOffset.UTC);
    return attached(d, "pdf").body(
        heavy.run(who.id().value(), HeavyWork.Kind.PAGE, stop -> new RecordPage(d, zone)
        .pdf(log, kept.getLast().hash())));
  }

  private Departure tiedOff(String id) {
    Departure d = departures.departure(id);
    if (d.state().tiedOff().isEmpty()) {
      throw Problem.refused(
          new Refusal(RefusalCode.NOT_TIED_OFF,
              "There is no record before the tie-off.", "The commander ties off first."));
    }
    return d;
  }

  private static ResponseEntity.BodyBuilder attached(Departure d, String as) {
    ContentDisposition name = ContentDisposition.attachment()
        .filename("%s-%s.%s".formatted(d.state().opened().tail().id(), d.state().opened().flight().id(), as)).build();
    return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, name.toString());
  }
}
