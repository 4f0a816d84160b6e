package neatlanyard.server.work;

import java.io.IOException;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.BooleanSupplier;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/**
 * Long work (hashing passwords, reading and checking packs, pictures, pages, imports) on a few threads of its own.
 *
 * <p>Requests run on virtual threads, and those share as many carriers as there are processors: whatever computes on
 * one holds up everybody's press. Here an asker waits without holding one. All lanes take turns, so that packs do not
 * keep anybody from signing in; each asker has a share of the queue; when it is full, the answer says when to come
 * again.
 */
@Service
public final class HeavyWork implements AutoCloseable {
  /** The lanes. */
  public enum Kind {
    SIGN_IN(8, Duration.ofSeconds(10)),
    PACK(2, Duration.ofSeconds(10)),
    PHOTO(1, Duration.ofSeconds(20)),
    PAGE(2, Duration.ofSeconds(20)),
    PLAN(3, Duration.ofSeconds(5)),
    IMPORT(1, Duration.ofSeconds(60));

    private final int each;
    private final Duration longest;

    /**
     * @param each how many of these one asker may have waiting and at work
     * @param longest after which it is asked to stop
     */
    Kind(int each, Duration longest) {
      this.each = each;
      this.longest = longest;
    }
  }

  /** The work itself. */
  @FunctionalInterface
  public interface Work<T> {
    /** @param stop whether to give up: too long, or nobody wants it any more */
    T with(BooleanSupplier stop);
  }

  /** Whether somebody still waits for the answer. */
  @FunctionalInterface
  public interface Alive {
    /** @throws IOException when nobody does */
    void check() throws IOException;
  }

  /** Of one kind: full of packs, it still takes who signs in. */
  private static final int MOST_WAITING = 64;
  private static final Duration LOOKED_AFTER_EVERY = Duration.ofMillis(500);
  private static final double NEWEST_COUNTS = 0.2;

  private static final class Task<T> {
    private final String asker;
    private final Kind kind;
    private final Work<T> work;
    private final CompletableFuture<T> answer = new CompletableFuture<>();
    private volatile long startedNanos;
    private volatile boolean stopped;

    Task(String asker, Kind kind, Work<T> work) {
      this.asker = asker;
      this.kind = kind;
      this.work = work;
    }

    /** Does the work. @return what tells the asker of it, once the worker has let go of it */
    Runnable done() {
      try {
        T made = work.with(this::givesUp);
        return () -> answer.complete(made);
      } catch (RuntimeException | Error e) {
        return () -> answer.completeExceptionally(e);
      }
    }

    private boolean givesUp() {
      return stopped || System.nanoTime() - startedNanos > kind.longest.toNanos();
    }
  }

  private final ReentrantLock lock = new ReentrantLock();
  private final Condition something = lock.newCondition();
  private final Map<Kind, Deque<Task<?>>> waiting = new EnumMap<>(Kind.class);
  private final Set<Task<?>> running = new HashSet<>();
  private final Map<Kind, Double> seconds = new EnumMap<>(Kind.class);
  private final List<Thread> workers = new ArrayList<>();
  private int turn;
  private volatile boolean closed;

  HeavyWork() {
    for (Kind kind : Kind.values()) {
      waiting.put(kind, new ArrayDeque<>());
    }
    // One processor is left for presses.
    int many = Math.max(1, Runtime.getRuntime().availableProcessors() - 1);
    for (int i = 0; i < many; i++) {
      workers.add(Thread.ofPlatform().name("heavy-" + i).daemon().start(this::work));
    }
  }

  /** How many threads there are. */
  public int workers() {
    return workers.size();
  }

  /** How much waits. */
  public int waiting() {
    lock.lock();
    try {
      return waiting.values().stream().mapToInt(Deque::size).sum();
    } finally {
      lock.unlock();
    }
  }

  /**
   * Does the work and gives back what came of it.
   *
   * @param asker whose share it counts against: a person, or an address where nobody is signed in yet
   * @throws Problem when the queue or the asker's share of it is full, with when to come again
   */
  public <T> T run(String asker, Kind kind, Work<T> work) {
    return result(put(new Task<>(asker, kind, work)), () -> { });
  }

  /**
   * As {@link #run}, for what is asked again as one types: an earlier one of the same asker is given up, and this one
   * is given up when its asker goes.
   */
  public <T> T latest(String asker, Kind kind, Alive alive, Work<T> work) {
    giveUp(asker, kind);
    return result(put(new Task<>(asker, kind, work)), alive);
  }

  private Deque<Task<?>> lane(Kind kind) {
    return Objects.requireNonNull(waiting.get(kind));
  }

