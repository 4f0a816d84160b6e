package neatlanyard.core.departure;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.checklist.NextItem;
import neatlanyard.core.checklist.Stale;
import neatlanyard.core.controls.live.ByEye;
import neatlanyard.core.dispatch.Severity;
import neatlanyard.core.flow.Reading;
import neatlanyard.core.gauge.Judged;
import neatlanyard.core.gauge.Missing;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.FindDetail;
import neatlanyard.core.log.TechState;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Measure;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Find;
import neatlanyard.core.state.Mark;
import neatlanyard.core.state.Recorded;
import neatlanyard.core.state.StepNotes;

/** What one more entry makes of a departure's state. */
final class Fold {
  private Fold() {}

  static DepartureState apply(DepartureState before, Entry entry) {
    if (entry.number() != before.lastNumber() + 1) {
      throw new IllegalArgumentException(
          "Entry %d does not follow entry %d".formatted(entry.number(), before.lastNumber()));
    }
    return of(before.numbered(entry.number()), entry);
  }

  private static DepartureState of(DepartureState d, Entry entry) {
    return switch (entry.event()) {
      case Event.Opened again -> throw new IllegalArgumentException("Opened twice: " + again.flight().number());
      case Event.SeatTaken e -> d.seated(e.seat(), entry.by());
      case Event.DaySet e -> cut(d, e.day(), entry.number());
      case Event.Measured e -> measured(d, e, entry);
      case Event.DoesNotFit e -> d;
      case Event.PlanChosen e -> d;
      case Event.StepDone e -> trimmed(d, e.step(), entry).marked(e.step(), mark(entry, Mark.Outcome.DONE, ""));
      case Event.FoundSo e -> d.marked(e.step(), mark(entry, Mark.Outcome.DONE, "found so"));
      case Event.ValueSaid e -> trimmed(d, e.step(), entry).valueSaid(e, entry)
          .marked(e.step(), mark(entry, Mark.Outcome.DONE, e.value()));
      case Event.AircraftRead e -> d.aircraftRead(e, entry);
      case Event.Overridden e -> d.overridden(e, entry);
      case Event.WaitSeen e -> d.waitSeen(e.step(), entry.number());
      case Event.TagHung e -> d.tagHung(e, entry);
      case Event.TagTaken e -> d.tagTaken(e.tag());
      case Event.Interrupted e -> d.calledAway(entry);
      case Event.WentOn e -> d.wentOn(entry);
      case Event.PanelHandedOver e -> cutAgain(
          entry.seat().map(from -> d.handedOver(e.panel(), from, e.to())).orElse(d), entry.number());
      case Event.RunwayReported e -> d.given(g -> g.with(e));
      case Event.TowerWindSaid e -> d.given(g -> g.with(e));
      case Event.LoadSheetTaken e -> d.given(g -> g.with(e));
      case Event.LoadSheetChanged e -> d.given(g -> g.with(e));
      case Event.ElsewhereReported e -> d.given(g -> g.with(e));
      case Event.TakeoffChosen e -> d.given(g -> g.with(e));
      case Event.DeIced e -> d.given(g -> g.with(Recorded.happened(e, entry)));
      case Event.FiguresWorked e -> FiguresFold.worked(d, e, entry);
      case Event.FigureEntered e -> FiguresFold.entered(d, e, entry);
      case Event.FigureDiffered e -> d.entries(x -> x.differed(e, entry));
      case Event.FigureTaken e -> FiguresFold.taken(d, e, entry);
      case Event.TaxiCleared e -> d.taxiCleared(e, entry);
      case Event.BrakesRead e -> d.brakesRead(e, entry);
      case Event.BriefingWorded e -> BriefingFold.worded(d, e, entry);
      case Event.BriefingRead e -> BriefingFold.read(d, e, entry);
      case Event.BriefingHeard e -> BriefingFold.heard(d, e, entry);
      case Event.StepNotToday e -> d.marked(e.step(), mark(entry, Mark.Outcome.NOT_TODAY, e.reason()));
      case Event.StepLater e -> d.marked(e.step(), mark(entry, Mark.Outcome.LATER, e.reason()));
      case Event.LogTailRead e -> d.logRead(e, entry);
      case Event.TechStatus e -> tech(d, e.state(), entry.number());
      case Event.ReadBefore e -> d.earlier(e.past());
      case Event.FlightFacts e -> d.facts(e.facts());
      case Event.StepUndone e -> undone(d, e.step(), entry);
      case Event.FindRaised e -> d.found(find(e.find(), e.step(), e.note(), e.what(), false, entry))
          .marked(e.step(), mark(entry, Mark.Outcome.FIND, e.note(), Optional.of(e.find())));
      case Event.VerdictTaken e -> d.decided(e.find(), new Find.Decision(
          e.verdict(), e.words(), e.proposed(), entry.by(), entry.happened(), entry.number()));
      case Event.ChecklistStopped e -> d.stopped(e, entry);
      case Event.ChecklistResumed e -> resumed(d, e.checklist());
      case Event.ControlsChecked e -> d.controlsChecked(e, entry);
      case Event.ControlsSeen e -> d.controlsChecked(seen(d, e), entry);
      case Event.ControlsUpset e -> d.controlsUpset(e, entry);
      case Event.TiedOff e -> d.tiedOff(e, entry);
    };
  }

