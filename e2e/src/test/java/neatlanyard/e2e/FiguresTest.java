package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.testng.annotations.Test;

/** Figures planned by two people, each at a device of their own, from the report to what both agreed. */
public class FiguresTest extends AtTheDemo {
  @Test
  public void a_swapped_digit_is_covered_then_told_with_its_cause_and_what_it_would_have_done() throws Exception {
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right").cutCard();
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.DARK).takeSeat("left");
    wren.stage("Figures");
    ida.stage("Figures");
    Papers.give(wren);
    Papers.enter(wren, "zero-fuel-weight", "15920");
    Papers.stands(ida, "zero-fuel-weight", "covered");
    String told = ida.get("/api/departures/today-14") + ida.get("/api/departures/today-14/log")
        + ida.get("/api/departures/today-14/figures");
    assertThat(told).as("neither what the other entered nor what was worked out").doesNotContain("15920")
        .doesNotContain("15290\"");

    Papers.enter(ida, "zero-fuel-weight", "15290");
    for (Crew c : List.of(wren, ida)) {
      Papers.stands(c, "zero-fuel-weight", "differs");
      Papers.cell(c, "zero-fuel-weight").click();
      Locator notice = c.page.locator("main [role=alert]");
      assertThat(notice).containsText("15 920 kg and 15 290 kg are not the same");
      assertThat(notice).containsText("15 290 is what was worked out");
      assertThat(notice).containsText("digits swapped");
      assertThat(notice).containsText("rotated 2 kt too late");
      c.readable();
    }
    assertThat(ida.tag("Zero-fuel weight differs: 15 920 and 15 290 entered")).isVisible();
    Papers.enter(wren, "zero-fuel-weight", "15290");
    Papers.stands(ida, "zero-fuel-weight", "agreed");
    assertThat(ida.tag("Zero-fuel weight differs")).not().isVisible();
    assertThat(wren.get("/api/departures/today-14/log"))
        .contains("Zero-fuel weight differs, 15290 expected", "15920 by adeyo: digits swapped");

