package neatlanyard.server.departure;

import java.io.IOException;
import java.util.concurrent.LinkedBlockingDeque;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import neatlanyard.server.departure.DepartureViews.Progress;
import neatlanyard.server.fleet.SignedIn;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * One device listening to a departure. Each has its own thread, so a slow one holds up nobody. It is told the whole
 * once, and from then on what is otherwise than it was told last.
 */
final class Subscriber {
  /** @param name of the event on the stream @param json its data */
  record Message(String name, String json) {}

  private static final int MOST_WAITING = 500;
  private static final long HEARTBEAT_S = 15;
  private static final Logger LOG = LoggerFactory.getLogger(Subscriber.class);
  /** Stands in the queue for however many presses there were. */
  private static final Message CHANGED = new Message("", "");

  private final SseEmitter emitter = new SseEmitter(0L);
  private final LinkedBlockingDeque<Message> waiting = new LinkedBlockingDeque<>();
  private final AtomicBoolean changeWaits = new AtomicBoolean();
  private final SignedIn who;
  private final Live live;
  private volatile boolean open = true;

  Subscriber(SignedIn who, Live live, Consumer<Subscriber> whenGone) {
    this.who = who;
    this.live = live;
    Runnable gone = () -> {
      open = false;
      whenGone.accept(this);
    };
    emitter.onCompletion(gone);
    emitter.onTimeout(gone);
    emitter.onError(e -> gone.run());
  }

  SseEmitter emitter() {
    return emitter;
  }

  SignedIn who() {
    return who;
  }

  /** Ends it: its session or the application ended, or the same person listens in too many places. */
  void end() {
    open = false;
    emitter.complete();
  }

  void start() {
    changed();
    Thread.ofVirtual().start(this::run);
  }

  /** The departure has another entry. */
  void changed() {
    if (changeWaits.compareAndSet(false, true)) {
      waiting.addFirst(CHANGED);
    }
  }

  /** Something that is not in the log; dropped where too much waits already. */
  void tell(Message message) {
    if (waiting.size() < MOST_WAITING) {
      waiting.offer(message);
    }
  }

  private void run() {
    @Nullable Progress told = null;
    try {
      while (open) {
        Message message = waiting.poll(HEARTBEAT_S, TimeUnit.SECONDS);
        if (message == null) {
          emitter.send(SseEmitter.event().comment("still here"));
        } else if (message == CHANGED) {
          changeWaits.set(false);
          told = bringUpToDate(told);
        } else {
          emitter.send(event(message));
        }
      }
    } catch (IOException | IllegalStateException e) {
      emitter.completeWithError(e);
    } catch (RuntimeException e) {
      // Its device takes a new stream, and is not left with an old view that looks alive.
      LOG.warn("{} cannot be told how a departure stands", who.id(), e);
      emitter.completeWithError(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** @param told what the device has; null for nothing */
  private Progress bringUpToDate(@Nullable Progress told) throws IOException {
    Progress now = live.progress();
    if (told == null || told != now) {
      Message message = told == null ? live.whole(now) : live.change(told, now);
      emitter.send(event(message).id(Long.toString(now.number())));
    }
    return now;
  }

  private static SseEmitter.SseEventBuilder event(Message message) {
    return SseEmitter.event().name(message.name).data(message.json, MediaType.TEXT_PLAIN);
  }
}
