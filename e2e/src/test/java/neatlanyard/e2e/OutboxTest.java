package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** What a device keeps and sends when the link is bad: everything once, in order. */
public class OutboxTest extends AtTheDemo {
  private static final Pattern STEPS = Pattern.compile("\"words\":\"([^:\"]+): ");

  @Test
  public void presses_without_a_link_arrive_once_and_in_order_when_it_is_back() throws Exception {
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right").cutCard();
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.DARK).takeSeat("left");
    wren.stage("Safe, then power");
    assertThat(wren.heading("Technical log")).isVisible();
    List<String> before = said(ida);

    wren.page.context().setOffline(true);
    for (int i = 0; i < 6; i++) {
      wren.press("Space");
    }
    assertThat(wren.heading("Gear lever")).isVisible();
    assertThat(said(ida)).as("nothing has come through").isEqualTo(before);
    List<String> answered = new ArrayList<>();
    wren.page.onResponse(r -> {
      if (r.url().endsWith("/outbox")) {
        answered.add(r.url());
      }
    });
    wren.page.context().setOffline(false);
    assertThat(ida.page.locator("nav ol").getByText("6 of 36")).isVisible();
    wren.page.waitForCondition(() -> !answered.isEmpty());
    assertThat(answered).as("one round trip for all of them").hasSize(1);
    assertThat(said(ida).subList(before.size(), before.size() + 6)).containsExactly(
        "Technical log", "Deferred defects", "Hydraulic electric pumps", "Boots and mats", "Probe heat", "Wipers");

    lostAnswers(wren, ida);
  }

  /** The server takes events, but its answer is lost: the device sends them again, and each counts once. */
  private static void lostAnswers(Crew wren, Crew ida) {
    int before = said(ida).size();
    AtomicInteger lost = new AtomicInteger();
    wren.page.route("**/outbox", route -> {
      if (lost.getAndIncrement() % 2 == 0) {
        route.fetch();
        route.abort();
      } else {
        route.resume();
      }
    });
    wren.press("Space");
    wren.press("Space");
    assertThat(ida.page.locator("nav ol").getByText("8 of 36")).isVisible();
    // The other hears of it before the device does: what it has no answer to it sends again.
    wren.page.waitForCondition(() -> lost.get() >= 2);
    assertThat(wren.page.locator("main").getByTitle("not yet sent")).hasCount(0);
    assertThat(said(ida).subList(before, said(ida).size())).containsExactly("Gear lever", "Weather radar");
    wren.page.unroute("**/outbox");
  }

  @Test
  public void the_same_person_on_two_devices_sees_one_departure() throws Exception {
    Crew tablet = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right").cutCard();
    Crew phone = Crew.in(browser, app, "Wren Adeyo", ColorScheme.DARK);
    phone.page.setViewportSize(390, 844);
    phone.key("1");
    phone.page.locator("nav ol button").nth(2).click();
    tablet.stage("Walkaround");
    assertThat(phone.heading("Red covers and plugs")).isVisible();
    phone.button("As it should be").click();
    assertThat(tablet.heading("Gear pins")).isVisible();
    assertThat(phone.cordLine()).containsText("1 tag hangs");
    phone.cordLine().click();
    assertThat(phone.cordUnfolded().getByText("6 of 6 covers and plugs still on")).isVisible();
    tablet.press("Shift+Space");
    assertThat(phone.heading("Static ports, left")).isVisible();
    tablet.page.keyboard().press("z");
    assertThat(tablet.page.locator("main").getByText("3 of 74")).isVisible();
    assertThat(phone.page.locator("main").getByText("3 of 74")).isVisible();
  }

  /** The challenges of the steps in the log, in its order. */
  private static List<String> said(Crew crew) {
    return STEPS.matcher(crew.get("/api/departures/today-14/log")).results().map(r -> r.group(1)).toList();
  }
}
