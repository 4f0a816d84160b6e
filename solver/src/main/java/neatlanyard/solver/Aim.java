package neatlanyard.solver;

import com.google.ortools.sat.LinearExpr;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToLongFunction;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Timeline;

/**
 * What is wanted as small as may be, after the departure.
 *
 * @param wanted for the solver
 * @param in the same of a timeline
 * @param least no timeline has less, by what follows without search
 */
record Aim(LinearExpr wanted, ToLongFunction<Timeline> in, long least) {
  /** In the order in which they count. @param departs seconds, which all keep to */
  static List<Aim> after(Demands demands, Model model, long departs, Optional<Timeline> before) {
    List<Aim> aims = new ArrayList<>();
    demands.runs().map(demands::activity).ifPresent(r -> aims.add(new Aim(model.runsFrom(r.id()),
        t -> -t.of(r.id()).begins().toSeconds(),
        r.length().plannedSeconds() + model.load.after(r) - departs)));
    if (!demands.inOneGo().isEmpty()) {
      aims.add(new Aim(model.brokenOff(), t -> brokenOff(demands, t), 0));
    }
    List<Activity> resting = model.resting();
    aims.add(new Aim(LinearExpr.newBuilder().add(model.rest).build(), t -> resting.stream()
        .map(a -> t.of(a.id()).ends()).mapToLong(Duration::toSeconds).max().orElse(0), model.load.over(resting)));
    before.ifPresent(b -> aims.add(new Aim(model.changed(b), t -> changed(demands, b, t), 0)));
    return aims;
  }

  private static long brokenOff(Demands demands, Timeline t) {
    long broken = 0;
    for (List<ActivityId> pieces : demands.inOneGo()) {
      for (int i = 1; i < pieces.size(); i++) {
        broken += t.of(pieces.get(i)).begins().equals(t.of(pieces.get(i - 1)).ends()) ? 0 : 1;
      }
    }
    return broken;
  }

  private static long changed(Demands demands, Timeline before, Timeline t) {
    return demands.activities().stream().map(Activity::id)
        .filter(id -> before.slots().containsKey(id) && !before.of(id).who().equals(t.of(id).who())).count();
  }

  long of(Timeline t) {
    return in.applyAsLong(t);
  }

  /** Whether one timeline is no worse than another by this, nor by what counts more. */
  boolean better(Timeline one, Timeline than, List<Aim> more) {
    return of(one) <= of(than) && more.stream().allMatch(a -> a.of(one) <= a.of(than));
  }
}
