package neatlanyard.bench;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import javax.imageio.ImageIO;

/**
 * Twenty crews pressing once a second, first alone, then beside somebody who guesses passwords in twenty loops, four
 * pack checks, four photo uploads and two imports that never end; the two in turn, so that a machine that drifts shows
 * in both.
 */
final class FloodBench {
  private static final int CREWS = 20;
  private static final int PRESSES = 20;
  private static final int ROUNDS = Integer.getInteger("lanyard.rounds", 3);
  private static final Duration BETWEEN = Duration.ofSeconds(1);
  private static final int LOOPS = Integer.getInteger("lanyard.loops", 20);
  private static final int CHECKS = Integer.getInteger("lanyard.checks", 4);
  private static final int UPLOADS = Integer.getInteger("lanyard.uploads", 4);
  private static final int IMPORTS = Integer.getInteger("lanyard.imports", 2);
  private static final int PART = 64 * 1024;
  /** The most a table has. */
  private static final int ROWS = 5_000;

  private FloodBench() {}

  private interface Work {
    void once() throws Exception;
  }

  static void run() throws Exception {
    try (Crews crews = Crews.start(Files.createTempDirectory("lanyard-bench"), CREWS)) {
      List<Long> quiet = new ArrayList<>();
      List<Long> beside = new ArrayList<>();
      AtomicLong asked = new AtomicLong();
      // The first round warms it up, the flood too: a server in service has met all of it before.
      for (int round = 0; round <= ROUNDS; round++) {
        if (round == 1) {
          quiet.clear();
          beside.clear();
          asked.set(0);
        }
        // The address gets its tries back meanwhile, so that those of the flood can sign in.
        Thread.sleep(Duration.ofSeconds(10));
        quiet.addAll(presses(crews));
        AtomicBoolean going = new AtomicBoolean(true);
        List<Thread> flood = flood(crews.url(), going, asked);
        beside.addAll(presses(crews));
        going.set(false);
        for (Thread t : flood) {
          t.join();
        }
      }
      double quiet99 = percentile(quiet, 0.99);
      double beside99 = percentile(beside, 0.99);
      System.out.printf(
          "%n%d crews, a press a second: quiet median %.1f ms, 99th percentile %.1f ms; beside the flood median %.1f "
          + "ms, 99th %.1f ms, longest %.1f ms"
              + " (%d presses each, %d requests of the flood); 99th to quiet 99th %.1f%n",
          CREWS, percentile(quiet, 0.5), quiet99, percentile(beside, 0.5), beside99, percentile(beside, 1),
          quiet.size(), asked.get(), beside99 / quiet99);
    }
  }

  private static double percentile(List<Long> ns, double p) {
    long[] sorted = ns.stream().mapToLong(n -> n).sorted().toArray();
    return sorted[Math.min(sorted.length - 1, (int) (sorted.length * p))] / 1e6;
  }

  private static List<Long> presses(Crews crews) throws Exception {
    long[] ns = new long[CREWS * PRESSES];
    List<Thread> threads = new ArrayList<>();
    for (int c = 0; c < CREWS; c++) {
      int crew = c;
      threads.add(Thread.ofVirtual().start(() -> {
        try {
          Thread.sleep(BETWEEN.multipliedBy(crew).dividedBy(CREWS));
          for (int p = 0; p < PRESSES; p++) {
            long from = System.nanoTime();
            crews.press(crew, p);
            ns[crew * PRESSES + p] = System.nanoTime() - from;
            Thread.sleep(BETWEEN);
          }
        } catch (Exception e) {
          throw new IllegalStateException(e);
        }
      }));
    }
    for (Thread t : threads) {
      t.join();
    }
    return Arrays.stream(ns).boxed().toList();
  }

  private static List<Thread> flood(String url, AtomicBoolean going, AtomicLong asked) throws Exception {
    List<Thread> flood = new ArrayList<>();
    byte[] pack = Files.readAllBytes(Demo.ROOT.resolve("demo/packs/dovrin-46.yaml"));
    for (int i = 0; i < CHECKS; i++) {
      Device checks = i % 2 == 0 ? new Device(url, "orrin", "line-and-below-6")
          : new Device(url, "rand", "second-look-18");
      flood.add(loop(going, asked, () -> {
        try {
          checks.post("/api/packs/reading", "text/plain", pack);
        } catch (IOException givenUp) {
          // An answer that had begun, for a check that the same person has asked again meanwhile.
        }
      }));
    }
    byte[] picture = picture();
    String sha = HexFormat.of().formatHex(java.security.MessageDigest.getInstance("SHA-256").digest(picture));
    for (int i = 0; i < UPLOADS; i++) {
      Device phone = new Device(url, "bench-" + i % 2, "bench-password-" + i % 2);
      int departure = i % 2 * 8;
      flood.add(loop(going, asked, () -> upload(phone, departure, picture, sha)));
    }
    StringBuilder readings = new StringBuilder("tail,quantity,at,landings,hours,value\r\n");
    for (int i = 0; i < ROWS; i++) {
      readings.append("TL-DVB,wear-left,-PT%dH,%d,%d,9.5\r\n".formatted(i + 1, i, i));
    }
    byte[] table = readings.toString().getBytes(StandardCharsets.UTF_8);
    for (int i = 0; i < IMPORTS; i++) {
      Device device = new Device(url, "varga", "torque-stripe-7");
      flood.add(loop(going, asked, () -> device.post("/api/readings", "text/plain", table)));
    }
    // Last: from the same address nobody new comes in while these go on.
    for (int i = 0; i < LOOPS; i++) {
      Device stranger = new Device(url);
      Random random = new Random(i);
      flood.add(loop(going, asked, () -> stranger.post("/api/session", "application/json",
          "{\"who\":\"name-%d\",\"password\":\"guess-%d\"}".formatted(random.nextInt(50), random.nextInt())
          .getBytes(StandardCharsets.UTF_8))));
    }
    return flood;
  }

  private static Thread loop(AtomicBoolean going, AtomicLong asked, Work work) {
    return Thread.ofVirtual().start(() -> {
      try {
        while (going.get()) {
          work.once();
          asked.incrementAndGet();
        }
      } catch (Exception e) {
        throw new IllegalStateException(e);
      }
    });
  }

  private static void upload(Device phone, int departure, byte[] picture, String sha) throws Exception {
    UUID id = UUID.randomUUID();
    for (int from = 0; from < picture.length; from += PART) {
      phone.post("/api/departures/b-%d/photos/%s?sha256=%s&total=%d&from=%d".formatted(departure, id, sha,
          picture.length, from),
          "application/octet-stream", Arrays.copyOfRange(picture, from, Math.min(picture.length, from + PART)));
    }
  }

  private static byte[] picture() throws Exception {
    BufferedImage image = new BufferedImage(1_600, 1_200, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(1);
    for (int i = 0; i < 1_600 * 1_200; i++) {
      image.setRGB(i % 1_600, i / 1_600, random.nextInt());
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "jpeg", out);
    return out.toByteArray();
  }
}
