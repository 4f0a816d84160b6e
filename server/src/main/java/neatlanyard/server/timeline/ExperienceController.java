package neatlanyard.server.timeline;

import java.time.Instant;
import java.time.InstantSource;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.timeline.learned.Calibration;
import neatlanyard.core.timeline.learned.Foretold;
import neatlanyard.core.timeline.learned.ForetoldPlans;
import neatlanyard.core.timeline.learned.Took;
import neatlanyard.core.timeline.learned.TookTimes;
import neatlanyard.formats.timeline.ForetoldCsv;
import neatlanyard.formats.timeline.TookCsv;
import neatlanyard.server.files.TextFile;
import neatlanyard.server.fleet.FleetViews.BroughtIn;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.timeline.PlanViews.CalibratedView;
import neatlanyard.server.timeline.PlanViews.CalibrationView;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What earlier departures took, what was said of them, and how that came true. */
@RestController
class ExperienceController {
  /** Older ones say nothing of how it is done today. */
  private static final int MOST = 1_000;

  private final TookTimes times;
  private final ForetoldPlans foretold;
  private final PlanDesk desk;
  private final InstantSource clock;

  ExperienceController(TookTimes times, ForetoldPlans foretold, PlanDesk desk, InstantSource clock) {
    this.times = times;
    this.foretold = foretold;
    this.desk = desk;
    this.clock = clock;
  }

  /** Brings in what crews took for what in earlier departures, as CSV. @throws Problem naming every fault */
  @PostMapping(path = "/api/task-times", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn bringInTimes(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    Map<FlightId, List<Took>> all = Problem.good(TookCsv.read(text, clock.instant()));
    desk.keep(all);
    return new BroughtIn("%d departures.".formatted(all.size()), List.of());
  }

  /** What crews took for what, as CSV. */
  @GetMapping(path = "/api/task-times", produces = TextFile.CSV)
  ResponseEntity<String> takeOutTimes() {
    return TextFile.csv("task-times.csv", TookCsv.write(times.all()));
  }

  /** Brings in what was said of earlier departures and what came of it, as CSV. @throws Problem naming every fault */
  @PostMapping(path = "/api/foretold", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn bringInForetold(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    List<Foretold> all = Problem.good(ForetoldCsv.read(text, clock.instant()));
    foretold.keep(all);
    return new BroughtIn("%d departures.".formatted(all.size()), List.of());
  }

  /** What was said of departures that are over, as CSV. */
  @GetMapping(path = "/api/foretold", produces = TextFile.CSV)
  ResponseEntity<String> takeOutForetold() {
    return TextFile.csv("foretold.csv", ForetoldCsv.write(foretold.over(MOST)));
  }

  /** How what was said of the newest departures came true. */
  @GetMapping("/api/calibration")
  CalibrationView calibration() {
    List<Foretold> over = foretold.over(MOST);
    Calibration c = Calibration.of(over);
    List<Instant> at = over.stream().map(Foretold::at).sorted(Comparator.naturalOrder()).toList();
    return new CalibrationView(c.count(), c.groups().stream().map(g -> new CalibratedView(g.count(), g.said(),
        g.came(), g.least(), g.most())).toList(), c.brier(), c.clock(), c.base(), c.came(),
        at.stream().findFirst(), at.reversed().stream().findFirst());
  }
}