    Papers.DRY.agreed(wren, ida);
    whatChangesIsAskedAgain(wren, ida);
  }

  /** Snow on the last third changes the stop, so V1; the weights stay agreed. */
  private static void whatChangesIsAskedAgain(Crew wren, Crew ida) {
    assertThat(ida.page.locator("main nav").getByText("all agreed")).isVisible();
    Papers.reported(wren, "frost 5", "frost 5", "wet-snow 3");
    assertThat(ida.button("Runway 5/5/3")).isVisible();
    Papers.stands(ida, "v1", "open");
    assertThat(Papers.cell(ida, "v1")).containsText("again, another now: runway condition");
    assertThat(ida.tag("Enter again: V1; another now: runway condition")).isVisible();
    for (String stays : List.of("zero-fuel-weight", "takeoff-weight", "runway", "flap")) {
      Papers.stands(ida, stays, "agreed");
    }
    Papers.enter(wren, "v1", "89");
    wren.page.evaluate("document.querySelector('main').scrollTo(0, 0)");
    wren.picture("figures-day");
    Papers.enter(ida, "v1", "89");
    Papers.stands(wren, "v1", "agreed");
    assertThat(ida.tag("Enter again")).not().isVisible();
    Papers.cell(ida, "v1").click();
    ida.key("v");
    assertThat(ida.page.getByText("89 kt, rounded down")).isVisible();
    ida.key("v");
    changedByHand(wren, ida);
  }

  /** Two passengers more are within what may be changed by hand; three are not. */
  private static void changedByHand(Crew wren, Crew ida) {
    for (String heads : List.of("3", "2")) {
      wren.key("s");
      assertThat(wren.page.getByLabel("Load sheet", new Page.GetByLabelOptions().setExact(true))).isVisible();
      wren.key("k");
      wren.page.getByLabel("Aft cabin").fill(heads);
      wren.button("So it is now").click();
      assertThat(ida.tag("Last-minute change. 3 passengers and 252 kg in all by hand, at most 2 and 250 kg"))
          .isVisible(new LocatorAssertions.IsVisibleOptions().setVisible(heads.equals("3")));
    }
    Papers.stands(ida, "zero-fuel-weight", "open");
    Papers.stands(ida, "fuel", "agreed");
    assertThat(Papers.cell(ida, "zero-fuel-weight")).containsText("again, another now: load");
  }

  @Test
  public void a_load_sheet_that_does_not_agree_hangs_until_one_comes_that_does() throws Exception {
    Crew tomas = Crew.in(browser, app, "Tomas Quill", ColorScheme.LIGHT).takeSeat("left", "Brannoch – Lundmoor");
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.DARK).takeSeat("right", "Brannoch – Lundmoor");
    tomas.cut();
    tomas.stage("Figures");
    wren.stage("Figures");
    Papers.give(tomas);
    assertThat(wren.tag("The load sheet does not agree with itself")).containsText("860 kg apart");
    // Both read the same wrong paper.
    Papers.enter(tomas, "zero-fuel-weight", "56780");
    Papers.enter(wren, "zero-fuel-weight", "56780");
    Papers.stands(wren, "zero-fuel-weight", "differs");
    Papers.cell(wren, "zero-fuel-weight").click();
    assertThat(wren.page.locator("main [role=alert]")).containsText("both entered 56 780 kg, 57 640 was worked out");
    // Only the commander takes one against what was worked out.
    assertThat(wren.button("Take one, say why")).not().isVisible();

    tomas.key("s");
    tomas.button("Bring one in by its text").click();
    tomas.page.getByLabel("The sheet, in the open format").fill(corrected(tomas));
    tomas.button("Take it").click();
    assertThat(wren.button("Sheet 2")).isVisible();
    assertThat(wren.tag("The load sheet does not agree with itself")).not().isVisible();
    Papers.LARGE.agreed(tomas, wren);
    assertThat(wren.page.locator("main nav").getByText("all agreed")).isVisible();
    assertThat(wren.tag("Entered by one")).not().isVisible();
  }

  /** The same sheet as the service sent, with what it states put right. */
  private static String corrected(Crew who) {
    return """
        {"format": "neat-lanyard/load-sheet/1", "weights": "kg", "flight": "Flight 31", "tail": "TL-HYB",
        "day": "%s", "edition": 2, "states": {"zero-fuel": 57640, "zero-fuel-percent": 22.4},
        "load": {"passengers": {"front": 50, "middle": 52, "aft": 48}, "holds": {"front": 1100, "aft": 1300}},
        "fuel": {"left": 5100, "right": 5100, "centre": 600}, "taxi-fuel": 200, "trip-fuel": 6900}"""
        .formatted(day(who, "today-31")).replace("\n", " ");
  }

  /** One tablet for two: who entered first hands it over, and nothing of theirs is on it any more. */
  @Test
  public void on_one_device_the_second_pilot_enters_after_the_first_without_sight_of_it() throws Exception {
    Crew device = Crew.in(browser, app, "Tomas Quill", ColorScheme.LIGHT).takeSeat("left", "Brannoch – Lundmoor");
    device.cut();
    device.stage("Figures");
    Papers.give(device);
    Papers.LARGE.figures().forEach((figure, value) -> Papers.enter(device, figure, value));
    device.button("Wren Adeyo enters on this device").click();
    assertThat(device.page.getByLabel("Name")).hasValue("adeyo");
    assertThat(device.page.locator("input[type=password]")).isFocused();
    device.page.keyboard().type("north-slip-24");
    device.page.keyboard().press("Enter");
    device.button("Take the right seat").click();
    Papers.stands(device, "v1", "covered");
    assertThat(device.page.locator("main")).not().containsText("134");
    Papers.enter(device, "v1", "134");
    Papers.stands(device, "v1", "agreed");
  }

  /** Snow is reported by voice while the link is down: the device says what that makes of the figures. */
  @Test
  public void without_a_network_a_device_works_the_figures_out_itself() throws Exception {
    Crew wren = Crew.keeping(browser, app, "Wren Adeyo", ColorScheme.DARK);
    Set<String> kept = ConcurrentHashMap.newKeySet();
    wren.page.onRequestFinished(r -> kept.add(r.url().replaceFirst(".*/figures", "")));
    wren.takeSeat("right").cutCard();
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.LIGHT).takeSeat("left");
    wren.stage("Figures");
    ida.stage("Figures");
    Papers.give(wren);
    Papers.DRY.agreed(wren, ida);
    wren.until(25_000, () ->
        kept.contains("/kept") && kept.stream().filter(u -> u.startsWith("/texts/")).count() == 3);
    wren.page.waitForFunction("() => navigator.serviceWorker.ready.then(() => true)");

    wren.page.context().setOffline(true);
    Papers.reported(wren, "frost 5", "frost 5", "wet-snow 3");
    assertThat(wren.page.getByText("Worked out on this device, without the network")).isVisible();
    assertThat(wren.button("Runway 5/5/3")).isVisible();
    Papers.stands(wren, "v1", "open");
    assertThat(Papers.cell(wren, "v1")).containsText("again, another now, as this device worked it out");
    assertThat(wren.tag("Enter again: V1; another now")).isVisible();
    Papers.stands(wren, "takeoff-weight", "agreed");
    assertThat(wren.page.locator("main")).not().containsText("89");
    wren.picture("figures-offline-night");
    wren.readable();
    Papers.enter(wren, "v1", "89");
    Papers.stands(wren, "v1", "covered");

    wren.page.context().setOffline(false);
    Papers.stands(ida, "v1", "covered");
    Papers.enter(ida, "v1", "89");
    Papers.stands(wren, "v1", "agreed");
    assertThat(wren.page.getByText("Worked out on this device")).not().isVisible();
    aReportHeardAndASheetOnPaper(wren, sheet(wren));
  }

  /** What the device made of them is what the server makes of them. */
  private static void aReportHeardAndASheetOnPaper(Crew wren, String sheet) {
    wren.page.context().setOffline(true);
    wren.stage("Status and day");
    Locator report = wren.page.getByLabel("Station report, Ternholm");
    report.fill("METAR QTRN 140720Z 07014KX 9999 BKN025 01/M02 Q1011");
    assertThat(wren.page.getByText("'07014KX' is not a group of the code form")).isVisible();
    report.fill("METAR QTRN 140720Z 07014KT 9999 BKN025 01/M02 Q1011");
    assertThat(wren.page.getByText("wind 070° 14 kt")).isVisible();
    wren.button("Cut the card again").click();
    // The cord makes room for it, so its beads move.
    assertThat(wren.tag("Enter again: runway")).isVisible();
    wren.stage("Figures");
    wren.page.locator("main nav").getByText("Entered by two").click();
    Locator take = wren.page.locator("main h1 + p");
    assertThat(take).containsText("07, flap");
    wren.key("s");
    wren.button("Bring one in by its text").click();
    wren.page.getByLabel("The sheet, in the open format").fill(sheet);
    wren.button("Take it").click();
    assertThat(wren.button("Sheet 2")).isVisible();
    assertThat(Papers.cell(wren, "zero-fuel-weight")).containsText("again");
    String here = drawn(wren, take);

    wren.page.context().setOffline(false);
    assertThat(wren.page.getByText("Worked out on this device")).not().isVisible();
    assertThat(wren.button("Sheet 2")).isVisible();
    Papers.stands(wren, "zero-fuel-weight", "open");
    // The server takes one word after the other; its figures stand once it has all.
    wren.until(25_000, () -> here.equals(drawn(wren, take)));
  }

  private static String drawn(Crew who, Locator take) {
    return take.textContent() + who.page.locator("main svg").allTextContents();
  }

  private static String sheet(Crew who) {
    return """
        field,value
        weights,lb
        flight,Flight 14
        tail,TL-DVA
        day,%s
        edition,2
        states.zero-fuel,33400
        states.zero-fuel-percent,28.0
        fuel.left,2270
        fuel.right,2270
        taxi-fuel,130
        trip-fuel,1400
        """.formatted(day(who, "today-14"));
  }

  /** The day of a flight, by UTC. */
  private static String day(Crew who, String departure) {
    return who.get("/api/departures/" + departure).replaceAll("(?s).*\"departs\":\"(\\d{4}-\\d\\d-\\d\\d).*", "$1");
  }

  @Test
  public void after_de_icing_the_time_hangs_until_the_wings_are_looked_at() throws Exception {
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.LIGHT).takeSeat("left", "Vesk – Ternholm");
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.DARK).takeSeat("right", "Vesk – Ternholm");
    ida.cut();
    ida.page.setViewportSize(390, 844);
    ida.page.navigate(ida.page.url().replaceAll("stage=[a-z]+", "stage=figures"));
    wren.stage("Figures");
    Papers.give(wren);
    wren.key("y");
    wren.page.getByLabel("Last application begun, min ago").fill("6");
    wren.button("It was de-iced so").click();
    assertThat(wren.tag("Holdover")).isVisible();
    assertThat(wren.button("Look from")).isVisible();
    assertThat(wren.page.getByLabel("Times that run")).containsText("Holdover");
    Papers.reported(wren, "wet-snow 3", "wet-snow 3", "wet-snow 3");
    assertThat(ida.button("Runway 3/3/3")).isVisible();
    wren.key("d");
    Locator ternholm = wren.page.getByLabel("Ternholm", new Page.GetByLabelOptions().setExact(true));
    assertThat(ternholm).containsText("No report of it yet.");
    wren.key("Alt+1");
    assertThat(ternholm).containsText("Within landing limits.");
    assertThat(ternholm).containsText("(simulated)");
    ternholm.getByText("Type it over").click();
    ternholm.getByLabel("The report of Ternholm")
        .fill("METAR QTRN 140750Z 24012KT 9000 -SN BKN025 M02/M04 Q1003 TEMPO 3000 SN");
    ternholm.getByText("Take it").click();
    assertThat(ternholm).containsText("Q1003 TEMPO 3000 SN");
    assertThat(ternholm.getByText("Take it")).not().isVisible();
    assertThat(ternholm).containsText("Within landing limits.");
    wren.picture("elsewhere");
    wren.button("Back").click();
    // On a phone, with a thumb.
    for (Crew c : List.of(ida, wren)) {
      Papers.enter(c, "zero-fuel-weight", "15290");
    }
    Papers.stands(ida, "zero-fuel-weight", "agreed");
    ida.readable();
    Papers.SNOW.agreed(ida, wren);
    for (Crew c : List.of(ida, wren)) {
      c.send("today-15", Crew.eventId(), "tablet", "overridden", Map.of("step", "bt-surfaces", "words", "Looked"));
      c.send("today-15", Crew.eventId(), "tablet", "step-done", Map.of("step", "bt-surfaces"));
    }
    assertThat(wren.tag("Holdover")).not().isVisible();
    assertThat(wren.page.locator("main nav").getByText("all agreed")).isVisible();
  }
}
