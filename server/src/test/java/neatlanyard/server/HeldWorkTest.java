package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Future;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.work.HeavyWork;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.Test;

/** With every worker of the heavy work held still, crews go on; who wants a worker is told when to come again. */
@SuppressWarnings("NullAway.Init") // The framework fills the field.
public class HeldWorkTest extends AtTheServer {
  @Autowired private HeavyWork heavy;

  private interface Held {
    void then() throws Exception;
  }

  /** Holds every worker, and fills what waits up to a number. */
  private void held(HeavyWork.Kind kind, int waiting, Held then) throws Exception {
    CountDownLatch let = new CountDownLatch(1);
    CountDownLatch holding = new CountDownLatch(heavy.workers());
    try (ExecutorService askers = Executors.newVirtualThreadPerTaskExecutor()) {
      List<Future<?>> all = new ArrayList<>();
      for (int i = 0; i < heavy.workers(); i++) {
        all.add(askers.submit(holder(kind, i, holding, let)));
      }
      // Only now: one more than fit would be refused while the workers have not taken theirs.
      holding.await();
      for (int i = 0; i < waiting; i++) {
        all.add(askers.submit(holder(kind, heavy.workers() + i, holding, let)));
      }
      try {
        while (heavy.waiting() < waiting) {
          Thread.onSpinWait();
        }
        then.then();
      } finally {
        let.countDown();
      }
      for (Future<?> f : all) {
        f.get();
      }
    }
  }

  private Callable<Integer> holder(HeavyWork.Kind kind, int asker, CountDownLatch holding, CountDownLatch let) {
    return () -> heavy.run("holder " + asker, kind, stop -> {
      holding.countDown();
      try {
        let.await();
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
      return asker;
    });
  }

  @Test
  public void presses_are_answered() throws Exception {
    Http wren = in("adeyo");
    Http ida = in("marsk");
    crewIn(wren, ida);
    held(HeavyWork.Kind.PACK, 10, () -> {
      for (int i = 0; i < 20; i++) {
        assertThat(wren.event("step-done", "{\"step\":\"wa-vane-l\"}").status()).isEqualTo(200);
        assertThat(ida.get("/api/departures/today-14").status()).isEqualTo(200);
      }
      assertThat(ida.get("/api/departures").status()).isEqualTo(200);
    });
  }

  @Test
  public void who_comes_when_the_queue_is_full_is_told_when_to_come_again() throws Exception {
    held(HeavyWork.Kind.SIGN_IN, 64, () -> {
      Http.Answer busy = new Http(port).post("/api/session", "{\"who\":\"marsk\",\"password\":\"bare-cord-11\"}");
      assertThat(busy.status()).isEqualTo(503);
      assertThat(busy.code()).isEqualTo("busy");
      assertThat(busy.json().path("tryThis").asString()).matches("Again in \\d+ seconds\\.");
    });
    assertThat(in("marsk").get("/api/session").status()).isEqualTo(200);
  }

  /** Packs that fill their own queue keep nobody from signing in, or from a departure that has to be read back. */
  @Test
  public void a_queue_full_of_packs_is_full_of_packs_only() throws Exception {
    Http wren = in("adeyo");
    held(HeavyWork.Kind.PACK, 64, () -> {
      assertThat(wren.get("/api/departures").status()).isEqualTo(200);
      assertThat(wren.get("/api/reading").status()).isEqualTo(200);
      try (ExecutorService askers = Executors.newVirtualThreadPerTaskExecutor()) {
        int before = heavy.waiting();
        askers.submit(() -> new Http(port).post("/api/session", "{\"who\":\"marsk\",\"password\":\"bare-cord-11\"}"));
        while (heavy.waiting() == before) {
          Thread.onSpinWait();
        }
        askers.shutdownNow();
      }
    });
  }

  @Test
  public void nobody_has_more_than_their_share() throws Exception {
    try (ExecutorService askers = Executors.newVirtualThreadPerTaskExecutor()) {
      held(HeavyWork.Kind.PACK, 0, () -> {
        Future<Integer> first = askers.submit(() -> heavy.run("holm", HeavyWork.Kind.PHOTO, stop -> 1));
        while (heavy.waiting() < 1) {
          Thread.onSpinWait();
        }
        assertThatThrownBy(() -> heavy.run("holm", HeavyWork.Kind.PHOTO, stop -> 2))
            .isInstanceOfSatisfying(Problem.class, p -> assertThat(p.detail().getStatus()).isEqualTo(429));
        assertThat(first.isDone()).isFalse();
      });
    }
  }

  /** The work of an asker who has gone stops, and the next one's begins. */
  @Test
  public void who_goes_takes_their_work_with_them() throws Exception {
    CountDownLatch begun = new CountDownLatch(1);
    CountDownLatch gone = new CountDownLatch(1);
    try (ExecutorService askers = Executors.newVirtualThreadPerTaskExecutor()) {
      Future<?> asked = askers.submit(() -> heavy.latest("rand", HeavyWork.Kind.PACK, () -> {
        while (begun.getCount() > 0) {
          Thread.onSpinWait();
        }
        throw new IOException("closed by the other side");
      }, stop -> {
        begun.countDown();
        while (!stop.getAsBoolean()) {
          Thread.onSpinWait();
        }
        gone.countDown();
        return "stopped";
      }));
      gone.await();
      assertThatThrownBy(asked::get).hasCauseInstanceOf(Problem.class);
      String next = heavy.latest("orrin", HeavyWork.Kind.PACK, () -> { }, stop -> "next");
      assertThat(next).isEqualTo("next");
    }
  }

  /** An asker who asks again, as one does who types, has one worker at most, and it stops when told to. */
  @Test
  public void asking_again_gives_the_earlier_one_up() throws Exception {
    CountDownLatch begun = new CountDownLatch(1);
    try (ExecutorService askers = Executors.newVirtualThreadPerTaskExecutor()) {
      Future<String> first = askers.submit(() -> heavy.latest("orrin", HeavyWork.Kind.PACK, () -> { }, stop -> {
        begun.countDown();
        while (!stop.getAsBoolean()) {
          Thread.onSpinWait();
        }
        return "stopped";
      }));
      begun.await();
      String second = heavy.latest("orrin", HeavyWork.Kind.PACK, () -> { }, stop -> "second");
      assertThat(second).isEqualTo("second");
      assertThat(first.get()).isEqualTo("stopped");
    }
  }
}
