package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import com.google.gson.JsonObject;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Not a test: how long a tap takes until it is painted, over a whole walk without a network on a slowed phone. Run by
 * name ({@code -Dtest=WalkMeasure}); see docs/performance.md.
 */
public class WalkMeasure {
  private static final double BETWEEN_TAPS_MS = 400;

  /** The demo's larger type, with everything on its card that the day can put there. */
  private static final String FLIGHT = """
      format: neat-lanyard/flights/1
      flights:
        - {id: measured, number: Flight 90, tail: TL-HYA, from: QTRN, to: QBRN, departs-in: PT1H,
           crew: [{who: marsk, seat: left, commander: true, flying: true}, {who: adeyo, seat: right}]}
      """;

  /** The browser's own event timing: from the input to the next paint, in steps of 8 ms. */
  private static final String WATCH = """
      window.taps = [];
      new PerformanceObserver((list) => list.getEntries().filter((e) => e.name === 'click').forEach((e) => window.taps.push(e.duration)))
        .observe({ type: 'event', durationThreshold: 16, buffered: true })""";

  /** How many times slower than this machine the phone is taken to be. */
  @DataProvider
  static Object[][] phones() {
    return new Object[][] {{1}, {2}, {4}};
  }

  @Test(dataProvider = "phones")
  public void measure(int slower) throws Exception {
    try (Application app = Application.demo(); Playwright playwright = Playwright.create(); Browser browser = Crew.browser(playwright)) {
      Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.LIGHT);
      Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT);
      Crew.in(browser, app, "Bas Orrin", ColorScheme.LIGHT).post("/api/flights", "text/plain", FLIGHT);
      ida.post("/api/departures/measured/open", "application/json", "{}");
      ida.send("measured", Crew.eventId(), "d1", "seat-taken", Map.of("seat", "left"));
      wren.send("measured", Crew.eventId(), "d1", "seat-taken", Map.of("seat", "right"));
      wren.send("measured", Crew.eventId(), "d1", "day-set", Map.of(
          "report", "METAR QTRN 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003", "simulated", false,
          "circumstances", List.of("first-flight", "after-maintenance", "after-wash", "after-deicing", "long-stop", "fuelling")));
      wren.page.setViewportSize(390, 844);
      wren.page.navigate(app.url() + "/departures/measured?stage=walkaround");
      assertThat(wren.heading("Red covers")).isVisible();
      CDPSession devtools = wren.page.context().newCDPSession(wren.page);
      JsonObject rate = new JsonObject();
      rate.addProperty("rate", slower);
      devtools.send("Emulation.setCPUThrottlingRate", rate);
      wren.page.evaluate(WATCH);
      wren.page.context().setOffline(true);
      int taps = 0;
      String h1 = wren.page.locator("main h1").textContent();
      while (!h1.contains("answered") && taps < 200) {
        String before = h1;
        if (wren.page.locator("main input[aria-label^='Value, ']").count() > 0 && wren.button("Enter the value").isVisible()) {
          wren.page.locator("main input[aria-label^='Value, ']").fill("80");
        }
        BoundingBox main = wren.page.locator("main button[data-main]").first().boundingBox();
        wren.page.mouse().click(main.x + main.width / 2, main.y + main.height / 2);
        // As long as a hand takes, so that the looking on does not slow what is looked at.
        wren.page.waitForTimeout(BETWEEN_TAPS_MS);
        wren.page.waitForCondition(() -> !wren.page.locator("main h1").textContent().equals(before));
        h1 = wren.page.locator("main h1").textContent();
        taps++;
      }
      List<Double> durations = new ArrayList<>();
      for (Object o : (List<?>) wren.page.evaluate("() => new Promise((done) => requestIdleCallback(() => done(window.taps)))")) {
        durations.add(((Number) o).doubleValue());
      }
      Collections.sort(durations);
      System.out.printf("%d taps without a network, processor slowed %d times; over 16 ms: %d, median %.0f, 95th percentile %.0f, longest %.0f ms%n",
          taps, slower, durations.size(), at(durations, 0.5), at(durations, 0.95), at(durations, 1));
    }
  }

  private static double at(List<Double> sorted, double share) {
    return sorted.isEmpty() ? 0 : sorted.get((int) Math.min(sorted.size() - 1, Math.floor(share * sorted.size())));
  }
}
