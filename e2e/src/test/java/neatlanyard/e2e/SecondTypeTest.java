package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** The demo's larger type: its own times, its oxygen and its trim, on a flight the desk has brought in. */
@SuppressWarnings("NullAway.Init") // The set-up fills the fields.
public class SecondTypeTest extends AtTheDemo {
  private Crew wren;
  private Crew ida;

  @BeforeMethod
  void crew() {
    wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT);
    ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.DARK);
    LargerType.open(browser, app, ida, wren, List.of("first-flight"));
  }

  private void at(Crew crew, String stage, String part) {
    crew.page.navigate(app.url() + "/departures/larger?stage=" + stage);
    crew.page.locator("main nav button").filter(new Locator.FilterOptions().setHasText(part)).first().click();
    crew.page.locator("main h1").waitFor();
  }

  private static Locator times(Crew crew) {
    return crew.page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Times that run"));
  }

  @Test
  public void its_times_run_on_both_devices_and_keep_what_waits_closed() {
    for (String step : new String[] {"pu-pumps", "pu-masters", "pu-inertial"}) {
      LargerType.says(wren, "step-done", Map.of("step", step));
    }
    LargerType.says(wren, "measured", Map.of("step", "pu-battery", "value", 27));
    LargerType.says(wren, "step-done", Map.of("step", "pu-ac"));
    at(wren, "flows", "Overhead flow");
    at(ida, "flows", "Tests");
    assertThat(times(ida)).containsText("Inertial units: 30 s before they are switched on again");
    assertThat(times(wren)).containsText("AC power: 4 min before the stall-warning test");
    ida.lookAhead("Stall warning, left");
    assertThat(ida.page.getByText("Wait: AC power, 4 min before the stall-warning test")).isVisible();
    wren.lookAhead("Window and probe heat");
    wren.key("Space");
    assertThat(times(ida)).containsText("Window and probe heat: 10 min before take-off");
    at(wren, "line-up", "On the runway");
    wren.lookAhead("Window and probe heat");
    assertThat(wren.page.getByText("Wait: Window and probe heat, 10 min before take-off")).isVisible();
  }

  @Test
  public void oxygen_is_judged_by_the_pressure_before_and_trim_by_the_centre_of_gravity() {
    LargerType.says(wren, "measured", Map.of("step", "sr-oxygen-pressure", "value", 1_850));
    at(ida, "flows", "Left flow");
    ida.lookAhead("Oxygen, left mask");
    ida.key("Space");
    ida.lookAhead("Oxygen pressure, left mask flowing");
    assertThat(ida.page.getByText("Wait: Oxygen, left mask, 5 s before the pressure is read")).isVisible();
    assertThat(ida.page.getByText("Wait: Oxygen, left mask, 5 s before the pressure is read")).not().isVisible();
    ida.enter("1600");
    assertThat(ida.page.getByText("It sags by 250 psi, 100 psi is the most: the bottle valve is not fully open.")
        .first()).isVisible();
    assertThat(ida.tag("Find without a decision")).isVisible();
    ida.lookAhead("Oxygen pressure, left mask flowing");
    ida.enter("1800");
    assertThat(ida.tag("Find without a decision")).not().isVisible();
    ida.page.navigate(app.url() + "/departures/larger?stage=figures");
    assertThat(ida.heading("Figures · 0 of 14 agreed")).isVisible();
    Map.of("centre", "25", "trim", "4").forEach((figure, value) -> {
      LargerType.says(wren, "figure-entered", Map.of("figure", figure, "value", value));
      Papers.enter(ida, figure, value);
      Papers.stands(ida, figure, "agreed");
    });
    ida.key("]");
    ida.page.locator("main h1").waitFor();
    ida.lookAhead("Pitch trim");
    assertThat(ida.page.locator("main").getByText("4 the figures both entered")).isVisible();
  }

  @Test
  public void the_taxi_stage_says_how_far_the_flight_deck_goes_past_the_line() {
    ida.page.navigate(app.url() + "/departures/larger?stage=taxi");
    assertThat(ida.page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Most speed")))
        .containsText("10 kt sharp turn");
    ida.page.getByText("The turn: 16.8 m straight on, then 4.7 m outside the line").click();
    assertThat(ida.page.getByText("Main gear on the line, 90\u00b0 on 28 m")).isVisible();
    assertThat(ida.page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("A turn of 90 degrees")))
        .isVisible();
    ida.readable();
    ida.key("r");
    assertThat(ida.page.getByText("Main gear on the line, 135\u00b0 on 28 m")).isVisible();
  }

  @Test
  public void a_clearance_is_heard_by_each_alone_compared_and_shown_as_a_way() {
    for (Crew one : List.of(ida, wren)) {
      one.page.navigate(app.url() + "/departures/larger?stage=taxi");
    }
    Clearances.open(ida, "4");
    Clearances.pick(ida, "Via", "A");
    Clearances.pick(ida, "Via", "D");
    Clearances.pick(ida, "Hold at", "D1");
    Clearances.panel(ida).getByText("That is what I heard").click();
    assertThat(Clearances.panel(ida)).containsText("You have entered it. Adeyo enters what was heard.");
    assertThat(Clearances.panel(wren)).containsText("Marsk has entered it, covered. Enter what you heard.");
    assertThat(wren.tag("Clearance said by the left seat alone")).isVisible();
    Clearances.say(wren, "4", "D1 via A D cross 16");
    assertThat(Clearances.panel(ida)).containsText("crossing nothing, and 16");
    assertThat(wren.tag("Heard differently")).isVisible();
    Clearances.say(ida, "4", "A D cross runway 16/34, holding point D1");
    assertThat(wren.tag("Heard differently")).not().isVisible();
    ida.page.getByText("The whole way").click();
    Locator way = ida.page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("The way"));
    assertThat(way).containsText("cross 16/34, cleared");
    assertThat(way).containsText("hot spot HS1: 16/34 is lit less than A");
    ida.key(".");
    ida.key(".");
    assertThat(way.locator("[aria-current=step]")).containsText("onto A");
    ida.readable();
    ida.page.getByText("The whole way").click();
    ida.picture("taxi-night");
    ida.page.getByText("Speeds, brakes and the turn").click();
    ida.page.getByText("Brakes that grew hot").click();
    ida.page.getByLabel("Hottest brake").fill("420");
    ida.button("Brakes read").click();
    assertThat(ida.tag("Brakes 420 \u00b0C: cool 50 min without a fan")).isVisible();
    Clearances.say(wren, "4", "A C hold C1");
    assertThat(wren.tag("A changed clearance said by the right seat alone")).isVisible();
    assertThat(Clearances.panel(ida)).containsText("Before it was from stand 4 via A, D to D1, crossing 16");
  }
}
