package neatlanyard.server.departure;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.function.Consumer;
import neatlanyard.server.fleet.SessionDesk;
import neatlanyard.server.fleet.SignedIn;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** The open streams: each ends with its session or the application, and nobody has more than a few. */
@Component
public final class Streams {
  /** A tablet, a phone and a desk, with some tabs each. */
  private static final int MOST_OF_PERSON = 12;

  private final Deque<Subscriber> open = new ArrayDeque<>();

  Streams(SessionDesk sessions) {
    sessions.onEnd(this::sessionEnded);
  }

  /** A new listener; where somebody has too many, their oldest ends. @param whenGone told once it has ended */
  Subscriber open(SignedIn who, Live live, Consumer<Subscriber> whenGone) {
    Subscriber subscriber = new Subscriber(who, live, s -> {
      forget(s);
      whenGone.accept(s);
    });
    add(subscriber).forEach(Subscriber::end);
    return subscriber;
  }

  private synchronized List<Subscriber> add(Subscriber subscriber) {
    open.addLast(subscriber);
    List<Subscriber> own = open.stream().filter(s -> s.who().id().equals(subscriber.who().id())).toList();
    return own.subList(0, Math.max(0, own.size() - MOST_OF_PERSON));
  }

  private synchronized void forget(Subscriber subscriber) {
    open.remove(subscriber);
  }

  private synchronized List<Subscriber> of(String session) {
    return open.stream().filter(s -> s.who().session().equals(session)).toList();
  }

  private void sessionEnded(String session) {
    of(session).forEach(Subscriber::end);
  }

  /** They never end by themselves, and whoever stops the application would wait for them. */
  @EventListener(ContextClosedEvent.class)
  void applicationStops() {
    all().forEach(Subscriber::end);
  }

  private synchronized List<Subscriber> all() {
    return List.copyOf(open);
  }

  /** How many there are. */
  public synchronized int size() {
    return open.size();
  }
}
