package neatlanyard.server.departure;

import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import neatlanyard.core.departure.Departure;
import neatlanyard.server.departure.DepartureViews.Progress;
import neatlanyard.server.fleet.SignedIn;
import org.jspecify.annotations.Nullable;

/**
 * Who listens to one departure, and what they are told. A press only wakes them: each brings its own device from what
 * it has to how things stand by then, so a slow one is told of several presses in one, and holds up nobody. What most
 * of them need alike, the newest view and the change from the one before, is worked out once.
 */
final class Live {
  private record Rendered(Departure of, Progress progress) {}

  private record Change(Progress before, Progress now, Subscriber.Message message) {}

  private final LiveViews views;
  private final Supplier<Departure> newest;
  private final Set<Subscriber> subscribers = ConcurrentHashMap.newKeySet();
  private @Nullable Rendered rendered;
  private @Nullable Change last;

  Live(LiveViews views, Supplier<Departure> newest) {
    this.views = views;
    this.newest = newest;
  }

  /** Adds a listener, who is told at once how things stand. */
  Subscriber subscribe(Streams streams, SignedIn who) {
    Subscriber subscriber = streams.open(who, this, subscribers::remove);
    subscribers.add(subscriber);
    subscriber.start();
    return subscriber;
  }

  /** The departure has another entry. */
  void changed() {
    subscribers.forEach(Subscriber::changed);
  }

  void tell(Subscriber.Message message) {
    subscribers.forEach(s -> s.tell(message));
  }

  /** How things stand now. */
  synchronized Progress progress() {
    Departure now = newest.get();
    if (rendered == null || rendered.of != now) {
      rendered = new Rendered(now, views.progress().apply(now));
    }
    return rendered.progress;
  }

  Subscriber.Message whole(Progress progress) {
    return views.whole(progress);
  }

  /** What a device that has {@code before} is told to have {@code now}. */
  synchronized Subscriber.Message change(Progress before, Progress now) {
    if (last == null || last.before != before || last.now != now) {
      last = new Change(before, now, views.change(before, now));
    }
    return last.message;
  }
}
