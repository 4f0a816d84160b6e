package neatlanyard.bench;

import java.io.BufferedReader;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;

/**
 * Two hundred crews at work against the real process, each with three devices: from a press on one to its being told
 * on the others, which hold the departure's stream and let it go and take it again now and then; and how much comes to
 * each of them for a press, as it goes over the line.
 */
final class LiveBench {
  private static final int CREWS = Integer.getInteger("lanyard.crews", 200);
  private static final int OTHERS = 2;
  private static final int PRESSES = Integer.getInteger("lanyard.presses", 24);
  private static final int WARM_UP = 4;

  /** About 300 steps in 35 minutes are one in seven seconds; this is brisker. */
  private static final Duration BETWEEN = Duration.ofSeconds(5);

  /** Presses after which the other device loses its stream. */
  private static final int STREAM_LASTS = 8;

  private static final int WATCH_MINUTES = 4;

  private LiveBench() {}

  static void run() throws Exception {
    try (Crews crews = Crews.start(Files.createTempDirectory("lanyard-bench"), CREWS, Crews.WITHOUT_PACE)) {
      long[] ns = new long[CREWS * PRESSES * OTHERS];
      List<Long> changes = Collections.synchronizedList(new ArrayList<>());
      List<Thread> threads = new ArrayList<>();
      for (int c = 0; c < CREWS; c++) {
        int crew = c;
        threads.add(Thread.ofVirtual().start(() -> work(crews, crew, ns, changes)));
      }
      Thread memory = Thread.ofVirtual().start(() -> watch(crews));
      for (Thread t : threads) {
        t.join();
      }
      memory.interrupt();
      memory.join();
      Arrays.sort(ns);
      System.out.printf(
          "%n%d crews of %d devices, each crew presses every %d s, the others' streams cut every %d presses: %d told, "
          + "after median %.1f ms, 95th percentile %.1f ms, 99th %.1f ms, longest %.1f ms%n",
          CREWS, 1 + OTHERS, BETWEEN.toSeconds(), STREAM_LASTS, ns.length, ns[ns.length / 2] / 1e6,
          ns[(int) (ns.length * 0.95)] / 1e6, ns[(int) (ns.length * 0.99)] / 1e6, ns[ns.length - 1] / 1e6);
      long[] bytes = changes.stream().mapToLong(n -> n).sorted().toArray();
      System.out.printf("%d changes, on the line each median %d bytes, 99th percentile %d, most %d%n",
          bytes.length, bytes[bytes.length / 2], bytes[(int) (bytes.length * 0.99)], bytes[bytes.length - 1]);
      System.out.printf("the server at the end: %s, %s%n", crews.memory(), crews.heap());
    }
  }

  /** Says what the server holds, so that one sees whether it grows. */
  private static void watch(Crews crews) {
    try {
      for (int minute = WATCH_MINUTES;; minute += WATCH_MINUTES) {
        Thread.sleep(Duration.ofMinutes(WATCH_MINUTES));
        System.out.printf("after %d minutes: %s, %s%n", minute, crews.memory(), crews.heap());
      }
    } catch (InterruptedException over) {
      // All presses are made.
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void work(Crews crews, int crew, long[] ns, List<Long> changes) {
    try {
      Thread.sleep(BETWEEN.multipliedBy(crew).dividedBy(CREWS));
      List<Other> others = Stream.generate(() -> new Other(crews, crew, changes)).limit(OTHERS).toList();
      for (int e = -WARM_UP; e < PRESSES; e++) {
        if (Math.floorMod(e, STREAM_LASTS) == 0 || e == -WARM_UP) {
          for (Other other : others) {
            other.reconnect();
          }
        }
        long from = System.nanoTime();
        long number = crews.press(crew, e + WARM_UP);
        for (int o = 0; o < OTHERS; o++) {
          long told = others.get(o).toldOf(number);
          if (e >= 0) {
            ns[(crew * PRESSES + e) * OTHERS + o] = told - from;
          }
        }
        Thread.sleep(BETWEEN);
      }
      for (Other other : others) {
        other.drop();
      }
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  /** Counts what comes over the line. */
  private static final class Counted extends FilterInputStream {
    private long bytes;

    Counted(InputStream in) {
      super(in);
    }

    @Override
    public int read(byte[] into, int from, int most) throws IOException {
      int n = super.read(into, from, most);
      bytes += Math.max(0, n);
      return n;
    }
  }

  /** Gives what has come without waiting for more: the one of the library says that there always is. */
  private static final class Unpacked extends GZIPInputStream {
    Unpacked(InputStream in) throws IOException {
      super(in);
    }

    @Override
    public int available() {
      return 0;
    }
  }

  /** Another device: when it first knew of each entry. */
  private static final class Other {
    private final Crews crews;
    private final int crew;
    private final List<Long> changes;
    private final ConcurrentSkipListMap<Long, Long> told = new ConcurrentSkipListMap<>();
    private InputStream stream = InputStream.nullInputStream();

    Other(Crews crews, int crew, List<Long> changes) {
      this.crews = crews;
      this.crew = crew;
      this.changes = changes;
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
      Counted line = new Counted(from);
      try (BufferedReader lines = new BufferedReader(
          new InputStreamReader(new Unpacked(line), StandardCharsets.UTF_8))) {
        long before = 0;
        String event = "";
        for (String text = lines.readLine(); text != null; text = lines.readLine()) {
          long at = System.nanoTime();
          if (text.startsWith("event:")) {
            event = text.substring(6).strip();
          } else if (text.startsWith("data:")) {
            if (event.equals("change")) {
              changes.add(line.bytes - before);
            }
            before = line.bytes;
            long number = Crews.number(text);
            synchronized (told) {
              told.putIfAbsent(number, at);
              told.notifyAll();
            }
          }
        }
      } catch (IOException e) {
        // Its own end: it was dropped.
        if (!String.valueOf(e.getMessage()).contains("closed")) {
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
