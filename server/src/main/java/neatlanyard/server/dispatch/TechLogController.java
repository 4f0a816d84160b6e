package neatlanyard.server.dispatch;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import neatlanyard.core.dispatch.Defect;
import neatlanyard.core.dispatch.Deferral;
import neatlanyard.core.dispatch.DispatchList;
import neatlanyard.core.dispatch.DispatchList.Entry;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.dispatch.TechAct;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Registered;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.units.Plausible;
import neatlanyard.formats.dispatch.DueCalendar;
import neatlanyard.formats.dispatch.TechLogCsv;
import neatlanyard.server.dispatch.TechViews.ActForm;
import neatlanyard.server.dispatch.TechViews.BroughtInView;
import neatlanyard.server.dispatch.TechViews.DefectView;
import neatlanyard.server.dispatch.TechViews.HappenedView;
import neatlanyard.server.dispatch.TechViews.ImportView;
import neatlanyard.server.dispatch.TechViews.ListEntryView;
import neatlanyard.server.dispatch.TechViews.TailLine;
import neatlanyard.server.dispatch.TechViews.TechLogView;
import neatlanyard.server.dispatch.TechViews.TermsView;
import neatlanyard.server.files.TextFile;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.work.HeavyWork;
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
import org.springframework.web.bind.annotation.RestController;

/** The technical logs over HTTP: read by all, written by maintenance control, out as CSV, calendar and page. */
@RestController
class TechLogController {
  private final TechDesk desk;
  private final HeavyWork heavy;

  TechLogController(TechDesk desk, HeavyWork heavy) {
    this.heavy = heavy;
    this.desk = desk;
  }

  @GetMapping("/api/tails")
  List<TailLine> tails() {
    Instant now = desk.now();
    return desk.tails().stream().map(t -> {
      List<Deferral> deferred = desk.deferrals(t.id(), t.type());
      long open = desk.log(t.id()).all().stream().filter(d -> !d.cleared() && d.deferred().isEmpty()).count();
      return new TailLine(
          t.id().value(), t.type().value(), (int) open, deferred.size(), (int) deferred.stream()
          .filter(d -> d.runOut(now)).count(),
          deferred.stream().map(Deferral::lastDay).min(LocalDate::compareTo));
    }).toList();
  }

  @GetMapping("/api/tails/{tail}/log")
  TechLogView log(@AuthenticationPrincipal SignedIn who, @PathVariable String tail) {
    Registered t = desk.tail(tail);
    DispatchList list = desk.list(t.type());
    List<Defect> all = desk.log(t.id()).all();
    return new TechLogView(
        tail, t.type().value(), list.words(),
        who.role() == Role.MAINTENANCE,
        all.stream().filter(d -> !d.cleared() && d.deferred().isEmpty()).map(d -> view(d, list)).toList(),
        all.stream().filter(d -> d.deferred().isPresent()).map(d -> view(d, list)).toList(),
        all.reversed().stream().filter(Defect::cleared).map(d -> view(d, list)).toList(),
        list.entries().stream().map(e -> new ListEntryView(
            e.id().value(), e.title(), e.category().name(), e.days() > 0 ? e.days() : e.category().days(),
            e.mayBeOut())).toList());
  }

  private DefectView view(Defect d, DispatchList list) {
    Instant now = desk.now();
    Optional<TermsView> terms = d.deferred().map(t -> {
      Optional<Entry> e = list.entry(t.entry());
      long left = java.time.temporal.ChronoUnit.DAYS.between(LocalDate.ofInstant(now, desk.zone()), t.lastDay());
      boolean mayBeExtended = t.extended() == 0 && left >= 0 && e.filter(x -> x.category().mayBeExtended())
          .isPresent();
      return new TermsView(
          t.entry().value(), e.map(Entry::title).orElse("not in the list in force"), e.map(x -> x.category().name())
          .orElse(""), t.count(),
          t.lastDay(), Deferral.left(left), left < 0, mayBeExtended, t.lastDay()
          .plusDays(e.map(x -> x.category().days()).orElse(0)),
          e.map(Entry::operating).orElse(""), e.map(Entry::placard).orElse(""));
    });
    return new DefectView(
        d.id().toString(), d.raised().what(), d.raised().place().map(PlaceId::value).orElse(""), d.first().name(),
        d.first().at(), terms,
        d.lines().stream().map(l -> new HappenedView(l.at(), l.name(), l.act().told())).toList());
  }

  @PostMapping("/api/tails/{tail}/log")
  TechLogView write(@AuthenticationPrincipal SignedIn who, @PathVariable String tail, @RequestBody ActForm form) {
    Registered t = desk.tail(tail);
    desk.write(t, act(form, t), who);
    return log(who, tail);
  }

