package neatlanyard.server.walkaround;

import java.time.InstantSource;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Flights;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.walkaround.Photos.Pending;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.walkaround.PhotoViews.ReceivedView;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Photos over HTTP, part by part, so that a link that drops costs one part. */
@RestController
class PhotoController {
  private final PhotoDesk desk;
  private final Flights flights;
  private final InstantSource clock;

  PhotoController(PhotoDesk desk, Flights flights, InstantSource clock) {
    this.clock = clock;
    this.desk = desk;
    this.flights = flights;
  }

  @GetMapping("/api/photos/{id}/received")
  ReceivedView received(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
    mustLookAfterAircraft(who);
    return view(desk.here(id));
  }

  /** @param sha256 of the whole photo @param total its bytes @param from where this part begins */
  @PostMapping(path = "/api/departures/{departure}/photos/{id}", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ReceivedView part(
      @AuthenticationPrincipal SignedIn who, @PathVariable String departure, @PathVariable UUID id,
      @RequestParam String sha256,
      @RequestParam int total, @RequestParam int from, @RequestBody byte[] part) {
    Flight flight = flight(departure)
        .orElseThrow(() -> Problem.notFound("There is no flight '%s'.".formatted(departure)));
    if (flight.place(who.id()).isEmpty()) {
      throw Problem.of(HttpStatus.FORBIDDEN, RefusalCode.NOT_ROSTERED, "You are not on the crew of this flight.",
          "Its crew takes the photos.");
    }
    if (!sha256.matches("[0-9a-f]{64}") || from < 0) {
      throw Problem.bad(ProblemCode.BAD_PHOTO, "The photo's hash or place is not one.");
    }
    return view(desk.take(new Pending(id, flight.id(), sha256, total, 0, who.id(), clock.instant()), from, part));
  }

  /** A photo, for those who fly the aircraft or mend it. */
  @GetMapping(path = "/api/photos/{id}", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> photo(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
    mustLookAfterAircraft(who);
    return ResponseEntity.ok().cacheControl(CacheControl.maxAge(java.time.Duration.ofDays(30)).cachePrivate()
        .immutable())
        .body(desk.require(id).jpeg());
  }

  private static void mustLookAfterAircraft(SignedIn who) {
    if (!who.role().flies() && who.role() != Role.MAINTENANCE) {
      throw Problem.of(HttpStatus.FORBIDDEN, RefusalCode.NOT_YOUR_ROLE,
          "Photos of finds are for crews and maintenance control.", "Ask one of them.");
    }
  }

  private Optional<Flight> flight(String id) {
    try {
      return flights.find(new FlightId(id));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static ReceivedView view(PhotoDesk.Here here) {
    return new ReceivedView(here.received(), here.whole());
  }
}
