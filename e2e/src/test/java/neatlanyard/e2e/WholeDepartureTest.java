package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import neatlanyard.cli.Lanyard;
import org.testng.annotations.Test;

/** A first officer and a captain, each at their own browser, from the door to the record. */
public class WholeDepartureTest extends AtTheDemo {
  @Test
  public void two_browsers_run_a_whole_departure() throws Exception {
    Crew visitor = Crew.at(browser, app, ColorScheme.LIGHT);
    assertThat(visitor.page.getByText("Demo: Ternholm Air Link")).isVisible();
    visitor.readable();
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT);
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.DARK);
    day(wren, ida);
    powerUp(wren, ida);
    walkaround(wren, ida);
    flowsAtOnce(wren, ida);
    decideFind(wren, ida);
    start(wren, ida);
    controls(ida);
    checklist(wren, ida);
    tieOff(wren, ida);
  }

  private static void day(Crew wren, Crew ida) {
    wren.takeSeat("right").cutCard();
    assertThat(wren.page.getByText("no freight door on this tail").first()).isVisible();
    assertThat(wren.page.getByText("first flight of the day").first()).isVisible();
    assertThat(wren.page.getByText("dark until 07:5")).isVisible();
    ida.takeSeat("left");
    assertThat(wren.page.getByText("left seat taken")).isVisible();
    wren.picture("day-and-card");
    wren.readable();
  }

  private static void powerUp(Crew wren, Crew ida) {
    wren.stage("Safe, then power");
    wren.pressUntil("Space", "Battery", 13);
    assertThat(wren.page.locator("main form").getByText("22 V to 30 V")).isVisible();
    wren.enter("12");
    assertThat(wren.page.getByText("12 V is under the least, 22 V.").first()).isVisible();
    assertThat(wren.tag("Find without a decision")).isVisible();
    wren.page.locator("main li").getByText("Battery", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(wren.page.getByText("Out of limits")).isVisible();
    assertThat(ida.tag("Find without a decision")).isVisible();
    wren.enter("25.4");
    // Told by the server, not only shown where it was entered: the card is cut anew with it.
    assertThat(ida.tag("Find without a decision")).not().isVisible();
    assertThat(wren.tag("Find without a decision")).not().isVisible();
    wren.page.reload();
    assertThat(wren.heading("Fire warning")).isVisible();
    wren.pressUntil("Space", "All 20 answered", 20);
    assertThat(wren.tag("APU running, packs off")).isVisible();
    assertThat(wren.tag("Hydraulic pumps on for the leak check")).isVisible();
    wren.key("g");
    wren.pressUntil("Space", "All 16 answered", 16);
  }

  private static void walkaround(Crew wren, Crew ida) {
    wren.stage("Walkaround");
    wren.pressUntil("Space", "Front door and frame", 2);
    assertThat(ida.tag("6 of 6 covers and plugs still on")).isVisible();
    wren.key("Shift+Space");
    assertThat(wren.heading("Static ports, left")).isVisible();
    wren.key("Space");
    assertThat(ida.tag("5 of 6 covers and plugs still on")).isVisible();
    wren.pressUntil("Space", "Taxi light", 12);
    wren.key("f");
    wren.page.keyboard().type("Taxi light out");
    wren.page.getByText("33-3 Taxi light").click();
    wren.button("Raise the find").click();
    assertThat(ida.tag("Find without a decision")).isVisible();
    assertThat(wren.heading("Wipers and windscreens")).isVisible();
    wren.readable();
    wren.pressUntil("Shift+Space", "All 74 answered", 30);
    assertThat(ida.tag("covers and plugs still on")).not().isVisible();
    assertThat(ida.tag("gear pins still in")).not().isVisible();
    assertThat(ida.tag("Baggage door open for loading")).isVisible();
  }

  private static void flowsAtOnce(Crew wren, Crew ida) {
    wren.stage("Flows");
    ida.stage("Flows");
    assertThat(wren.heading("Generators")).isVisible();
    assertThat(ida.heading("Autopilot panel")).isVisible();
    for (int i = 1; i <= 4; i++) {
      wren.press("Space");
      ida.press("Space");
    }
    assertThat(wren.page.getByText("4 of 20", new Page.GetByTextOptions().setExact(true)).last()).isVisible();
    assertThat(ida.page.getByText("4 of 27", new Page.GetByTextOptions().setExact(true)).last()).isVisible();
    ida.readable();
    Crew.together(wren, ida, "Flows", "");
    assertThat(wren.tag("Done before its time").first()).isVisible();
    assertThat(ida.tag("APU running, packs off")).not().isVisible();
    assertThat(ida.tag("Hydraulic pumps on for the leak check")).not().isVisible();
    assertThat(ida.tag("Flaps run out for the test")).not().isVisible();
  }

  private static void start(Crew wren, Crew ida) {
    assertThat(ida.page.getByText("Before the doors close, look again:")).isVisible();
    figures(wren, ida);
    BriefingTest.briefed(ida, wren);
    Crew.together(wren, ida, "Start", "");
    assertThat(ida.tag("Gust lock still in")).not().isVisible();
    assertThat(ida.tag("Baggage door open for loading")).not().isVisible();
  }

  private static void figures(Crew wren, Crew ida) {
    wren.stage("Figures");
    ida.stage("Figures");
    Papers.give(wren);
    Papers.DRY.agreed(wren, ida);
    Crew.together(wren, ida, "Figures", "");
  }

  private static void decideFind(Crew wren, Crew ida) {
    wren.tag("Find without a decision").click();
    assertThat(wren.page.locator("main").getByText("The commander decides on it.")).isVisible();
    ida.tag("Find without a decision").click();
    assertThat(ida.heading("Taxi light out")).isVisible();
    assertThat(ida.page.getByText("The list says: fly with an entry")).isVisible();
    assertThat(ida.page.getByText("1 installed, 0 must work; 1 out leaves 0.")).isVisible();
    assertThat(ida.button("Nothing to enter")).isDisabled();
    ida.key("w");
    ida.page.keyboard().type("Entered; landing lights for taxi");
    ida.key("Control+Enter");
    assertThat(ida.heading("Every find has its decision")).isVisible();
    assertThat(wren.tag("Find without a decision")).not().isVisible();
  }

  private static void controls(Crew ida) {
    ida.stage("Control check");
    // Three times were passed with words, and were to be gone by the start: this stage asks once more.
    assertThat(ida.page.getByText("Before it must be gone: Done before its time").first()).isVisible();
    ida.goPast("The times are watched");
    ida.pressUntil("Space", "Flight controls", 2);
    ida.key("]");
    ida.button("Start the check").click();
    assertThat(ida.heading("Control check passed")).isVisible();
    ida.key("[");
    assertThat(ida.heading("Flight controls")).isVisible();
    ida.key("Space");
    assertThat(ida.heading("Control check passed")).isVisible();
  }

  private static void checklist(Crew wren, Crew ida) {
    Crew.together(wren, ida, "Taxi", "");
    Crew.together(wren, ida, "Before take-off", "Trims");
    assertThat(wren.heading("Trims")).isVisible();
    assertThat(ida.heading("Trims")).isVisible();
    wren.key("s");
    assertThat(ida.heading("Stopped by Adeyo at Trims")).isVisible();
    assertThat(ida.tag("Checklist stopped")).isVisible();
    wren.key("r");
    // Resuming asks the last item answered again: this fleet's school is one item back.
    assertThat(ida.heading("Flaps")).isVisible();
    assertThat(wren.heading("Flaps")).isVisible();
    assertThat(ida.page.getByText("Adeyo reads, you look and answer")).isVisible();
    wren.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("27 alt 3")).click();
    assertThat(wren.page.getByText("27 is not today's: it is 15, by the figures both entered.")).isVisible();
    wren.key("x");
    wren.answer();
    assertThat(ida.page.getByText("Adeyo: done, 15")).isVisible();
    ida.answer();
    assertThat(ida.heading("Trims")).isVisible();
    Crew.together(wren, ida, "Before take-off", "");
    Crew.together(wren, ida, "Line-up", "Line-up checklist");
    assertThat(wren.heading("Line-up checklist")).isVisible();
  }

  private static void tieOff(Crew wren, Crew ida) throws IOException {
    ida.stage("Tie off");
    // Besides the step: the times that nobody can hurry, such as the window heat's, and that each of them was passed.
    assertThat(ida.page.locator("main h1")).containsText("things are in the way");
    wren.stage("Tie off");
    assertThat(wren.page.getByText("Only Ida Marsk ties off.")).isVisible();
    assertThat(tieOffButton(wren)).isDisabled();
    tieOffButton(ida).click();
    assertThat(ida.page.getByText("The cord is not bare: ")).isVisible();
    ida.button("Read").click();
    for (Locator reason : ida.page.getByLabel("It may stay, because").all()) {
      reason.fill("Said aloud, the tablet was in the pocket");
    }
    tieOffButton(ida).click();
    assertThat(ida.heading("Tied off by Ida Marsk")).isVisible();
    assertThat(ida.page.getByText("the chain is whole")).isVisible();
    wren.stage("Tie off");
    assertThat(wren.page.getByText("the chain is whole")).isVisible();
    wren.readable();
    Path record = Files.createTempFile("record", ".json");
    Download download = ida.page.waitForDownload(() -> ida.button("Download the record").click());
    download.saveAs(record);
    assertThat(verify(record)).as("a record as downloaded").isZero();
    String text = Files.readString(record);
    Files.writeString(record, text.replace("Taxi light out", "Taxi light fine"));
    assertThat(verify(record)).as("a record with one word changed").isOne();
  }

  static Locator tieOffButton(Crew crew) {
    return crew.page.locator("main").getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Tie off"));
  }

  private static int verify(Path record) {
    return Lanyard.commands().setOut(new PrintWriter(new StringWriter())).execute("verify", record.toString());
  }
}
