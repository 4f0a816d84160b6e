package neatlanyard.server.departure;

import java.util.function.Function;
import neatlanyard.core.departure.Departure;
import neatlanyard.server.departure.DepartureViews.Progress;
import tools.jackson.databind.json.JsonMapper;

/** Puts what is told live into JSON. @param progress what the screens show of a departure */
record LiveViews(Function<Departure, Progress> progress, JsonMapper json) {
  /** The whole, for a device that has nothing yet. */
  Subscriber.Message whole(Progress progress) {
    return new Subscriber.Message("progress", json.writeValueAsString(progress));
  }

  /** What is otherwise, for a device that has {@code before}. */
  Subscriber.Message change(Progress before, Progress now) {
    return new Subscriber.Message("change", json.writeValueAsString(ProgressChange.between(before, now)));
  }
}
