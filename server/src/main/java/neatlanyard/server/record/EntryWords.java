package neatlanyard.server.record;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.figures.Difference;
import neatlanyard.core.figures.FigureInput;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.Limit;
import neatlanyard.core.figures.WorkedOut;
import neatlanyard.core.fleet.Seating;
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
import neatlanyard.core.units.Numbers;
import neatlanyard.core.units.Words;

/** Says each entry of a log in words. */
final class EntryWords {
  private final Map<StepId, Step> steps;
  private final Map<ProcedureId, String> procedures;
  private final Map<PlaceId, String> places;
  private final Map<PointId, String> points;

  private final Seating seating;

  private final Predicate<Entry> covered;

  /** @param covered whether what somebody entered must not be shown yet */
  EntryWords(Pack pack, Predicate<Entry> covered) {
    this.covered = covered;
    seating = pack.planform().seating();
    steps = pack.procedures().stream().flatMap(p -> p.steps().stream()).collect(Collectors.toMap(Step::id, s -> s));
    places = pack.places().stream().collect(Collectors.toMap(Place::id, Place::name));
    points = pack.points().stream().collect(Collectors.toMap(Point::id, Point::name));
    procedures = pack.procedures().stream().collect(Collectors.toMap(Procedure::id, Procedure::title));
  }

  String of(Entry entry) {
    return switch (entry.event()) {
      case Event.Opened e -> "Opened %s, %s, on %s revision %s".formatted(
          e.flight().number(), e.tail().id(), e.pack(), e.revision());
      case Event.SeatTaken e -> "Took the %s seat".formatted(seating.name(e.seat()));
      case Event.DaySet e -> "Card cut: %s".formatted(e.day().report().text());
      case Event.StepDone e -> "%s: %s".formatted(challenge(e.step()), response(e.step()));
      case Event.StepNotToday e -> "%s: not today, %s".formatted(challenge(e.step()), e.reason());
      case Event.Measured e -> "%s: %s".formatted(challenge(e.step()), measured(e));
      case Event.ValueSaid e -> "%s: %s said".formatted(challenge(e.step()), e.value());
      case Event.AircraftRead e -> "The aircraft's controls (%s): %s".formatted(e.source(), e.states().stream()
          .map(this::state).collect(Collectors.joining(", ")));
      case Event.FlightFacts e -> facts(e.facts());
      case Event.RunwayReported e -> "Runway condition: %s".formatted(e.condition().words());
      case Event.TowerWindSaid e -> e.wind().map(w -> "Tower wind: %s".formatted(w.words()))
          .orElse("The report's wind counts again");
      case Event.ElsewhereReported e -> "%s: %s".formatted(e.name(), e.report().text());
      case Event.LoadSheetTaken e -> "Load sheet, edition %d (%s): zero fuel %s, fuel %s".formatted(
          e.sheet().edition(), e.source(), kg(e.sheet().stated().zeroFuelKg()), kg(e.sheet().allFuelKg()));
      case Event.LoadSheetChanged e -> e.change().none() ? "Load sheet: no change by hand after all"
          : "Load sheet changed by hand: %s".formatted(e.change().words());
      case Event.TakeoffChosen e -> "Take-off chosen: " + chosen(e);
      case Event.DeIced e -> e.applied().map(a -> "De-iced: %s %s, last application begun %s".formatted(
          a.fluid(), a.mix(), a.lastBegan().toString().substring(11, 16))).orElse("De-icing taken back");
      case Event.FiguresWorked e -> worked(e.worked());
      case Event.FigureEntered e -> "%s: %s".formatted(Words.first(e.figure().words()),
          covered.test(entry) ? "entered, covered until the other has"
          : "%s %s entered".formatted(e.value(), e.figure().unit()).replace("  ", " "));
      case Event.FigureDiffered e -> differed(e.difference());
      case Event.FigureTaken e -> "%s: %s taken, %s".formatted(
          Words.first(e.figure().words()), e.value(), e.words());
      case Event.BriefingWorded e -> e.words().isBlank() ? "%s: briefed as it is put together".formatted(
          challenge(e.line())) : "%s: in the crew's words, %s".formatted(challenge(e.line()), e.words());
      case Event.BriefingRead e -> "Briefing read. %s".formatted(e.lines().stream()
          .map(l -> "%s: %s".formatted(challenge(l.line()), l.words())).collect(Collectors.joining(" \u00b7 ")));
      case Event.BriefingHeard e -> "Briefing heard: %s".formatted(
          e.lines().stream().map(this::challenge).collect(Collectors.joining(", ")));
      case Event.TaxiCleared e -> covered.test(entry) ? "Clearance said, covered until the other has"
          : "Taxi clearance: %s".formatted(e.clearance().words());
      case Event.BrakesRead e -> "Brakes read: %d \u00b0C, %s".formatted(e.hottestC(), e.fan() ? "fan on" : "fan off");
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
          "%s handed to the %s seat".formatted(places.getOrDefault(e.panel(), e.panel().value()),
          seating.name(e.to()));
      case Event.PlanChosen e -> "To gain %d min: %s".formatted(Math.round(e.earlierS() / 60.0), e.words());
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
      case Event.ControlsSeen e -> "Control check by eye, nothing measured: %d of %d movements as they should be"
          .formatted(e.sightings().stream().filter(s -> s.right()).count(), e.sightings().size());
      case Event.ControlsUpset e -> "To be made again, as %s: the control check".formatted(e.by().words());
      case Event.ControlsChecked e -> "Control check (%s): %s".formatted(e.source(), e.judgement().summary());
      case Event.TiedOff e -> e.accepted().isEmpty()
          ? "Tied off, cord bare"
          : "Tied off; " + e.accepted().stream()
              .map(a -> "%s may stay: %s".formatted(a.what(), a.reason())).collect(Collectors.joining("; "));
    };
  }

  private static String kg(double value) {
    return Numbers.written(value, 0) + " kg";
  }

  private static String chosen(Event.TakeoffChosen e) {
    FiguresAsked.Choice c = e.choice();
    List<String> words = Stream.of(c.runway().map(r -> "runway " + r), c.intersection().map(i -> "from " + i),
        c.flap().map(f -> "flap " + f), c.thrust().map(t -> "thrust " + t.words()),
        e.antiIce().map(a -> a ? "anti-ice on" : "anti-ice off"),
        e.airConditioning().map(a -> a ? "air conditioning on" : "air conditioning off"))
        .flatMap(Optional::stream).toList();
    return words.isEmpty() ? "as it is proposed" : String.join(", ", words);
  }

  private static String worked(WorkedOut w) {
    String changed = w.changed().isEmpty() ? "" : " (changed: %s)".formatted(
        w.changed().stream().map(FigureInput::words).collect(Collectors.joining(", ")));
    if (!w.missing().isEmpty()) {
      return "Figures not worked out: " + String.join(" ", w.missing());
    }
    String held = w.notHeld().isEmpty() ? "all limits hold"
        : "not held: " + w.notHeld().stream().map(Limit::words).collect(Collectors.joining(" "));
    return "Figures worked out, tables %s%s; %s".formatted(w.tables(), changed, held);
  }

  private static String differed(Difference d) {
    String entries = d.entries().stream().map(e -> "%s by %s%s%s".formatted(e.value(), e.by(),
        e.causes().isEmpty() ? "" : ": " + e.causes().getFirst().words(),
        e.consequence().isEmpty() ? "" : "; " + e.consequence())).collect(Collectors.joining(". "));
    return "%s differs%s. %s".formatted(Words.first(d.figure().words()),
        d.expected().map(x -> ", %s expected".formatted(x)).orElse(""), entries);
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
