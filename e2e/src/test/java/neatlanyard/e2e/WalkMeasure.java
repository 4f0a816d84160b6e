package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import com.google.gson.JsonObject;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Not a test: how long a tap takes until it is painted, over a whole walk without a network on a slowed phone. Run by
 * name ({@code -Dtest=WalkMeasure}); see docs/performance.md.
 */
public class WalkMeasure extends AtTheDemo {
  private static final double BETWEEN_TAPS_MS = Double.parseDouble(
      System.getProperty("lanyard.between-taps-ms", "400"));
  /** How long a finger stays down; at 0 what the press itself draws is still being drawn when it comes up. */
  private static final int FINGER_DOWN_MS = Integer.getInteger("lanyard.finger-ms", 0);

  /** The browser's own event timing: from the input to the next paint, in steps of 8 ms. */
  private static final String WATCH = """
      window.taps = [];
      new PerformanceObserver((list) => list.getEntries().filter((e) => e.name === 'click').forEach((e) =>
          window.taps.push([e.duration, e.processingStart - e.startTime, e.processingEnd - e.processingStart])))
        .observe({ type: 'event', durationThreshold: 16, buffered: true })""";

  /**
   * What a browser is worth as a machine: the index by which Lighthouse 12 (computeBenchmarkIndex) tells classes of
   * devices apart. By its own scale 1000 and more is a desktop, from 800 a high-end phone, from 125 a mid-tier one.
   */
  private static final String INDEX = """
      () => {
        const times = (once) => {
          const start = Date.now()
          let n = 0
          while (n % 10 !== 0 || Date.now() - start < 500) once(n++)
          return n / 10 / ((Date.now() - start) / 1000)
        }
        const strings = times(() => {
          let s = ''
          for (let j = 0; j < 10000; j++) s += 'a'
          if (s.length === 1) throw new Error('never')
        })
        const a = Array.from({ length: 100000 }, (_, i) => i), b = [...a]
        const copies = times((n) => {
          const from = n % 2 === 0 ? a : b, to = n % 2 === 0 ? b : a
          for (let j = 0; j < from.length; j++) to[j] = from[j]
        })
        return (strings + copies) / 2
      }""";

  /** How many times slower than this machine the phone is taken to be. */
  @DataProvider
  static Object[][] phones() {
    return Arrays.stream(System.getProperty("lanyard.slower", "1,2,4").split(","))
        .map(s -> new Object[] {Integer.parseInt(s)}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "phones")
  public void measure(int slower) throws Exception {
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.LIGHT);
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT);
    // Everything on its card that a day can put there.
    LargerType.open(browser, app, ida, wren,
        List.of("first-flight", "after-maintenance", "after-wash", "after-deicing", "long-stop", "fuelling"));
    // The wear pins are closed until the parking brake is set.
    LargerType.says(wren, "step-done", Map.of("step", "pu-brake"));
    wren.page.setViewportSize(390, 844);
    wren.page.navigate(app.url() + "/departures/larger?stage=walkaround");
    assertThat(wren.heading("Red covers")).isVisible();
    CDPSession devtools = wren.page.context().newCDPSession(wren.page);
    JsonObject rate = new JsonObject();
    rate.addProperty("rate", slower);
    devtools.send("Emulation.setCPUThrottlingRate", rate);
    double index = ((Number) wren.page.evaluate(INDEX)).doubleValue();
    wren.page.evaluate(WATCH);
    wren.page.context().setOffline(true);
    int taps = 0;
    String h1 = wren.page.locator("main h1").textContent();
    while (!h1.contains("answered") && taps < 200) {
      String before = h1;
      if (wren.page.locator("main input[aria-label^='Value, ']").count() > 0 && wren.button("Enter the value")
          .isVisible()) {
        wren.page.locator("main input[aria-label^='Value, ']").fill("80");
      }
      BoundingBox main = wren.page.locator("main button[data-variant=main]").first().boundingBox();
      wren.page.mouse().click(main.x + main.width / 2, main.y + main.height / 2,
          new Mouse.ClickOptions().setDelay(FINGER_DOWN_MS));
      // As long as a hand takes, so that the looking on does not slow what is looked at.
      wren.page.waitForTimeout(BETWEEN_TAPS_MS);
      wren.page.waitForCondition(() -> !wren.page.locator("main h1").textContent().equals(before));
      h1 = wren.page.locator("main h1").textContent();
      taps++;
    }
    List<Tap> timed = new ArrayList<>();
    for (Object o
        : (List<?>) wren.page.evaluate("() => new Promise((done) => requestIdleCallback(() => done(window.taps)))")) {
      List<Double> t = ((List<?>) o).stream().map(n -> ((Number) n).doubleValue()).toList();
      timed.add(new Tap(timed.size() + 1, t.get(0), t.get(1), t.get(2)));
    }
    timed.sort(Comparator.comparing(Tap::whole));
    System.out.printf(
        "%d taps without a network, processor slowed %d times to an index of %.0f; over 16 ms: %d, median %.0f, 95th "
        + "percentile %.0f, longest %.0f ms%n",
        taps, slower, index, timed.size(), at(timed, 0.5), at(timed, 0.95), at(timed, 1));
    timed.reversed().stream().limit(5).forEach(t ->
        System.out.printf("  tap %d: %.0f ms, of which %.0f before the page was told of it and %.0f at work on it%n",
            t.number, t.whole, t.untold, t.work));
  }

  /**
   * In milliseconds: from the input to the next paint, to the page being told of it, and what the page then did before
   * it was painted.
   */
  private record Tap(int number, double whole, double untold, double work) {}

  private static double at(List<Tap> sorted, double share) {
    return sorted.isEmpty() ? 0
        : sorted.get((int) Math.min(sorted.size() - 1, Math.floor(share * sorted.size()))).whole;
  }
}
