package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/**
 * Two seats at once in the flight deck: what is closed, what runs, what is hung by hand, being called away, a panel
 * handed over.
 */
@SuppressWarnings("NullAway.Init") // The set-up fills the fields.
public class TogetherTest extends AtTheDemo {
  private Crew wren;
  private Crew ida;

  @BeforeMethod
  void crew() {
    wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.DARK).takeSeat("right").cutCard();
    ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.LIGHT).takeSeat("left");
  }

  private void done(String... steps) {
    for (String step : List.of(steps)) {
      wren.send("today-14", Crew.eventId(), "d-test", "step-done", Map.of("step", step));
    }
  }

  @Test
  public void what_is_on_is_found_so_its_time_runs_on_both_and_what_waits_is_closed() {
    wren.stage("Safe, then power");
    wren.readable();
    // The simulated aircraft was left powered; what it says counts once somebody has seen it.
    wren.key("q");
    assertThat(wren.page.getByText("the aircraft says so").first()).isVisible();
    wren.key("e");
    assertThat(wren.tag("APU running, packs off")).isVisible();
    assertThat(wren.page.locator("main").getByText("APU: 3 min before bleed air is taken")).isVisible();
    assertThat(ida.page.locator("main").getByText("APU: 3 min before bleed air is taken")).isVisible();
    wren.stage("Flows");
    wren.lookAhead("Packs");
    assertThat(wren.page.getByText("Wait: APU, 3 min before bleed air is taken")).isVisible();
    assertThat(wren.page.locator("main")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Done space"))).isDisabled();
    wren.page.reload();
    assertThat(wren.page.locator("main").getByText("APU: 3 min before bleed air is taken")).isVisible();
  }

  @Test
  public void a_time_begun_without_a_network_counts_from_the_press() {
    wren.stage("Flows");
    wren.lookAhead("Window heat");
    wren.page.context().setOffline(true);
    wren.key("Space");
    assertThat(wren.page.locator("main").getByText("Window heat: 10 min before take-off")).isVisible();
    assertThat(wren.tag("Window heat: 10 min before take-off")).isVisible();
    assertThat(ida.page.getByText("Window heat: 10 min before take-off")).hasCount(0);
    wren.page.context().setOffline(false);
    assertThat(ida.page.locator("main").getByText("Window heat: 10 min before take-off")).isVisible();
    // The same on both, however late one of them heard of it.
    String until = "() => document.querySelector('ul[aria-label=\"Times that run\"] b').textContent";
    assertThat(seconds(ida.page.evaluate(until))).isCloseTo(seconds(wren.page.evaluate(until)), within(2));
  }

  /** Of a time such as 9:41. */
  private static int seconds(Object shown) {
    String[] parts = shown.toString().split(":");
    return 60 * Integer.parseInt(parts[0]) + Integer.parseInt(parts[1]);
  }

  @Test
  public void what_needs_another_step_is_closed_leads_to_it_and_is_passed_with_words() {
    wren.stage("Walkaround");
    wren.page.setViewportSize(390, 844);
    wren.page.navigate(app.url() + "/departures/today-14?stage=power-up");
    wren.page.locator("main h1").waitFor();
    wren.lookAhead("Fire warning");
    assertThat(wren.page.getByText("Before it comes Battery")).isVisible();
    wren.button("Go there").click();
    assertThat(wren.heading("Battery")).isVisible();
    wren.page.locator("main li").getByText("Fire warning").click();
    wren.goPast("Proven by maintenance ten minutes ago");
    wren.page.setViewportSize(1280, 800);
    assertThat(ida.tag("Done before its time")).isVisible();
  }

  @Test
  public void a_tag_by_hand_hangs_on_both_until_it_is_taken_off() {
    ida.key("h");
    ida.page.keyboard().type("Air for the cabin: packs on when the APU is ready");
    ida.page.getByLabel("Gone by the end of").selectOption("Flows");
    ida.page.getByLabel("Call").selectOption("after 1 min");
    ida.key("Control+Enter");
    assertThat(wren.tag("Air for the cabin")).isVisible();
    wren.tag("Air for the cabin").click();
    assertThat(wren.page.getByText("Hung by Marsk")).isVisible();
    wren.button("Done, take it off").click();
    assertThat(ida.tag("Air for the cabin")).not().isVisible();
  }

  @Test
  public void a_tag_that_calls_counts_on_both_and_is_taken_off_where_it_calls() {
    String tag = Crew.eventId().toString();
    ida.send("today-14", Crew.eventId(), "d-test", "tag-hung",
        Map.of("tag", tag, "words", "Ask for the stairs", "due", "FLOWS", "calls", "2027-01-14T07:29:00Z"));
    Locator times = wren.page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Times that run"));
    assertThat(times.getByText("Ask for the stairs")).isVisible();
    // The device's clock runs ahead by what is left; the server's does not.
    wren.page.clock().install();
    wren.page.clock().fastForward("05:00");
    assertThat(times.getByText("Done, take it off")).isVisible();
    wren.key("m");
    assertThat(ida.tag("Ask for the stairs")).not().isVisible();
    assertThat(times).not().isVisible();
  }

  @Test
  public void who_is_called_away_comes_back_to_what_was_sure() {
    wren.stage("Safe, then power");
    wren.pressUntil("Space", "Hydraulic electric pumps", 3);
    wren.press("Space");
    wren.key("i");
    assertThat(wren.page.getByText("Called away at")).isVisible();
    assertThat(wren.heading("Hydraulic electric pumps")).isVisible();
    assertThat(ida.tag("Called away")).isVisible();
    wren.page.reload();
    assertThat(wren.page.getByText("Called away at")).isVisible();
    assertThat(wren.heading("Hydraulic electric pumps")).isVisible();
    wren.key("Space");
    assertThat(wren.page.locator("main h1")).hasText("Hydraulic electric pumps");
    assertThat(wren.page.locator("main").getByText("3 of 20").first()).isVisible();
    assertThat(ida.tag("Called away")).not().isVisible();
  }

  @Test
  public void a_panel_is_handed_over_and_both_see_it() {
    done("pu-pumps-off", "pu-brake");
    wren.stage("Flows");
    assertThat(wren.heading("Generators")).isVisible();
    wren.button("Hand this panel to Marsk").click();
    ida.stage("Flows");
    ida.button("Overhead flow").click();
    assertThat(ida.heading("Generators")).isVisible();
    // The card with the panel in its new hands comes to both by the stream.
    assertThat(ida.page.locator("main button[data-variant=main]").first()).isEnabled();
    ida.key("Space");
    assertThat(ida.heading("Inverter")).isVisible();
    assertThat(wren.heading("Fuel pumps")).isVisible();
  }
}
