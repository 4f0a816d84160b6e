package neatlanyard.server.sop;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.Change;
import neatlanyard.core.sop.Changes;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.Revision.Signed;
import neatlanyard.formats.sop.PackWriter;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.FleetViews.BroughtIn;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.sop.PackDesk.RevisedPack;
import neatlanyard.server.sop.SopViews.ChangesView;
import neatlanyard.server.sop.SopViews.CheckView;
import neatlanyard.server.sop.SopViews.EditorView;
import neatlanyard.server.sop.SopViews.NewRevision;
import neatlanyard.server.sop.SopViews.PackView;
import neatlanyard.server.sop.SopViews.Publication;
import neatlanyard.server.sop.SopViews.ReaderView;
import neatlanyard.server.sop.SopViews.RevisionView;
import neatlanyard.server.work.HeavyWork;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Packs: bringing in, editing, checking, publishing, reading what changed. */
@RestController
class PackController {
  private final PackDesk desk;
  private final Reading reading;
  private final FleetDesk fleet;
  private final PackViewer viewer;
  private final HeavyWork heavy;

  PackController(PackDesk desk, Reading reading, FleetDesk fleet, PackViewer viewer, HeavyWork heavy) {
    this.heavy = heavy;
    this.desk = desk;
    this.reading = reading;
    this.fleet = fleet;
    this.viewer = viewer;
  }

  @GetMapping("/api/packs")
  List<RevisionView> packs(@AuthenticationPrincipal SignedIn who) {
    return desk.all().stream().filter(k -> mayRead(k, who)).map(viewer::revision).toList();
  }

  /** Brings in a pack as a draft. @param over the edition it replaces; 0 where there is no draft of that name yet */
  @PostMapping(path = "/api/packs", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn bringIn(@AuthenticationPrincipal SignedIn who, @RequestParam(defaultValue = "0") long over,
      @RequestBody String text) {
    mustDraw(who);
    RevisedPack k = desk.save(text, over, who.id(), who.role());
    return new BroughtIn("%s, revision %s: %d steps, %s.".formatted(
        k.pack().title(), k.pack().revision(), PackViewer.steps(k.pack()), desk.words(k.revision())), List.of());
  }

  @GetMapping("/api/packs/editor")
  EditorView editor() {
    return PackViewer.editor(fleet.fleet().airfields());
  }

  /** Says what is wrong with a pack and keeps nothing of it. Work for the server, so for those whose work it is. */
  @PostMapping(path = "/api/packs/reading", consumes = MediaType.TEXT_PLAIN_VALUE)
  CheckView check(@AuthenticationPrincipal SignedIn who, @RequestBody String text, HttpServletResponse response) {
    mustDrawOrCheck(who);
    PackDesk.Checked checked = desk.check(text, who.id(), () -> stillThere(response));
    return PackViewer.check(checked.faults(), checked.findings());
  }

  /** A blank before the answer, which JSON allows (RFC 8259, 2): writing it fails when nobody reads it any more. */
  private static void stillThere(HttpServletResponse response) throws IOException {
    response.setContentType(MediaType.APPLICATION_JSON_VALUE);
    response.getOutputStream().write(' ');
    response.flushBuffer();
  }

  @GetMapping("/api/packs/{id}/{revision}")
  PackView one(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @PathVariable String revision) {
    RevisedPack k = known(id, revision, who);
    return new PackView(viewer.revision(k), PackWriter.json(k.pack()), PackViewer.findings(desk.findings(k)));
  }

  /** The text as it was brought in or saved last. */
  @GetMapping("/api/packs/{id}/{revision}/file")
  ResponseEntity<byte[]> file(@AuthenticationPrincipal SignedIn who, @PathVariable String id,
      @PathVariable String revision) {
    RevisedPack k = known(id, revision, who);
    String name = "%s-%s.yaml".formatted(k.pack().id(), k.pack().revision().replaceAll("[^A-Za-z0-9.-]", "_"));
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, ContentDisposition.attachment().filename(name).build().toString())
        .contentType(MediaType.APPLICATION_OCTET_STREAM)
        .body(k.revision().text().getBytes(StandardCharsets.UTF_8));
  }

