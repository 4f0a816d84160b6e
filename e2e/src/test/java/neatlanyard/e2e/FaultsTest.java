package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** What goes wrong in mid-departure: a killed server, a reload, two people who disagree, a report nobody can read. */
@SuppressWarnings("NullAway.Init") // The set-up fills the fields.
public class FaultsTest extends AtTheDemo {
  private Crew wren;
  private Crew ida;

  @BeforeMethod
  void crew() {
    wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right");
    ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.DARK).takeSeat("left");
  }

  @Test
  @Killed
  public void a_killed_server_loses_nothing_that_was_acknowledged_and_nothing_that_was_pressed() throws Exception {
    wren.cutCard();
    wren.stage("Walkaround");
    wren.pressUntil("Space", "Chocks", 3);
    assertThat(ida.tag("6 of 6 covers and plugs still on")).isVisible();
    UUID last = Crew.eventId();
    APIResponse acknowledged = wren.send("today-14", last, "d-test", "step-done", Map.of("step", "wa-chocks"));
    assertThat(acknowledged.status()).isEqualTo(200);
    String before = wren.get("/api/departures/today-14/log");

    app.kill();
    assertThat(wren.page.getByText("Not connected")).isVisible();
    // Pressed while nobody answers: kept on the device, over a reload of the page too.
    wren.pressUntil("Space", "Pitot tube, left", 2);
    assertThat(wren.page.getByText("1 kept here")).isVisible();
    app.startAgain();

    assertThat(wren.page.getByText("Not connected")).not()
        .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions().setTimeout(40_000));
    assertThat(ida.tag("5 of 6 covers and plugs still on"))
        .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions().setTimeout(40_000));
    String after = wren.get("/api/departures/today-14/log");
    assertThat(hashes(after)).as("every acknowledged entry, with its hash")
        .startsWith(hashes(before).toArray(String[]::new));
    APIResponse again = wren.send("today-14", last, "d-test", "step-done", Map.of("step", "wa-chocks"));
    assertThat(again.text()).as("sent again after the restart, it is the entry it was").isEqualTo(acknowledged.text());
  }

  private static List<String> hashes(String log) {
    return Pattern.compile("\"hash\":\"(\\w{64})\"").matcher(log).results().map(r -> r.group(1)).toList();
  }

  @Test
  public void a_reload_loses_nothing_that_was_entered() {
    wren.page.getByLabel("Station report").fill("METAR QTRN 140720Z 20005KT CAVOK 04/01 Q1011");
    wren.page.getByText("Fuelling", new Page.GetByTextOptions().setExact(true)).click();
    wren.page.reload();
    assertThat(wren.page.getByLabel("Station report")).hasValue("METAR QTRN 140720Z 20005KT CAVOK 04/01 Q1011");
    assertThat(wren.page.getByLabel("Fuelling", new Page.GetByLabelOptions().setExact(true))).isChecked();
    assertThat(wren.page.getByText("wind 200° 5 kt")).isVisible();
    wren.button("Cut the card").click();
    assertThat(wren.page.getByText("steps today")).isVisible();
    wren.stage("Walkaround");
    assertThat(wren.heading("Red covers and plugs")).isVisible();
    wren.key("f");
    wren.page.keyboard().type("Streamer missing on the");
    wren.page.reload();
    assertThat(wren.heading("Red covers and plugs")).isVisible();
    wren.key("f");
    assertThat(wren.page.getByLabel("What is not as it should be?")).hasValue("Streamer missing on the");
  }

  @Test
  public void a_view_that_fails_says_so_and_loads_again() {
    wren.page.route("**/api/packs", route ->
        route.fulfill(new Route.FulfillOptions().setContentType("application/json").setBody("{}")));
    wren.page.navigate(app.url() + "/packs");
    assertThat(wren.page.getByText("This view failed")).isVisible();
    wren.readable();
    wren.page.unroute("**/api/packs");
    wren.key("Enter");
    assertThat(wren.page.getByText("Dovrin 46").first()).isVisible();
    assertThat(wren.page.getByText("This view failed")).not().isVisible();
  }

  @Test
  public void two_browsers_that_disagree_on_a_step_both_show_it() {
    wren.cutCard();
    wren.stage("Walkaround");
    ida.stage("Walkaround");
    wren.key("Space");
    assertThat(ida.heading("Gear pins")).isVisible();
    ida.page.locator("main").getByText("Red covers and plugs").first().click();
    assertThat(ida.heading("Red covers and plugs")).isVisible();
    ida.key("f");
    ida.page.keyboard().type("I count five");
    ida.key("Control+Enter");
    assertThat(wren.tag("Two answers to one step")).isVisible();
    assertThat(ida.tag("Two answers to one step")).isVisible();
    wren.page.locator("main").getByText("Red covers and plugs").first().click();
    for (Crew c : new Crew[] {wren, ida}) {
      c.tag("Two answers to one step").click();
      assertThat(c.page.getByText("Adeyo: done")).isVisible();
      assertThat(c.page.getByText("Marsk: find, I count five")).isVisible();
    }
  }

  @Test
  public void the_other_seats_step_cannot_be_pressed_and_a_refusal_stays_in_sight() {
    wren.cutCard();
    ida.stage("Walkaround");
    assertThat(ida.page.getByText("This is the other seat's. You can still raise a find.")).isVisible();
    assertThat(ida.button("As it should be")).isDisabled();
    // A device that is behind: it sends what the server no longer takes.
    APIResponse early = wren.send("today-14", Crew.eventId(), "d-late", "step-done", Map.of("step", "bt-config"));
    assertThat(early.status()).isEqualTo(409);
    assertThat(early.text()).contains("Before it comes Wings and tail.");
    // Both take off the same tag, one of them without a network.
    String tag = Crew.eventId().toString();
    ida.send("today-14", Crew.eventId(), "d-ida", "tag-hung",
        Map.of("tag", tag, "words", "Air for the cabin", "due", "flows"));
    wren.tag("Air for the cabin").click();
    wren.page.context().setOffline(true);
    wren.button("Done, take it off").click();
    ida.send("today-14", Crew.eventId(), "d-ida", "tag-taken", Map.of("tag", tag));
    wren.page.context().setOffline(false);
    assertThat(wren.page.getByText("Not taken: Air for the cabin. That tag does not hang.")).isVisible();
    wren.page.reload();
    assertThat(wren.page.getByText("Not taken: Air for the cabin. That tag does not hang.")).isVisible();
    wren.key("x");
    assertThat(wren.page.getByText("Not taken")).not().isVisible();
  }

  @Test
  public void a_report_nobody_can_read_names_each_fault_and_cuts_no_card() {
    wren.page.getByLabel("Station report").fill("METAR QTRN 140760Z 24012KT 9000 -XX M02/M04");
    assertThat(wren.page.getByText("line 1, column 16: '140760Z': 60 is more than 59 minutes.")).isVisible();
    assertThat(wren.page.getByText("'-XX' is not a group of the code form.")).isVisible();
    assertThat(wren.page.getByText("It lacks the pressure setting, such as Q1003.")).isVisible();
    assertThat(wren.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Cut the card"))).isDisabled();
  }

  @Test
  public void the_state_of_the_day_changes_the_card_and_done_stays_done() {
    wren.cutCard();
    wren.stage("Walkaround");
    wren.pressUntil("Space", "Gear pins", 1);
    wren.stage("Status and day");
    wren.page.getByLabel("Maintenance since the last flight").check();
    wren.button("Cut the card again").click();
    assertThat(wren.page.getByText("maintenance since the last flight").first()).isVisible();
    assertThat(wren.page.getByText("23 left out")).isVisible();
    wren.stage("Walkaround");
    assertThat(wren.heading("Gear pins")).isVisible();
    assertThat(wren.page.locator("main").getByText("1 of 82")).isVisible();
  }
}
