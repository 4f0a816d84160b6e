package neatlanyard.server.departure;

import java.time.InstantSource;
import java.time.ZoneId;
import java.time.ZoneOffset;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.work.HeavyWork;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The briefing with the figures, on a page to print. */
@RestController
class BriefingController {
  private final Departures departures;
  private final FleetDesk fleet;
  private final InstantSource clock;
  private final HeavyWork heavy;

  BriefingController(Departures departures, FleetDesk fleet, InstantSource clock, HeavyWork heavy) {
    this.departures = departures;
    this.fleet = fleet;
    this.clock = clock;
    this.heavy = heavy;
  }

  /** As the departure stands now; says on it what is not agreed and not read. */
  @GetMapping(path = "/api/departures/{id}/briefing.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> page(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    Departure d = departures.departure(id);
    ZoneId zone = fleet.fleet().airfield(d.state().opened().flight().from()).map(Airfield::zone)
        .orElse(ZoneOffset.UTC);
    String name = "%s-%s-briefing.pdf".formatted(d.state().opened().tail().id(), d.state().opened().flight().id());
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, ContentDisposition.inline().filename(name).build().toString())
        .body(heavy.run(who.id().value(), HeavyWork.Kind.PAGE, stop -> new BriefingPage(d, zone)
        .pdf(clock.instant())));
  }
}