  /** Saves an edited draft. @param document the pack as JSON @param edition the one it was made from */
  @PostMapping(path = "/api/packs/{id}/{revision}/draft", consumes = MediaType.TEXT_PLAIN_VALUE)
  PackView save(
      @AuthenticationPrincipal SignedIn who, @PathVariable String id, @PathVariable String revision,
      @RequestParam long edition,
      @RequestBody String document) {
    mustDraw(who);
    Pack pack = desk.read(document, who.id());
    if (!pack.id().equals(pack(id)) || !pack.revision().equals(revision)) {
      throw Problem.bad(ProblemCode.OTHER_REVISION,
          "The document is %s revision %s, not %s revision %s.".formatted(pack.id(), pack.revision(), id, revision));
    }
    RevisedPack k = desk.save(PackWriter.yaml(pack), edition, who.id(), who.role());
    return new PackView(viewer.revision(k), PackWriter.json(k.pack()), PackViewer.findings(desk.findings(k)));
  }

  /** Begins a new draft from a revision. */
  @PostMapping("/api/packs/{id}/{revision}/next")
  RevisionView next(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @PathVariable String revision,
      @RequestBody NewRevision form) {
    mustDraw(who);
    String name = form.revision() == null ? "" : form.revision().strip();
    if (!name.matches("[A-Za-z0-9][A-Za-z0-9.-]{0,29}")) {
      throw Problem.bad(ProblemCode.BAD_NAME,
          "'%s' is not a revision: up to 30 letters, digits, dots or hyphens.".formatted(name));
    }
    if (desk.all().stream().anyMatch(k -> k.pack().id().equals(pack(id)) && k.revision().name().equals(name))) {
      throw Problem.bad(ProblemCode.REVISION_EXISTS,
          "There is a revision %s already; give yours another name.".formatted(name));
    }
    Pack pack = PackViewer.renamed(known(id, revision, who).pack(), name);
    return viewer.revision(desk.save(PackWriter.yaml(pack), 0, who.id(), who.role()));
  }

  @PostMapping("/api/packs/{id}/{revision}/check")
  RevisionView checked(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @PathVariable String revision,
      @RequestParam long edition) {
    return viewer.revision(desk.check(pack(id), revision, edition, who.id(), who.role()));
  }

  @PostMapping("/api/packs/{id}/{revision}/publish")
  RevisionView publish(
      @AuthenticationPrincipal SignedIn who, @PathVariable String id, @PathVariable String revision,
      @RequestParam long edition,
      @RequestBody Publication form) {
    if (form.effective() == null) {
      throw Problem.bad(ProblemCode.NO_DAY, "The day from which it holds is missing.");
    }
    return viewer.revision(desk.publish(pack(id), revision, edition, form.effective(), who.id(), who.role()));
  }

  @DeleteMapping("/api/packs/{id}/{revision}")
  void discard(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @PathVariable String revision,
      @RequestParam long edition) {
    desk.discard(pack(id), revision, edition, who.role());
  }

  /**
   * What changed between two revisions.
   *
   * @param since the earlier one
   * @param tail only what a tail can bring up
   * @param seat only what touches a seat: left, right or engineer
   * @param role only what touches the seats of a role: captain, first-officer or engineer
   */
  @GetMapping("/api/packs/{id}/{revision}/changes")
  ChangesView changes(
      @AuthenticationPrincipal SignedIn who, @PathVariable String id, @PathVariable String revision,
      @RequestParam String since,
      @RequestParam Optional<String> tail, @RequestParam Optional<String> seat, @RequestParam Optional<String> role) {
    RevisedPack to = known(id, revision, who);
    RevisedPack from = known(id, since, who);
    List<Change> changes = heavy.run(who.id().value(), HeavyWork.Kind.PAGE, stop ->
        Changes.between(from.pack(), to.pack()));
    Set<Seat> seats = seat.map(s -> Set.of(seat(s))).orElse(Set.of(Seat.values()));
    Set<Seat> rolesSeats = role.map(r -> Reading.seats(role(r))).orElse(Set.of(Seat.values()));
    List<Change> filtered = changes.stream().filter(c -> c.concerns(seats) && c.concerns(rolesSeats))
        .filter(c -> onTail(c, from, to, tail)).toList();
    return view(who, from, to, filtered, tail);
  }

