package neatlanyard.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;

/**
 * A hundred crews at work against the real process: from a press on one device to its being told on the other, which
 * holds the departure's stream and lets it go and takes it again now and then.
 */
final class LiveBench {
  private static final int CREWS = 100;
  private static final int PRESSES = 24;
  private static final int WARM_UP = 4;

  /** About 300 steps in 35 minutes are one in seven seconds; this is brisker. */
  private static final Duration BETWEEN = Duration.ofSeconds(5);

  /** Presses after which the other device loses its stream. */
  private static final int STREAM_LASTS = 8;

  private LiveBench() {}

  static void run() throws Exception {
    try (Crews crews = Crews.start(Files.createTempDirectory("lanyard-bench"), CREWS)) {
      long[] ns = new long[CREWS * PRESSES];
      List<Thread> threads = new ArrayList<>();
      for (int c = 0; c < CREWS; c++) {
        int crew = c;
        threads.add(Thread.ofVirtual().start(() -> work(crews, crew, ns)));
      }
      for (Thread t : threads) {
        t.join();
      }
      Arrays.sort(ns);
      System.out.printf(
          "%n%d crews, each presses every %d s, the other device's stream cut every %d presses: %d presses, told "
          + "after median %.1f ms, "
              + "95th percentile %.1f ms, 99th %.1f ms, longest %.1f ms%n",
          CREWS, BETWEEN.toSeconds(), STREAM_LASTS, ns.length, ns[ns.length / 2] / 1e6,
          ns[(int) (ns.length * 0.95)] / 1e6, ns[(int) (ns.length * 0.99)] / 1e6,
          ns[ns.length - 1] / 1e6);
    }
  }

  private static void work(Crews crews, int crew, long[] ns) {
    try {
      Thread.sleep(BETWEEN.multipliedBy(crew).dividedBy(CREWS));
      Other other = new Other(crews, crew);
      other.reconnect();
      for (int e = -WARM_UP; e < PRESSES; e++) {
        if (Math.floorMod(e, STREAM_LASTS) == 0) {
          other.reconnect();
        }
        long from = System.nanoTime();
        long number = crews.press(crew, e + WARM_UP);
        long told = other.toldOf(number);
        if (e >= 0) {
          ns[crew * PRESSES + e] = told - from;
        }
        Thread.sleep(BETWEEN);
      }
      other.drop();
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  /** The other device: when it first knew of each entry. */
  private static final class Other {
    private final Crews crews;
    private final int crew;
    private final ConcurrentSkipListMap<Long, Long> told = new ConcurrentSkipListMap<>();
    private InputStream stream = InputStream.nullInputStream();

    Other(Crews crews, int crew) {
      this.crews = crews;
      this.crew = crew;
    }

    void reconnect() throws Exception {
      drop();
      InputStream now = crews.stream(crew);
      stream = now;
      Thread.ofVirtual().start(() -> listen(now));
    }

    void drop() throws IOException {
      stream.close();
    }

    private void listen(InputStream from) {
      try (BufferedReader lines = new BufferedReader(new InputStreamReader(from, StandardCharsets.UTF_8))) {
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
          long at = System.nanoTime();
          long number = line.startsWith("data:") ? Crews.number(line) : -1;
          if (number >= 0) {
            synchronized (told) {
              told.putIfAbsent(number, at);
              told.notifyAll();
            }
          }
        }
      } catch (IOException e) {
        // Its own end: it was dropped.
        if (!e.getMessage().contains("closed")) {
          throw new UncheckedIOException(e);
        }
      }
    }

    /** Waits until the device knows of an entry. @return when it did, in nanoseconds */
    long toldOf(long number) throws InterruptedException {
      synchronized (told) {
        for (Map.Entry<Long, Long> entry = told.ceilingEntry(number);; entry = told.ceilingEntry(number)) {
          if (entry != null) {
            return entry.getValue();
          }
          told.wait();
        }
      }
    }
  }
}
