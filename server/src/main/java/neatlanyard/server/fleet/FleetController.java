package neatlanyard.server.fleet;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.server.fleet.FleetViews.BroughtIn;
import neatlanyard.server.fleet.FleetViews.FleetView;
import neatlanyard.server.fleet.FleetViews.OneTimePassword;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
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
    return inForce(desk.bringInFleet(text, who.id()));
  }

  private BroughtIn inForce(List<OneTimePassword> given) {
    Fleet fleet = desk.fleet();
    return new BroughtIn("%s: %d tails, %d airfields, %d people.".formatted(
        fleet.operator(), fleet.tails().size(), fleet.airfields().size(), fleet.crew().size()), given);
  }

  /** The fleet in force; nothing where none was brought in. */
  @GetMapping("/api/fleet")
  Optional<FleetView> fleet(@AuthenticationPrincipal SignedIn who) {
    who.mustAdminister();
    Fleet fleet = desk.fleet();
    return desk.inForce().map(t -> new FleetView(
        fleet.operator(), fleet.tails().size(), fleet.airfields().size(), fleet.crew().size(),
        fleet.member(t.by()).map(CrewMember::name).orElse(t.by().value()), t.at(), t.sha256(), desk.mayBeWithdrawn()));
  }

  /**
   * Withdraws the fleet in force before it is used: the one before it is in force again.
   *
   * @param edition which it was seen to be
   */
  @DeleteMapping("/api/fleet")
  BroughtIn withdrawFleet(@AuthenticationPrincipal SignedIn who, @RequestParam String edition) {
    who.mustAdminister();
    return inForce(desk.withdrawFleet(edition, who.id()));
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
