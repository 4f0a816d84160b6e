package neatlanyard.server.dispatch;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import neatlanyard.core.controls.trend.CheckHistory;
import neatlanyard.core.controls.trend.ControlTrend;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.dispatch.ReadingHistory;
import neatlanyard.core.dispatch.ReadingTrend;
import neatlanyard.core.fleet.Registered;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.trend.Trend;
import neatlanyard.formats.controls.HistoryCsv;
import neatlanyard.server.dispatch.TechViews.TrendPointView;
import neatlanyard.server.dispatch.TechViews.TrendView;
import neatlanyard.server.dispatch.TechViews.TrendsView;
import neatlanyard.server.files.TextFile;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.sop.PackDesk;
import neatlanyard.server.work.HeavyWork;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What was measured and read of a tail over months, and where each number is going. */
@RestController
class TrendsController {
  private final TechDesk desk;
  private final HeavyWork heavy;
  private final CheckHistory checks;
  private final ReadingHistory readings;
  private final PackDesk packs;

  TrendsController(TechDesk desk, HeavyWork heavy, CheckHistory checks, ReadingHistory readings, PackDesk packs) {
    this.desk = desk;
    this.heavy = heavy;
    this.checks = checks;
    this.readings = readings;
    this.packs = packs;
  }

  /** Where what the control checks of a tail measured is going. */
  @GetMapping("/api/tails/{tail}/control-trends")
  TrendsView controls(@AuthenticationPrincipal SignedIn who, @PathVariable String tail) {
    TailId id = desk.tail(tail).id();
    return heavy.run(who.id().value(), HeavyWork.Kind.PAGE, stop -> {
      List<Checked> all = checks.of(id);
      return new TrendsView(tail, all.size(), ControlTrend.of(all).stream().map(t -> view(
          t.of(), t.quantity().words(), t.quantity().unit(), OptionalDouble.of(t.limit()), t.quantity().atLeast(),
          t.trend(), t.worsens(), t.words())).toList());
    });
  }

  /** Where what crews read on a tail is going, by the names of the pack in force. */
  @GetMapping("/api/tails/{tail}/reading-trends")
  TrendsView readings(@AuthenticationPrincipal SignedIn who, @PathVariable String tail) {
    Registered found = desk.tail(tail);
    return heavy.run(who.id().value(), HeavyWork.Kind.PAGE, stop -> {
      List<ReadingHistory.Reading> all = readings.of(found.id(), Trend.MOST_POINTS);
      List<Quantity> known = packs.inForce(found.type(), packs.today()).map(p -> p.pack().quantities())
          .orElse(List.of());
      return new TrendsView(tail, all.size(), ReadingTrend.of(known, all).stream().map(t -> view(
          t.quantity().name(), "", t.quantity().unit().symbol(), t.limit(), t.atLeast(), t.trend(), t.worsens(),
          t.words())).toList());
    });
  }

  private static TrendView view(String of, String what, String unit, OptionalDouble limit, boolean atLeast,
      Trend trend, boolean worsens, String words) {
    return new TrendView(of, what, unit, limit.isPresent() ? Optional.of(limit.getAsDouble()) : Optional.empty(),
        atLeast, trend.aWeek(), maybe(trend.weeks()), maybe(trend.prudentWeeks()), worsens, trend.changes(),
        points(trend.points()), points(trend.line()), words);
  }

  private static Optional<Integer> maybe(OptionalInt weeks) {
    return weeks.isPresent() ? Optional.of(weeks.getAsInt()) : Optional.empty();
  }

  private static List<TrendPointView> points(List<Trend.At> points) {
    return points.stream().map(p -> new TrendPointView(p.at(), p.value())).toList();
  }

  /** All that the control checks of a tail measured, as CSV. */
  @GetMapping("/api/tails/{tail}/control-history.csv")
  ResponseEntity<String> history(@PathVariable String tail) {
    TailId id = desk.tail(tail).id();
    return TextFile.csv("%s-control-history.csv".formatted(tail),
        HistoryCsv.write(checks.of(id), Instant::toString));
  }
}