  private ChangesView view(SignedIn who, RevisedPack from, RevisedPack to, List<Change> changes,
      Optional<String> tail) {
    boolean read = reading.readers(to).stream().map(Signed::by).anyMatch(who.id()::equals);
    boolean owed = to.revision().published().isPresent() && reading.owed(to, who.id(), who.role()).isPresent();
    return new ChangesView(viewer.revision(from), viewer.revision(to),
        changes.stream().map(c -> PackViewer.change(c, onTail(c, from, to, tail))).toList(), read, owed);
  }

  private static boolean onTail(Change c, RevisedPack from, RevisedPack to, Optional<String> tail) {
    if (tail.isEmpty()) {
      return true;
    }
    List<Tail> tails = Stream.of(from.pack(), to.pack()).flatMap(p -> p.tail(tail(tail.get())).stream()).toList();
    return tails.isEmpty() || tails.stream()
        .anyMatch(t -> c.concerns(t, to.pack().policy()) || c.concerns(t, from.pack().policy()));
  }

  /** What the one who asks has to read, each with what changed since the revision they know. */
  @GetMapping("/api/reading")
  List<ChangesView> owed(@AuthenticationPrincipal SignedIn who) {
    return reading.owed(who.id(), who.role()).stream()
        .map(o -> view(who, o.since(), o.to(), o.changes(), Optional.empty())).toList();
  }

  @PostMapping("/api/packs/{id}/{revision}/acknowledge")
  void acknowledge(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @PathVariable String revision) {
    reading.acknowledge(known(id, revision, who), who.id());
  }

  /** Who of those who fly has read a published revision, and whom it concerns. */
  @GetMapping("/api/packs/{id}/{revision}/readers")
  List<ReaderView> readers(@AuthenticationPrincipal SignedIn who, @PathVariable String id,
      @PathVariable String revision) {
    mustDrawOrCheck(who);
    RevisedPack to = known(id, revision, who);
    List<Signed> read = reading.readers(to);
    return fleet.fleet().crew().stream().filter(m -> m.role().flies()).map(m -> reader(m, to, read)).toList();
  }

  private ReaderView reader(CrewMember m, RevisedPack to, List<Signed> read) {
    Optional<Signed> signed = read.stream().filter(s -> s.by().equals(m.id())).findFirst();
    boolean concerned = signed.isPresent() || reading.owed(to, m.id(), m.role()).isPresent();
    return new ReaderView(m.id().value(), m.name(), Doc.written(m.role()).replace('-', ' '), concerned,
        signed.map(Signed::at));
  }

  private static void mustDraw(SignedIn who) {
    if (!who.role().draws()) {
      throw Problem.of(HttpStatus.FORBIDDEN, RefusalCode.NOT_YOUR_ROLE, "Only fleet standards draw up packs.",
          "Ask fleet standards, or say on a step that it does not fit.");
    }
  }

  static void mustDrawOrCheck(SignedIn who) {
    if (!who.role().draws() && !who.role().checksPacks()) {
      throw Problem.of(HttpStatus.FORBIDDEN, RefusalCode.NOT_YOUR_ROLE,
          "This is for those who draw up or check packs.",
          "Ask fleet standards.");
    }
  }

  /** @throws Problem if there is none, or it is a draft and not this person's work */
  private RevisedPack known(String id, String revision, SignedIn who) {
    RevisedPack known = desk.one(pack(id), revision);
    if (!mayRead(known, who)) {
      mustDrawOrCheck(who);
    }
    return known;
  }

  /** What is not published yet is for those who draw it up or check it. */
  private static boolean mayRead(RevisedPack known, SignedIn who) {
    return known.revision().published().isPresent() || who.role().draws() || who.role().checksPacks();
  }

  private static PackId pack(String id) {
    return PackViewer.named(id, PackId::new, "pack");
  }

  private static TailId tail(String id) {
    return PackViewer.named(id, TailId::new, "tail");
  }

  private static Role role(String name) {
    return Stream.of(Role.values()).filter(r -> r.flies() && Doc.written(r).equals(name)).findFirst()
        .orElseThrow(() -> Problem.bad(ProblemCode.NO_SUCH_ROLE,
        "'%s' is not a role that flies; known are: captain, first-officer, engineer.".formatted(name)));
  }

  private static Seat seat(String name) {
    return Stream.of(Seat.values()).filter(s -> Doc.written(s).equals(name)).findFirst()
        .orElseThrow(() -> Problem.bad(RefusalCode.NO_SUCH_SEAT,
        "'%s' is not a seat; known are: left, right, engineer.".formatted(name)));
  }
}
