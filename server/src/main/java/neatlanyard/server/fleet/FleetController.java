package neatlanyard.server.fleet;

import java.util.List;
import neatlanyard.server.fleet.FleetViews.BroughtIn;
import neatlanyard.server.fleet.FleetViews.OneTimePassword;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Bringing in a fleet and flights: by administrators, as both say who may do what. */
@RestController
class FleetController {
  private final FleetDesk desk;

  FleetController(FleetDesk desk) {
    this.desk = desk;
  }

  @PostMapping(path = "/api/fleet", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn fleet(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    List<OneTimePassword> given = desk.bringInFleet(text, who.id());
    return new BroughtIn("%s: %d tails, %d airfields, %d people.".formatted(
        desk.fleet().operator(), desk.fleet().tails().size(), desk.fleet().airfields().size(), desk.fleet().crew().size()), given);
  }

  @PostMapping(path = "/api/flights", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn flights(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    return new BroughtIn("%d flights.".formatted(desk.bringInFlights(text, who.id())), List.of());
  }

  /** Takes away a flight whose departure nobody has opened. */
  @DeleteMapping("/api/flights/{id}")
  void withdraw(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    who.mustAdminister();
    desk.withdraw(id, who.id());
  }
}
