package neatlanyard.server.fleet;

import java.util.List;
import java.util.Locale;
import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.server.fleet.FleetViews.AccountView;
import neatlanyard.server.fleet.FleetViews.BroughtIn;
import neatlanyard.server.fleet.FleetViews.OneTimePassword;
import neatlanyard.server.problem.Problem;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Bringing in a fleet and flights, and who may sign in. */
@RestController
class FleetController {
  private final FleetDesk desk;
  private final Accounts accounts;
  private final SignIns signIns;

  FleetController(FleetDesk desk, Accounts accounts, SignIns signIns) {
    this.desk = desk;
    this.accounts = accounts;
    this.signIns = signIns;
  }

  @PostMapping(path = "/api/fleet", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn fleet(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustBringIn();
    List<OneTimePassword> given = desk.bringInFleet(text, who.id());
    return new BroughtIn("%s: %d tails, %d airfields, %d people.".formatted(
        desk.fleet().operator(), desk.fleet().tails().size(), desk.fleet().airfields().size(), desk.fleet().crew().size()), given);
  }

  @PostMapping(path = "/api/flights", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn flights(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustBringIn();
    return new BroughtIn("%d flights.".formatted(desk.bringInFlights(text)), List.of());
  }

  @GetMapping("/api/accounts")
  List<AccountView> accounts(@AuthenticationPrincipal SignedIn who) {
    who.mustAdminister();
    return accounts.all().stream()
        .map(a -> new AccountView(a.id().value(), a.name(), a.role().name().toLowerCase(Locale.ROOT).replace('_', ' '), a.mustChange()))
        .toList();
  }

  @PostMapping("/api/accounts/{id}/one-time-password")
  OneTimePassword oneTime(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    who.mustAdminister();
    return accounts.all().stream().filter(a -> a.id().value().equals(id)).findFirst()
        .map(a -> new OneTimePassword(id, a.name(), signIns.oneTime(new CrewId(id), a.name(), a.role())))
        .orElseThrow(() -> Problem.notFound("There is no sign-in '%s'.".formatted(id)));
  }
}
