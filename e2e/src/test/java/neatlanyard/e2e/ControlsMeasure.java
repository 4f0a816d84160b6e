package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.options.ColorScheme;
import org.testng.annotations.Test;

/**
 * Not a test: how many frames a second the picture of a control check under way holds, and how busy the page is. Run
 * by name ({@code -Dtest=ControlsMeasure}); see docs/performance.md.
 */
public class ControlsMeasure extends AtTheDemo {
  private static final int MEASURED_MS = Integer.getInteger("lanyard.measured-ms", 15_000);

  /** Frames that were drawn, and the longest time between two, ms. */
  private static final String FRAMES = """
      (ms) => new Promise((done) => {
        let frames = 0, longest = 0, from = performance.now(), before = from
        const step = (now) => {
          frames++
          longest = Math.max(longest, now - before)
          before = now
          if (now - from < ms) requestAnimationFrame(step)
          else done([frames / ((now - from) / 1000), longest])
        }
        requestAnimationFrame(step)
      })""";

  @Test
  public void frames_and_work_while_a_check_is_made() {
    try (Application slow = Application.demoNow()) {
      Crew wren = Crew.in(browser, slow, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right").cutCard();
      wren.stage("Control check");
      wren.key("]");
      say("at rest", wren);
      wren.button("Start the check").click();
      assertThat(wren.button("Full up")).isEnabled();
      say("while the check is made", wren);
    }
  }

  private static void say(String what, Crew crew) {
    CDPSession page = crew.page.context().newCDPSession(crew.page);
    page.send("Performance.enable");
    double before = busy(page);
    Object frames = crew.page.evaluate(FRAMES, MEASURED_MS);
    double share = (busy(page) - before) / (MEASURED_MS / 1_000.0);
    System.out.printf("%s: frames a second and the longest time between two in ms: %s; main thread busy %.0f %%%n",
        what, frames, share * 100);
  }

  /** Seconds for which the page's main thread had something to do. */
  private static double busy(CDPSession page) {
    for (JsonElement metric : page.send("Performance.getMetrics").getAsJsonArray("metrics")) {
      JsonObject m = metric.getAsJsonObject();
      if (m.get("name").getAsString().equals("TaskDuration")) {
        return m.get("value").getAsDouble();
      }
    }
    throw new IllegalStateException("The browser tells no such metric");
  }
}