  private void giveUp(String asker, Kind kind) {
    lock.lock();
    try {
      List<Task<?>> old = lane(kind).stream().filter(t -> t.asker.equals(asker)).toList();
      lane(kind).removeAll(old);
      old.forEach(t -> t.answer.cancel(false));
      running.stream().filter(t -> t.kind == kind && t.asker.equals(asker)).forEach(t -> t.stopped = true);
    } finally {
      lock.unlock();
    }
  }

  private <T> Task<T> put(Task<T> task) {
    lock.lock();
    try {
      Deque<Task<?>> lane = lane(task.kind);
      long own = lane.stream().filter(t -> t.asker.equals(task.asker)).count()
          + running.stream().filter(t -> t.kind == task.kind && t.asker.equals(task.asker) && !t.stopped).count();
      if (own >= task.kind.each) {
        throw Problem.later(HttpStatus.TOO_MANY_REQUESTS, ProblemCode.ONE_AT_A_TIME,
            "You have as much of this under way as one may.", after(lane.size()));
      }
      if (lane.size() >= MOST_WAITING) {
        throw Problem.later(HttpStatus.SERVICE_UNAVAILABLE, ProblemCode.BUSY, "The server is busy with long work.",
            after(MOST_WAITING));
      }
      lane.add(task);
      something.signal();
      return task;
    } finally {
      lock.unlock();
    }
  }

  /** When the queue will have moved on, by how long such work took of late. */
  private Duration after(int ahead) {
    double usual = seconds.values().stream().mapToDouble(d -> d).average().orElse(1);
    return Duration.ofSeconds(Math.clamp((long) Math.ceil(usual * (ahead + 1) / workers.size()), 1, 60));
  }

  private <T> T result(Task<T> task, Alive alive) {
    while (true) {
      try {
        return task.answer.get(LOOKED_AFTER_EVERY.toMillis(), TimeUnit.MILLISECONDS);
      } catch (TimeoutException e) {
        try {
          alive.check();
        } catch (IOException gone) {
          drop(task);
          throw gone(ProblemCode.NOBODY_WAITS, "Whoever asked for it has gone.");
        }
      } catch (CancellationException e) {
        throw gone(ProblemCode.SUPERSEDED, "It was asked again meanwhile.");
      } catch (ExecutionException e) {
        throw switch (e.getCause()) {
          case RuntimeException r -> r;
          // A document can be made to take more memory or depth than there is: that is a fault of the document.
          case StackOverflowError deep -> Problem.bad(ProblemCode.TOO_DEEP, "It is nested too deeply.");
          case OutOfMemoryError large -> Problem.bad(ProblemCode.TOO_LARGE, "It takes more memory than there is.");
          case null, default -> new IllegalStateException(e.getCause());
        };
      } catch (InterruptedException e) {
        drop(task);
        Thread.currentThread().interrupt();
        throw gone(ProblemCode.STOPPING, "The server is stopping.");
      }
    }
  }

  private static Problem gone(ProblemCode code, String what) {
    return Problem.of(HttpStatus.CONFLICT, code, what, "Ask again.");
  }

  private void drop(Task<?> task) {
    lock.lock();
    try {
      task.stopped = true;
      if (lane(task.kind).remove(task)) {
        task.answer.cancel(false);
      }
    } finally {
      lock.unlock();
    }
  }

  private void work() {
    while (!closed) {
      Optional<Task<?>> next = next();
      next.ifPresent(task -> {
        task.startedNanos = System.nanoTime();
        Runnable tell = task.done();
        done(task);
        tell.run();
      });
    }
  }

  private void done(Task<?> task) {
    double took = (System.nanoTime() - task.startedNanos) / 1e9;
    lock.lock();
    try {
      running.remove(task);
      seconds.merge(task.kind, took, (old, now) -> old + NEWEST_COUNTS * (now - old));
    } finally {
      lock.unlock();
    }
  }

  /** The first of the lane whose turn it is. */
  private Optional<Task<?>> next() {
    lock.lock();
    try {
      while (!closed) {
        for (int i = 0; i < Kind.values().length; i++) {
          turn = (turn + 1) % Kind.values().length;
          Task<?> task = lane(Kind.values()[turn]).poll();
          if (task != null) {
            running.add(task);
            return Optional.of(task);
          }
        }
        something.awaitUninterruptibly();
      }
      return Optional.empty();
    } finally {
      lock.unlock();
    }
  }

  @Override
  public void close() {
    closed = true;
    lock.lock();
    try {
      waiting.values().forEach(lane -> lane.forEach(t -> t.answer.cancel(false)));
      running.forEach(t -> t.stopped = true);
      something.signalAll();
    } finally {
      lock.unlock();
    }
  }
}
