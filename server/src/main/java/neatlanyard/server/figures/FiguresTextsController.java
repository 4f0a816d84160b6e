package neatlanyard.server.figures;

import java.util.List;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.formats.figures.TakeoffTablesReader;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.figures.FiguresViews.FiguresBroughtIn;
import neatlanyard.server.figures.FiguresViews.FiguresTextView;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.SignedIn;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Brings in what figures rest on. */
@RestController
class FiguresTextsController {
  private final FiguresDesk desk;
  private final FleetDesk fleet;

  FiguresTextsController(FiguresDesk desk, FleetDesk fleet) {
    this.desk = desk;
    this.fleet = fleet;
  }

  @GetMapping("/api/figures-texts")
  List<FiguresTextView> all(@AuthenticationPrincipal SignedIn who) {
    who.mustAdminister();
    return desk.all().stream().map(t -> new FiguresTextView(
        Doc.written(t.kind()), t.type().map(TypeId::value).orElse(""), t.edition(),
        fleet.fleet().member(t.by()).map(CrewMember::name).orElse(t.by().value()), t.at(), t.sha256())).toList();
  }

  @PostMapping(path = "/api/take-off-tables", consumes = MediaType.TEXT_PLAIN_VALUE)
  FiguresBroughtIn tables(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    TakeoffTablesReader.Tables tables = desk.bringInTables(text, who.id());
    return new FiguresBroughtIn("%s, edition %s: flaps %s.".formatted(
        tables.type(), tables.edition(), String.join(", ", tables.tables().flaps())));
  }

  @PostMapping(path = "/api/type-figures", consumes = MediaType.TEXT_PLAIN_VALUE)
  FiguresBroughtIn type(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    TypeFigures type = desk.bringInType(text, who.id());
    return new FiguresBroughtIn("%s, edition %s: %d tails weighed.".formatted(
        type.type(), type.edition(), type.loading().weighings().size()));
  }

  @PostMapping(path = "/api/holdover", consumes = MediaType.TEXT_PLAIN_VALUE)
  FiguresBroughtIn holdover(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    Holdover holdover = desk.bringInHoldover(text, who.id());
    return new FiguresBroughtIn("Edition %s: %d rows.".formatted(holdover.edition(), holdover.rows().size()));
  }
}