  private TechAct act(ActForm form, Registered tail) {
    String words = form.words().orElse("").strip();
    try {
      UUID defect = form.defect().map(UUID::fromString).orElseGet(UUID::randomUUID);
      return switch (form.kind() == null ? "" : form.kind()) {
        case "raised" -> new TechAct.Raised(defect, Optional.empty(), Optional.empty(), Optional.empty(), words);
        case "deferred" -> {
          EntryId entry = new EntryId(form.entry().orElse(""));
          yield new TechAct.Deferred(defect, entry, form.count().orElse(1), day(form)
              .orElseGet(() -> latest(tail, defect, entry)), words);
        }
        case "extended" -> new TechAct.Extended(
            defect, day(form).orElseThrow(() -> new IllegalArgumentException("An extension wants its last day.")),
                words);
        case "cleared" -> new TechAct.Cleared(defect, words);
        default -> throw new IllegalArgumentException(
            "'%s' is not raised, deferred, extended or cleared.".formatted(form.kind()));
      };
    } catch (IllegalArgumentException e) {
      throw Problem.bad(ProblemCode.BAD_LINE, String.valueOf(e.getMessage()));
    }
  }

  private Optional<LocalDate> day(ActForm form) {
    return form.lastDay().map(d -> Plausible.checked(d, desk.now()));
  }

  /** The day the entry allows, counted from when the defect was found. */
  private LocalDate latest(Registered tail, UUID defect, EntryId id) {
    Instant raised = desk.log(tail.id()).defect(defect).map(d -> d.first().at()).orElse(desk.now());
    return desk.list(tail.type()).entry(id).map(e -> e.lastDay(raised, desk.zone()))
        .orElse(LocalDate.ofInstant(raised, desk.zone()));
  }

  @GetMapping("/api/tails/{tail}/log.csv")
  ResponseEntity<String> csv(@PathVariable String tail) {
    Registered t = desk.tail(tail);
    return TextFile.csv("%s-technical-log.csv".formatted(tail), TechLogCsv.write(desk.lines(t.id())));
  }

  @GetMapping("/api/tails/{tail}/due.ics")
  ResponseEntity<String> calendar(@PathVariable String tail) {
    Registered t = desk.tail(tail);
    return TextFile.of("text/calendar", "%s-due.ics".formatted(tail),
        DueCalendar.of(t.id(), desk.deferrals(t.id(), t.type()), desk.now()));
  }

  @GetMapping("/api/tails/{tail}/log.pdf")
  ResponseEntity<byte[]> page(@AuthenticationPrincipal SignedIn who, @PathVariable String tail) {
    return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF)
        .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"%s-technical-log.pdf\"".formatted(tail))
        .body(heavy.run(who.id().value(), HeavyWork.Kind.PAGE, stop ->
        TechPage.pdf(log(who, tail), desk.now(), desk.zone())));
  }

  @PostMapping(path = "/api/tech-log", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtInView bringIn(@AuthenticationPrincipal SignedIn who, @RequestBody String csv) {
    maintenance(who);
    return new BroughtInView("%d new lines.".formatted(imported(who, () -> desk.bringInLog(csv, who.id()))));
  }

  @PostMapping(path = "/api/readings", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtInView readings(@AuthenticationPrincipal SignedIn who, @RequestBody String csv) {
    maintenance(who);
    return new BroughtInView("%d readings.".formatted(imported(who, () -> desk.bringInReadings(csv, who.id()))));
  }

  @PostMapping(path = "/api/control-history", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtInView checks(@AuthenticationPrincipal SignedIn who, @RequestBody String csv) {
    maintenance(who);
    return new BroughtInView("%d control checks.".formatted(imported(who, () -> desk.bringInChecks(csv, who.id()))));
  }

  @GetMapping("/api/imports")
  List<ImportView> imports(@AuthenticationPrincipal SignedIn who) {
    maintenance(who);
    return desk.imports().stream().map(i -> new ImportView(
        i.number(), i.what().words(), desk.name(i.by()), i.at(), i.tails().stream().map(TailId::value).toList(),
        i.rows(), i.standing())).toList();
  }

  /** Withdraws a file that nobody has gone by yet: its lines count no more. */
  @DeleteMapping("/api/imports/{number}")
  void withdraw(@AuthenticationPrincipal SignedIn who, @PathVariable int number) {
    maintenance(who);
    desk.withdraw(number);
  }

  @PostMapping(path = "/api/dispatch-lists", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtInView list(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    maintenance(who);
    DispatchList list = imported(who, () -> desk.bringInList(text, who.id()));
    return new BroughtInView(
        "%s, revision %s: %d entries.".formatted(list.title(), list.revision(), list.entries().size()));
  }

  @GetMapping("/api/dispatch-lists/{type}")
  ResponseEntity<String> list(@PathVariable String type) {
    try {
      return TextFile.of("text/plain", "%s-dispatch-list.yaml".formatted(type), desk.listText(new TypeId(type))
          .orElseThrow(() ->
          Problem.notFound("There is no list for '%s'.".formatted(type))));
    } catch (IllegalArgumentException e) {
      throw Problem.notFound("There is no list for that type.");
    }
  }

  private <T> T imported(SignedIn who, Supplier<T> work) {
    return heavy.run(who.id().value(), HeavyWork.Kind.IMPORT, stop -> work.get());
  }

  private static void maintenance(SignedIn who) {
    if (who.role() != Role.MAINTENANCE) {
      throw Problem.of(HttpStatus.FORBIDDEN, RefusalCode.NOT_YOUR_ROLE,
          "Only maintenance control brings in dispatch lists, logs and readings.", "Ask maintenance control.");
    }
  }
}
