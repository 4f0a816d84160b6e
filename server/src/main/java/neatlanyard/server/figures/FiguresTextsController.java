package neatlanyard.server.figures;

import java.nio.charset.StandardCharsets;
import java.util.List;
import neatlanyard.core.figures.FiguresTexts;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.formats.figures.TakeoffTablesReader;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.figures.FiguresViews.FiguresTextView;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.FleetViews.BroughtIn;
import neatlanyard.server.fleet.SignedIn;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
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
  BroughtIn tables(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    TakeoffTablesReader.Tables tables = desk.bringInTables(text, who.id());
    return broughtIn("%s, edition %s: flaps %s.".formatted(
        tables.type(), tables.edition(), String.join(", ", tables.tables().flaps())));
  }

  @PostMapping(path = "/api/type-figures", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn type(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    TypeFigures type = desk.bringInType(text, who.id());
    return broughtIn("%s, edition %s: %d tails weighed.".formatted(
        type.type(), type.edition(), type.loading().weighings().size()));
  }

  @PostMapping(path = "/api/holdover", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn holdover(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    Holdover holdover = desk.bringInHoldover(text, who.id());
    return broughtIn("Edition %s: %d rows.".formatted(holdover.edition(), holdover.rows().size()));
  }

  private static BroughtIn broughtIn(String what) {
    return new BroughtIn(what, List.of());
  }

  /** A text as it was brought in, by its hash: one that a record names can be had long after another holds. */
  @GetMapping("/api/figures-texts/{sha256}")
  ResponseEntity<byte[]> text(@AuthenticationPrincipal SignedIn who, @PathVariable String sha256) {
    who.mustAdminister();
    FiguresTexts.Text text = desk.text(sha256);
    String name = "%s%s-%s.yaml".formatted(text.type().map(t -> t.value() + "-").orElse(""),
        Doc.written(text.kind()), text.edition());
    return ResponseEntity.ok().contentType(MediaType.APPLICATION_OCTET_STREAM)
        .header(HttpHeaders.CONTENT_DISPOSITION, ContentDisposition.attachment().filename(name).build().toString())
        .body(text.content().getBytes(StandardCharsets.UTF_8));
  }
}
