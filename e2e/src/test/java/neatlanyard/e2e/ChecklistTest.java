package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Clock;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.Map;
import org.testng.annotations.Test;

/**
 * Reading and answering on two devices, what is held and what comes back; three seats; and being asked after a quiet
 * time.
 */
@SuppressWarnings("NullAway.Init")
public class ChecklistTest extends AtTheDemo {
  private static Locator action(Crew crew, String name) {
    return crew.page.locator("main").getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name));
  }

  @Test
  public void one_reads_the_other_answers_what_is_held_stays_in_sight_and_what_is_untrue_comes_back() {
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right").cutCard();
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.DARK).takeSeat("left");
    for (Crew crew : new Crew[] {wren, ida}) {
      crew.stage("Before take-off");
      crew.page.getByRole(AriaRole.BUTTON).getByText("Before take-off").last().click();
      assertThat(crew.heading("Wings and tail")).isVisible();
    }
    assertThat(wren.page.getByText("Marsk calls, you read")).isVisible();
    assertThat(ida.page.getByText("Adeyo reads, you look and answer")).isVisible();
    wren.key("Space");
    ida.key("Space");
    for (Crew crew : new Crew[] {wren, ida}) {
      assertThat(crew.heading("Flaps")).isVisible();
      crew.answer();
    }
    assertThat(wren.heading("Trims")).isVisible();
    assertThat(wren.page.getByText("Read aloud")).isVisible();
    assertThat(action(wren, "Seen and answered")).not().isVisible();
    ida.key("a");
    ida.page.keyboard().type("Rudder trim still runs");
    ida.key("Control+Enter");
    assertThat(wren.page.getByText("Trims, Rudder trim still runs").first()).isVisible();
    assertThat(wren.heading("Speeds")).isVisible();
    wren.page.getByLabel("What the simulated aircraft shows").selectOption("not/flaps");
    action(wren, "Read the aircraft").click();
    assertThat(ida.page.getByText("Flaps: 15 wanted, 0 by the aircraft's own data")).isVisible();
    assertThat(ida.heading("Flaps")).isVisible();
    assertThat(ida.page.getByText("Asked again: 0 since, by the aircraft's own data.")).isVisible();
    wren.readable();
    ida.readable();
    assertThat(wren.heading("Flaps")).isVisible();
    wren.answer();
    assertThat(wren.page.getByText("Marsk answers")).isVisible();
    ida.answer();
    assertThat(wren.heading("Speeds")).isVisible();
    ida.key("w");
    assertThat(ida.page.getByText("alerting would tell")).hasCount(1);
    // Nothing is said on the runway while the flaps are not out by all that is known.
    wren.page.getByLabel("What the simulated aircraft shows").selectOption("not/flaps");
    action(wren, "Read the aircraft").click();
    wren.stage("Line-up");
    assertThat(wren.page.getByText("Take-off configuration. Flaps: 15 wanted, 0 by the aircraft's own data"))
        .isVisible();
    assertThat(action(wren, "Done space")).isDisabled();
  }

  @Test
  public void a_third_seat_works_its_own_steps_and_hands_its_panel_over() {
    Crew tomas = Crew.in(browser, app, "Tomas Quill", ColorScheme.LIGHT);
    Crew petra = Crew.in(browser, app, "Petra Holm", ColorScheme.LIGHT);
    Crew jun = Crew.in(browser, app, "Jun Saldo", ColorScheme.DARK);
    petra.post("/api/departures/today-22/open", "application/json", "{}");
    tomas.send("today-22", Crew.eventId(), "d1", "seat-taken", Map.of("seat", "left"));
    petra.send("today-22", Crew.eventId(), "d2", "seat-taken", Map.of("seat", "right"));
    jun.send("today-22", Crew.eventId(), "d3", "seat-taken", Map.of("seat", "engineer"));
    petra.send("today-22", Crew.eventId(), "d2", "day-set", Map.of(
        "report", "METAR QTRN 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003", "simulated", false,
        "circumstances", new String[] {"fuelling"}));
    jun.page.navigate(app.url() + "/departures/today-22?stage=flows");
    tomas.page.navigate(app.url() + "/departures/today-22?stage=flows");
    assertThat(jun.heading("Fuel ordered")).isVisible();
    assertThat(jun.page.locator("main").getByLabel("engineer's seat").first()).isVisible();
    jun.enter("3000");
    assertThat(jun.heading("Fuel before fuelling")).isVisible();
    assertThat(tomas.page.locator("aside").getByText("Jun Saldo")).isVisible();
    jun.readable();
    action(jun, "Hand this panel to Quill").click();
    assertThat(jun.page.getByText("This is the other seat's.")).isVisible();
    while (!tomas.page.locator("main h1").textContent().equals("Fuel before fuelling")) {
      tomas.press("ArrowDown");
    }
    tomas.enter("900");
    assertThat(tomas.heading("Fuel before fuelling")).not().isVisible();
  }

  @Test
  public void after_a_quiet_time_it_is_asked_and_what_is_said_counts_from_when_it_began() {
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right").cutCard();
    wren.page.clock().install(new Clock.InstallOptions().setTime(System.currentTimeMillis()));
    wren.page.navigate(app.url() + "/departures/today-14?stage=power-up");
    assertThat(wren.heading("Technical log")).isVisible();
    wren.key("Space");
    assertThat(wren.heading("Deferred defects")).isVisible();
    wren.page.clock().fastForward(4 * 60_000);
    assertThat(wren.page.getByText("Were you called away?")).isVisible();
    wren.key("j");
    assertThat(wren.page.getByText("Were you called away?")).not().isVisible();
    wren.page.clock().fastForward(4 * 60_000);
    assertThat(wren.page.getByText("Were you called away?")).isVisible();
    wren.key("y");
    assertThat(wren.page.getByText("Called away at")).isVisible();
    assertThat(wren.heading("Technical log")).isVisible();
  }
}
