package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import org.testng.annotations.Test;

/** The jets: one on the ship and ashore, one out of maintenance. */
public class JetsTest extends Flown {
  @Test
  public void the_carrier_trainer_leaves_the_ship_after_two_wipe_outs_with_full_flap() {
    String flight = "Training 304";
    Crew wren = sits("Wren Adeyo", flight, "front", ColorScheme.DARK);
    Crew ida = sits("Ida Marsk", flight, "rear", ColorScheme.LIGHT);
    List<Crew> both = List.of(wren, ida);
    wren.cut();
    Crew.together(both, "Safe, then power", "");
    assertThat(ida.tag("4 of 4 seat pins in")).isVisible();
    wren.stage("Walkaround");
    wren.page.getByText("The deck: 5 places that can hurt").click();
    assertThat(wren.page.getByText("cross it only when the deck says so")).isVisible();
    wren.readable();
    Crew.together(both, "Walkaround", "");
    Crew.together(both, "Flows", "");
    both.forEach(c -> c.stage("Figures"));
    Papers.says(wren, "flap", "half");
    assertThat(wren.page.getByText("with less than full flap it sinks off the bow").first()).isVisible();
    wren.page.reload();
    assertThat(wren.heading("one types, both look")).isVisible();
    figures(both, papers("fuel", "1400", "takeoff-weight", "5400", "flap", "full", "v2", "128",
        "transponder", "4300"));
    Crew.together(both, "Figures", "");
    BriefingTest.briefed(wren, ida);
    Crew.together(both, "Start", "");
    checked(both, "Start the check", "1 Second wipe-out");
    assertThat(ida.tag("Trim moved since the wipe-out")).isVisible();
    wren.page.locator("main nav button").filter(new Locator.FilterOptions().setHasText("The check")).click();
    assertThat(wren.page.getByText("a trim was changed").first()).isVisible();
    checked(both, "Check again", "");
    assertThat(ida.tag("Trim moved since the wipe-out")).not().isVisible();
    Crew.together(both, "Taxi", "");
    Crew.together(both, "Before take-off", "");
    assertThat(ida.tag("seat pins in")).not().isVisible();
    Crew.together(both, "Line-up", "4 Last words");
  }

  @Test
  public void the_same_pack_leaves_from_a_runway_ashore() {
    String flight = "Training 301";
    Crew petra = sits("Petra Holm", flight, "front", ColorScheme.LIGHT);
    Crew tomas = sits("Tomas Quill", flight, "rear", ColorScheme.DARK);
    List<Crew> both = List.of(petra, tomas);
    petra.cut();
    Crew.together(both, "Safe, then power", "");
    Crew.together(both, "Walkaround", "");
    Crew.together(both, "Flows", "");
    petra.stage("Figures");
    Papers.give(petra);
    figures(both, papers("fuel", "1500", "takeoff-weight", "5500", "runway", "27R", "flap", "half", "v2", "128",
        "transponder", "4301"));
    Crew.together(both, "Figures", "");
    BriefingTest.briefed(petra, tomas);
    Crew.together(both, "Start", "");
    checked(both, "Start the check", "1 Second wipe-out");
    petra.page.locator("main nav button").filter(new Locator.FilterOptions().setHasText("The check")).click();
    assertThat(petra.page.getByText("a trim was changed").first()).isVisible();
    checked(both, "Check again", "");
    both.forEach(c -> c.stage("Taxi"));
    Clearances.say(petra, "M1", "M, T, hold T1");
    Clearances.say(tomas, "M1", "T1 via M T");
    assertThat(tomas.page.getByText("Both heard: from stand M1 via M, T to T1")).isVisible();
    rolls(both);
  }

  @Test
  public void the_airliner_comes_out_of_maintenance_with_pins_and_covers_in() {
    String flight = "Flight 18";
    Crew tomas = sits("Tomas Quill", flight, "left", ColorScheme.DARK);
    Crew petra = sits("Petra Holm", flight, "right", ColorScheme.LIGHT);
    List<Crew> both = List.of(tomas, petra);
    tomas.page.getByText("maintenance since the last flight").first().click();
    tomas.cut();
    Crew.together(both, "Safe, then power", "");
    petra.stage("Walkaround");
    petra.pressUntil("Space", "Static ports, left", 30);
    assertThat(petra.tag("4 of 4 pins still in")).isVisible();
    assertThat(petra.page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Static port still taped over")))
        .isVisible();
    petra.readable();
    petra.picture("looks-day");
    petra.page.setViewportSize(390, 844);
    petra.picture("looks-phone");
    petra.page.setViewportSize(1280, 800);
    Crew.together(both, "Walkaround", "");
    assertThat(petra.tag("pins still in")).not().isVisible();
    Crew.together(both, "Flows", "");
    figures(both, papers("zero-fuel-weight", "57640", "fuel", "10800", "takeoff-weight", "68240", "centre", "23.0",
        "trim", "4.3", "runway", "25", "intersection", "FULL", "initial-level", "5000", "transponder", "2616", "flap",
        "1", "assumed-temperature", "42", "v1", "134", "vr", "137", "v2", "142"));
    Crew.together(both, "Figures", "");
    BriefingTest.briefed(tomas, petra);
    Crew.together(both, "Start", "");
    checked(both, "Start the check", "");
    rolls(both);
  }
}
