package neatlanyard.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CountDownLatch;

/**
 * Fifty crews at once against the real process over HTTP: from sending an event to its acknowledgement, disk sync
 * included; beside it the bare rate of synced SQLite inserts on the same disk in the same run. A machine that rests
 * between two of them is slower at each: so the insert stands there with rest before it, too, and a question that is
 * answered from the memory.
 */
final class AcknowledgeBench {
  private static final int CREWS = 50;
  private static final int WARM_UP = 40;
  private static final int WARM_UP_PRESSES = Integer.getInteger("lanyard.warm-up", 1_500);
  private static final int ONCE_A_SECOND = 20;
  private static final Duration SECOND = Duration.ofSeconds(1);
  private static final Duration BETWEEN_TWO = SECOND.dividedBy(CREWS);
  private static final int SATURATED = Integer.getInteger("lanyard.presses", 400);

  private AcknowledgeBench() {}

  /** Something that a crew does over HTTP. @param turn how often it did so before; in the warm-up below 0 */
  private interface Work {
    void once(int crew, int turn) throws Exception;
  }

  static void run() throws Exception {
    Path folder = Files.createTempDirectory("lanyard-bench");
    double bareMs = bareInsertMs(folder.resolve("bare.db"), Duration.ZERO);
    double restedMs = bareInsertMs(folder.resolve("rested.db"), BETWEEN_TWO);
    try (Crews crews = Crews.start(folder, CREWS, Crews.WITHOUT_PACE)) {
      System.out.printf("%nbare SQLite insert with disk sync, one at a time: median %.2f ms (%.0f a second)%n",
          bareMs, 1_000 / bareMs);
      System.out.printf("the same with %d ms of rest before each: median %.2f ms%n",
          BETWEEN_TWO.toMillis(), restedMs);
      // Until the compilers are done with it: they take more than half of a core for the first minute.
      drive(WARM_UP_PRESSES, Duration.ZERO, crews::press);
      long from = System.nanoTime();
      long[] saturated = drive(SATURATED, Duration.ZERO, crews::press);
      double rate = (double) CREWS * (SATURATED + WARM_UP) / ((System.nanoTime() - from) / 1e9);
      say("each sends the next as soon as the last is acknowledged", saturated, bareMs);
      System.out.printf("saturated: %.0f a second, %.2f of the bare rate%n", rate, rate * bareMs / 1_000);
      say("each presses once a second", drive(ONCE_A_SECOND, SECOND, crews::press), bareMs);
      say("each asks once a second for what is answered from the memory",
          drive(ONCE_A_SECOND, SECOND, (crew, turn) -> crews.ask(crew)), bareMs);
    }
  }

  /** Median of single-row inserts, each its own transaction, write-ahead log, synchronous=FULL. */
  private static double bareInsertMs(Path file, Duration rest) throws SQLException, InterruptedException {
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file); Statement s = db.createStatement()) {
      s.execute("pragma journal_mode=wal");
      s.execute("pragma synchronous=full");
      s.execute("create table t (n integer primary key, json text not null)");
      String json = "x".repeat(400);
      long[] ns = new long[rest.isZero() ? 1_500 : 500];
      try (PreparedStatement insert = db.prepareStatement("insert into t (json) values (?)")) {
        for (int i = 0; i < ns.length; i++) {
          Thread.sleep(rest);
          long from = System.nanoTime();
          insert.setString(1, json);
          insert.execute();
          ns[i] = System.nanoTime() - from;
        }
      }
      Arrays.sort(ns);
      return ns[ns.length / 2] / 1e6;
    }
  }

  private static void say(String how, long[] ns, double bareMs) {
    Arrays.sort(ns);
    double medianMs = ns[ns.length / 2] / 1e6;
    double p99Ms = ns[(int) (ns.length * 0.99)] / 1e6;
    System.out.printf(
        "%d crews, %s: %d events, median %.1f ms, 99th percentile %.1f ms, to the bare insert %.1f and %.1f%n",
        CREWS, how, ns.length, medianMs, p99Ms, medianMs / bareMs, p99Ms / bareMs);
  }

  /** Nanoseconds from sending to acknowledgement, of every event after the warm-up. */
  private static long[] drive(int each, Duration pause, Work work) throws Exception {
    long[] ns = new long[CREWS * each];
    CountDownLatch start = new CountDownLatch(1);
    List<Thread> threads = new ArrayList<>();
    int warmUp = pause.isZero() ? WARM_UP : 2;
    for (int c = 0; c < CREWS; c++) {
      int crew = c;
      threads.add(Thread.ofVirtual().start(() -> {
        try {
          start.await();
          Thread.sleep(pause.multipliedBy(crew).dividedBy(CREWS));
          for (int e = -warmUp; e < each; e++) {
            long from = System.nanoTime();
            work.once(crew, e);
            if (e >= 0) {
              ns[crew * each + e] = System.nanoTime() - from;
            }
            Thread.sleep(pause);
          }
        } catch (Exception e) {
          throw new IllegalStateException(e);
        }
      }));
    }
    start.countDown();
    for (Thread t : threads) {
      t.join();
    }
    return ns;
  }
}
