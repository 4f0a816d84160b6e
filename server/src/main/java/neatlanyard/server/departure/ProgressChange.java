package neatlanyard.server.departure;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.departure.DepartureViews.AircraftView;
import neatlanyard.server.departure.DepartureViews.AllowedView;
import neatlanyard.server.departure.DepartureViews.BeadView;
import neatlanyard.server.departure.DepartureViews.BriefingLineView;
import neatlanyard.server.departure.DepartureViews.ControlsView;
import neatlanyard.server.departure.DepartureViews.FindView;
import neatlanyard.server.departure.DepartureViews.GateView;
import neatlanyard.server.departure.DepartureViews.PartProgress;
import neatlanyard.server.departure.DepartureViews.Progress;
import neatlanyard.server.departure.DepartureViews.SeatView;
import neatlanyard.server.departure.DepartureViews.StepView;
import neatlanyard.server.departure.DepartureViews.TagView;
import neatlanyard.server.departure.DepartureViews.TakeoffView;
import neatlanyard.server.departure.DepartureViews.TechView;
import neatlanyard.server.departure.DepartureViews.TiedOffView;
import neatlanyard.server.departure.DepartureViews.ValueView;
import neatlanyard.server.departure.DepartureViews.WaitView;
import neatlanyard.server.departure.TaxiViews.TaxiView;
import neatlanyard.server.figures.FiguresViews.FigureView;

/**
 * What is otherwise in one {@link Progress} than in another: only the sections that changed, and of those with keys
 * only the keys. Whatever has come does not go again but by a key that is gone, so a section that is not here is as it
 * was.
 *
 * @param from the number of the entry whose progress it is to be worked into
 * @param number of the entry it comes to
 */
public record ProgressChange(
    long from, long number, long cardKey, Optional<ListChange<BeadView>> beads, Optional<MapChange<StepView>> steps,
    Optional<MapChange<PartProgress>> parts, Optional<ListChange<TagView>> tags,
    Optional<ListChange<TagView>> unfinished, Optional<ListChange<SeatView>> seats,
    Optional<ListChange<FindView>> finds, Optional<TechView> tech, Optional<MapChange<List<GateView>>> gates,
    Optional<List<String>> passed, Optional<List<WaitView>> waits, Optional<MapChange<ValueView>> values,
    Optional<MapChange<AllowedView>> allowed, Optional<List<TakeoffView>> takeoff,
    Optional<MapChange<FigureView>> figures, Optional<Long> figuresNumber,
    Optional<ListChange<BriefingLineView>> briefing, Optional<AircraftView> aircraft,
    Optional<ControlsView> controls, Optional<TaxiView> taxi, Optional<TiedOffView> tiedOff) {

  /**
   * What is otherwise in a list whose members have keys.
   *
   * @param order all keys in their order; empty where that is as it was
   * @param changed the members that are new or otherwise, by key
   */
  public record ListChange<T>(Optional<List<String>> order, Map<String, T> changed) {
    static <T> Optional<ListChange<T>> between(List<T> before, List<T> now, Function<T, String> key) {
      if (before.equals(now)) {
        return Optional.empty();
      }
      List<String> order = now.stream().map(key).toList();
      boolean same = order.equals(before.stream().map(key).toList());
      return Optional.of(new ListChange<>(
          same ? Optional.empty() : Optional.of(order), otherwise(byKey(before, key), byKey(now, key))));
    }

    private static <T> Map<String, T> byKey(List<T> all, Function<T, String> key) {
      Map<String, T> byKey = new LinkedHashMap<>();
      all.forEach(t -> byKey.put(key.apply(t), t));
      return byKey;
    }
  }

  /** What is otherwise in a map. @param gone keys that are not there any more @param changed new or otherwise */
  public record MapChange<T>(List<String> gone, Map<String, T> changed) {
    static <T> Optional<MapChange<T>> between(Map<String, T> before, Map<String, T> now) {
      if (before.equals(now)) {
        return Optional.empty();
      }
      List<String> gone = new ArrayList<>(before.keySet());
      gone.removeAll(now.keySet());
      return Optional.of(new MapChange<>(gone, otherwise(before, now)));
    }
  }

  private static <T> Map<String, T> otherwise(Map<String, T> before, Map<String, T> now) {
    Map<String, T> changed = new LinkedHashMap<>();
    now.forEach((key, t) -> {
      if (!t.equals(before.get(key))) {
        changed.put(key, t);
      }
    });
    return changed;
  }

  private static <T> Optional<T> now(T before, T now) {
    return before.equals(now) ? Optional.empty() : Optional.of(now);
  }

  private static <T> Optional<T> come(Optional<T> before, Optional<T> now) {
    return before.equals(now) ? Optional.empty() : now;
  }

  static ProgressChange between(Progress a, Progress b) {
    return new ProgressChange(
        a.number(), b.number(), b.cardKey(), ListChange.between(a.beads(), b.beads(), x -> Doc.written(x.stage())),
        MapChange.between(a.steps(), b.steps()), MapChange.between(a.parts(), b.parts()),
        ListChange.between(a.tags(), b.tags(), TagView::key),
        ListChange.between(a.unfinished(), b.unfinished(), TagView::key),
        ListChange.between(a.seats(), b.seats(), x -> Doc.written(x.seat())),
        ListChange.between(a.finds(), b.finds(), FindView::id), now(a.tech(), b.tech()),
        MapChange.between(a.gates(), b.gates()), now(a.passed(), b.passed()), now(a.waits(), b.waits()),
        MapChange.between(a.values(), b.values()), MapChange.between(a.allowed(), b.allowed()),
        now(a.takeoff(), b.takeoff()), MapChange.between(a.figures(), b.figures()),
        now(a.figuresNumber(), b.figuresNumber()),
        ListChange.between(a.briefing(), b.briefing(), BriefingLineView::step), come(a.aircraft(), b.aircraft()),
        come(a.controls(), b.controls()), come(a.taxi(), b.taxi()), come(a.tiedOff(), b.tiedOff()));
  }
}
