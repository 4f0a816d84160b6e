package neatlanyard.server.sop;

import java.util.List;
import neatlanyard.core.sop.Pack;
import neatlanyard.server.fleet.FleetViews.BroughtIn;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.sop.SopViews.PackView;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The packs that are there, and bringing in another. */
@RestController
class PackController {
  private final PackDesk desk;

  PackController(PackDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/api/packs")
  List<PackView> packs() {
    return desk.all().stream()
        .map(k -> new PackView(
            k.pack().id().value(), k.pack().revision(), k.pack().title(), k.pack().type().value(), steps(k.pack()),
            k.document().sha256(), k.document().by().value(), k.document().at()))
        .toList();
  }

  @PostMapping(path = "/api/packs", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn bringIn(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustBringIn();
    Pack pack = desk.bringIn(text, who.id());
    return new BroughtIn("%s, revision %s: %d steps.".formatted(pack.title(), pack.revision(), steps(pack)), List.of());
  }

  private static int steps(Pack pack) {
    return pack.procedures().stream().mapToInt(p -> p.steps().size()).sum();
  }
}
