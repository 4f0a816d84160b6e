package neatlanyard.server.departure;

import java.io.IOException;
import java.util.concurrent.LinkedBlockingDeque;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import neatlanyard.server.fleet.SignedIn;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * One device listening to a departure. Each has its own thread, so a slow one holds up nobody. Progress is whole each
 * time: what a device missed or has not yet taken is replaced by the newest.
 */
final class Subscriber {
  /** @param id number of the log entry, or empty for what is not progress */
  record Message(String name, String id, String json) {}

  private static final int MOST_WAITING = 500;
  private static final long HEARTBEAT_S = 15;

  private final SseEmitter emitter = new SseEmitter(0L);
  private final LinkedBlockingDeque<Message> waiting = new LinkedBlockingDeque<>(MOST_WAITING);
  private final SignedIn who;
  private volatile boolean open = true;

  Subscriber(SignedIn who, Consumer<Subscriber> whenGone) {
    this.who = who;
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

  /** Ends it: its session ended, or the same person listens in too many places. */
  void end() {
    open = false;
    emitter.complete();
  }

  void start() {
    Thread.ofVirtual().start(this::run);
  }

  void tell(Message message) {
    if (!message.id.isEmpty()) {
      waiting.removeIf(m -> !m.id.isEmpty());
    }
    waiting.offer(message);
  }

  private void run() {
    try {
      while (open) {
        Message message = waiting.poll(HEARTBEAT_S, TimeUnit.SECONDS);
        if (message == null) {
          emitter.send(SseEmitter.event().comment("still here"));
        } else {
          SseEmitter.SseEventBuilder event = SseEmitter.event().name(message.name);
          if (!message.id.isEmpty()) {
            event.id(message.id);
          }
          emitter.send(event.data(message.json, MediaType.TEXT_PLAIN));
        }
      }
    } catch (IOException | IllegalStateException e) {
      emitter.completeWithError(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