  private static Event.ControlsChecked seen(DepartureState d, Event.ControlsSeen e) {
    return new Event.ControlsChecked(ByEye.SOURCE, "",
        ByEye.judge(d.pack().policy().controlCheck(d.card().map(Card::day)), e.sightings(), e.disconnected()));
  }

  /** A step that moves a trim is as good as somebody saying that one was moved. */
  private static DepartureState trimmed(DepartureState d, StepId step, Entry entry) {
    return d.step(step).filter(Step::changesTrim).isPresent()
        ? d.controlsUpset(new Event.ControlsUpset(Event.Upset.TRIM_CHANGED), entry) : d;
  }

  private static Mark mark(Entry entry, Mark.Outcome outcome, String words) {
    return mark(entry, outcome, words, Optional.empty());
  }

  private static Mark mark(Entry entry, Mark.Outcome outcome, String words, Optional<UUID> find) {
    return new Mark(outcome, entry.by(), entry.seat(), entry.device(), entry.happened(), entry.number(), words, find);
  }

  private static Find find(UUID id, StepId step, String note, FindDetail what, boolean measured, Entry entry) {
    return new Find(id, step, note, what, measured, entry.by(), entry.happened(), entry.number(), Optional.empty());
  }

  /** The card for a day; what it makes untrue of answers given is kept with them. */
  private static DepartureState cut(DepartureState d, Day day, long number) {
    List<Card.Extra> extras = d.tech().deferrals().stream().flatMap(x -> x.adds().stream().map(a -> new Card.Extra(
        a.id(), a.in(), a.at(), a.challenge(), a.response(),
        "deferred: %s, until the end of %s".formatted(x.words(), x.lastDay())))).toList();
    DepartureState next = d.cut(Card.cut(d.pack(), d.crewing(), d.situation(day), extras), number);
    return Stale.changes(d, next).entrySet().stream().reduce(next,
        (s, c) -> s.changed(c.getKey(), new StepNotes.Change(number, c.getValue())), (a, b) -> b);
  }

  private static DepartureState cutAgain(DepartureState d, long number) {
    return d.card().map(c -> cut(d, c.day(), number)).orElse(d);
  }

  /** The tail's log may add steps to the card; where it adds the same ones as before, the card stays. */
  private static DepartureState tech(DepartureState d, TechState now, long number) {
    DepartureState next = d.tech(now);
    return now.deferrals().equals(d.tech().deferrals()) ? next : cutAgain(next, number);
  }

  /** A value marks its step as done, or as a find when it is out of limits. */
  private static DepartureState measured(DepartureState d, Event.Measured e, Entry entry) {
    Optional<Measure> measure = d.step(e.step()).flatMap(s -> s.measures());
    if (measure.isEmpty()) {
      return d;
    }
    Quantity quantity = measure.get().quantity();
    DepartureState read = told(trimmed(d, e.step(), entry), e.step()).withoutMeasuredFinds(e.step())
        .measured(quantity.id(), e.value());
    Judged judged = Reading.judged(read, measure.get(), e.value());
    DepartureState marked;
    if (judged.level().find()) {
      boolean counted = quantity.gauge().filter(g -> g instanceof Missing).isPresent();
      int count = counted ? (int) Math.max(1, Math.round(e.value())) : 1;
      FindDetail what = new FindDetail(Severity.DEFECT, count, Optional.empty(), Optional.empty(), List.of());
      String note = "%s: %s".formatted(quantity.name(), judged.words());
      marked = read.found(find(entry.id(), e.step(), note, what, true, entry))
          .marked(e.step(), mark(entry, Mark.Outcome.FIND, note, Optional.of(entry.id())));
    } else {
      marked = read.marked(e.step(), mark(entry, Mark.Outcome.DONE, quantity.unit().words(e.value())));
    }
    return cutWhereAsked(marked, quantity.id(), entry.number());
  }

  /** A value that was taken back is not there any more, for conditions too. */
  private static DepartureState undone(DepartureState d, StepId step, Entry entry) {
    DepartureState back = FiguresFold.without(told(d, step), step, entry.by(), entry)
        .withoutMeasuredFinds(step).takenBack(step, entry.number())
        .unmarked(step, m -> m.by().equals(entry.by()));
    return d.step(step).flatMap(s -> s.measures()).map(m -> m.quantity().id())
        .filter(q -> d.measured().containsKey(q))
        .map(q -> cutWhereAsked(back.notMeasured(q), q, entry.number())).orElse(back);
  }

  /** What is read of the fuel is shown with the figures. */
  private static DepartureState told(DepartureState d, StepId step) {
    return FuelStory.tells(d, step) ? d.figuresShownAnew() : d;
  }

  /** Only where some condition asks for the value can another card come of it. */
  private static DepartureState cutWhereAsked(DepartureState d, QuantityId quantity, long number) {
    return asked(d.pack(), quantity) ? cutAgain(d, number) : d;
  }

  private static boolean asked(Pack pack, QuantityId quantity) {
    return pack.steps().flatMap(s -> s.when().facts().stream())
        .anyMatch(f -> f instanceof Condition.MeasuredBelow m && m.quantity().id().equals(quantity));
  }

  private static DepartureState resumed(DepartureState d, ProcedureId checklist) {
    DepartureState next = d.resumed(checklist);
    for (Item item : NextItem.answeredAnew(next, checklist)) {
      next = next.unmarked(item.step().id(), m -> true);
    }
    return next;
  }
}
