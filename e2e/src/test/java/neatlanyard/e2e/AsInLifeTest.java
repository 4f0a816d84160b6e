package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.ColorScheme;
import java.time.Duration;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** A departure at its own pace, looked at when it stands so. The pictures of the documentation are taken here. */
public class AsInLifeTest extends AtTheDemo {
  @Test
  public void what_two_people_say_over_an_hour_keeps_its_own_times_and_ends_bare() throws Exception {
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT);
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.DARK);
    wren.takeSeat("right").cutCard();
    ida.takeSeat("left");
    StagedDeparture staged = new StagedDeparture(ida, wren).find("wa-taxi-light", "Taxi light out", "33-3");

    at("07:40:20", staged, wren, ida);
    wren.page.navigate(app.url());
    assertThat(wren.page.locator("main li").first()).containsText("Left flow");
    assertThat(wren.page.locator("main li").first()).containsText("covers and plugs still on");
    wren.picture("departures");
    wren.key("1");
    wren.stage("Walkaround");
    assertThat(wren.page.locator("main h1")).isVisible();
    wren.picture("walkaround-day");
    wren.readable();
    wren.page.setViewportSize(390, 844);
    wren.picture("walkaround-phone");
    wren.page.setViewportSize(1280, 800);
    ida.stage("Flows");
    ida.picture("flow-night");
    ida.readable();

    at("07:55:30", staged, wren, ida);
    ida.tag("Find without a decision").click();
    assertThat(ida.heading("Taxi light out")).isVisible();
    ida.picture("find-night");
    ida.key("w");
    ida.page.keyboard().type("Entered; landing lights for taxi");
    ida.key("Control+Enter");
    assertThat(ida.heading("Every find has its decision")).isVisible();
    assertThat(ida.tag("Done before its time")).not().isVisible();

    at("08:07:50", staged, wren, ida);
    ida.stage("Control check");
    ida.button("Start the check").click();
    assertThat(ida.heading("Control check passed")).isVisible();

    at("08:13:10", staged, wren, ida);
    wren.stage("Before take-off");
    assertThat(wren.page.getByText("Marsk calls, you read")).isVisible();
    wren.picture("checklist-day");

    at("08:16:00", staged, wren, ida);
    ida.stage("Tie off");
    assertThat(ida.heading("The cord is bare")).isVisible();
    staged.hang(StagedDeparture.at("08:16:00"), "Latch of the second galley trolley is loose");
    assertThat(ida.tag("Latch of the second galley trolley is loose")).isVisible();
    ida.page.getByLabel("It may stay, because").fill("Trolley empty and strapped; written in the cabin log");
    ida.picture("tie-off-night");
    ida.readable();
    WholeDepartureTest.tieOffButton(ida).click();
    assertThat(ida.heading("Tied off by Ida Marsk")).isVisible();
    wren.stage("Tie off");
    assertThat(wren.page.getByText("the chain is whole")).isVisible();
    wren.picture("record-day");
    // Each word at the time it was said, not at the time the server heard of it.
    assertThat(staged.saidAt("wa-covers")).isEqualTo(StagedDeparture.at("07:35:40"));
    assertThat(staged.saidAt("pu-battery")).isBetween(StagedDeparture.at("07:26:30"), StagedDeparture.at("07:33:20"));
    leftFor(ida, wren);
  }

  /** The securing that one crew reads is what the next begins from. */
  private void leftFor(Crew ida, Crew wren) {
    ida.button("Securing").click();
    Locator items = ida.page.locator("section[aria-label='Lists after take-off'] ol button");
    for (int i = 0; i < items.count(); i++) {
      items.nth(i).click();
    }
    ida.readable();
    ida.button("Securing complete").click();
    assertThat(ida.page.getByText("8 of 8 answered, Marsk at")).isVisible();
    wren.page.navigate(app.url());
    wren.takeSeat("right", "Vesk \u2013 Ternholm").cut().stage("Safe, then power");
    wren.page.getByText("As Ida Marsk left it").click();
    assertThat(wren.page.getByText("Gust lock in")).isVisible();
  }

  /** The hour comes, and with it what was said until then. */
  private void at(String clock, StagedDeparture staged, Crew wren, Crew ida) throws InterruptedException {
    app.startAgain("--lanyard.begin-at=" + StagedDeparture.at(clock));
    staged.until(StagedDeparture.at(clock));
    staged.seeWhatIsOver(StagedDeparture.at(clock));
    long left = Math.abs(Duration.between(StagedDeparture.at(clock), StagedDeparture.at("08:05:00")).toMinutes());
    for (Crew one : List.of(wren, ida)) {
      one.page.reload();
      // The device's clock follows the server's within a second.
      assertThat(one.page.locator("header")).containsText(
          Pattern.compile("(%d|%d|%d):\\d\\d (to go|past)".formatted(Math.max(0, left - 1), left, left + 1)));
    }
  }
}
