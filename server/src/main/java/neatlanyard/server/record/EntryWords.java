package neatlanyard.server.record;

import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Facts;
import neatlanyard.core.log.TechState;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.formats.text.Doc;

/** Says each entry of a log in words. */
final class EntryWords {
  private final Map<StepId, Step> steps;
  private final Map<ProcedureId, String> procedures;
  private final Map<PlaceId, String> places;
  private final Map<PointId, String> points;

  EntryWords(Pack pack) {
    steps = pack.procedures().stream().flatMap(p -> p.steps().stream()).collect(Collectors.toMap(Step::id, s -> s));
    places = pack.places().stream().collect(Collectors.toMap(Place::id, Place::name));
    points = pack.points().stream().collect(Collectors.toMap(Point::id, Point::name));
    procedures = pack.procedures().stream().collect(Collectors.toMap(Procedure::id, Procedure::title));
  }

  String of(Entry entry) {
    return switch (entry.event()) {
      case Event.Opened e -> "Opened %s, %s, on %s revision %s".formatted(
          e.flight().number(), e.tail().id(), e.pack(), e.revision());
      case Event.SeatTaken e -> "Took the %s seat".formatted(Doc.written(e.seat()));
      case Event.DaySet e -> "Card cut: %s".formatted(e.day().report().text());
      case Event.StepDone e -> "%s: %s".formatted(challenge(e.step()), response(e.step()));
      case Event.StepNotToday e -> "%s: not today, %s".formatted(challenge(e.step()), e.reason());
      case Event.Measured e -> "%s: %s".formatted(challenge(e.step()), measured(e));
      case Event.ValueSaid e -> "%s: %s said".formatted(challenge(e.step()), e.value());
      case Event.AircraftRead e -> "The aircraft's controls (%s): %s".formatted(e.source(), e.states().stream()
          .map(this::state).collect(Collectors.joining(", ")));
      case Event.FlightFacts e -> facts(e.facts());
      case Event.FoundSo e -> "%s: found so, %s".formatted(challenge(e.step()), response(e.step()));
      case Event.Overridden e -> "%s: went past what keeps it closed, %s".formatted(challenge(e.step()), e.words());
      case Event.WaitSeen e -> "%s: wait seen over".formatted(challenge(e.step()));
      case Event.TagHung e -> "Tag hung by hand: %s, until the end of %s%s".formatted(
          e.words(), e.due().title(), e.calls()
              .map(c -> ", to call after %d min".formatted(
              Math.round(Duration.between(entry.happened(), c).toSeconds() / 60.0))).orElse(""));
      case Event.TagTaken e -> "Tag taken off by hand";
      case Event.Interrupted e -> "Called away";
      case Event.WentOn e -> "Went on";
      case Event.PanelHandedOver e ->
          "%s handed to the %s seat".formatted(places.getOrDefault(e.panel(), e.panel().value()), Doc.written(e.to()));
      case Event.DoesNotFit e -> "%s: does not fit, %s".formatted(challenge(e.step()), e.words());
      case Event.StepUndone e -> "%s: taken back".formatted(challenge(e.step()));
      case Event.StepLater e -> "%s: put aside, %s".formatted(challenge(e.step()), e.reason());
      case Event.LogTailRead e -> "Technical log read: %s".formatted(e.tail());
      case Event.TechStatus e -> techStatus(e.state());
      case Event.ReadBefore e -> "%d quantities read before on this tail".formatted(e.past().rows().size());
      case Event.FindRaised e -> "Find at %s: %s".formatted(challenge(e.step()), e.note());
      case Event.VerdictTaken e -> "Verdict: %s%s".formatted(
          e.verdict().words(), e.words().isBlank() ? "" : ", " + e.words());
      case Event.ChecklistStopped e -> "%s stopped".formatted(title(e.checklist()));
      case Event.ChecklistResumed e -> "%s resumed".formatted(title(e.checklist()));
      case Event.ControlsChecked e -> "Control check (%s): %s".formatted(e.source(), e.judgement().summary());
      case Event.TiedOff e -> e.accepted().isEmpty()
          ? "Tied off, cord bare"
          : "Tied off; " + e.accepted().stream()
              .map(a -> "%s may stay: %s".formatted(a.what(), a.reason())).collect(Collectors.joining("; "));
    };
  }

  private static String techStatus(TechState state) {
    String deferred = state.deferrals().stream()
        .map(d -> "%s until the end of %s%s".formatted(d.words(), d.lastDay(), d.bars().isEmpty() ? ""
        : " (bars the flight: %s)".formatted(d.bars())))
        .collect(Collectors.joining("; "));
    String settled = state.settled().stream().map(TechState.Settled::words).collect(Collectors.joining("; "));
    return "Technical log: %s%s".formatted(deferred.isEmpty() ? "nothing deferred" : deferred, settled.isEmpty() ? ""
        : "; " + settled);
  }

  private static String facts(Facts facts) {
    String ground = facts.elevations().stream().map(e -> "%s %d ft".formatted(e.name(), e.ft()))
        .collect(Collectors.joining(", "));
    String uses = facts.lastUses().stream().map(u -> "; %s last: %s".formatted(u.memory(), u.choice()))
        .collect(Collectors.joining());
    return "Of the flight: %s%s".formatted(ground, uses);
  }

  private String state(State s) {
    return "%s %s".formatted(points.getOrDefault(s.point(), s.point().value()), s.value());
  }

  private String challenge(StepId id) {
    Step step = steps.get(id);
    return step == null ? id.value() : step.challenge();
  }

  private String response(StepId id) {
    Step step = steps.get(id);
    return step == null ? "done" : step.response();
  }

  private String measured(Event.Measured e) {
    return Optional.ofNullable(steps.get(e.step())).flatMap(Step::measures)
        .map(m -> m.quantity().unit().words(e.value())).orElse(Double.toString(e.value()));
  }

  private String title(ProcedureId id) {
    return procedures.getOrDefault(id, id.value());
  }
}
