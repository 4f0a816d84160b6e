package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.ColorScheme;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** The fleet's other types, each from the door to the runway by the crew that it has. */
public class FleetTest extends AtTheDemo {
  private Crew sits(String name, String flight, String seat, ColorScheme light) {
    return Crew.in(browser, app, name, light).takeSeat(seat, flight);
  }

  private static void figures(List<Crew> pilots, Map<String, String> figures) {
    pilots.forEach(c -> c.stage("Figures"));
    figures.forEach((figure, value) -> {
      for (Crew c : pilots) {
        if (!"agreed".equals(Papers.cell(c, figure).getAttribute("data-standing"))) {
          Papers.enter(c, figure, value);
        }
      }
      pilots.forEach(c -> Papers.stands(c, figure, "agreed"));
    });
  }

  private static Map<String, String> papers(String... namesAndValues) {
    Map<String, String> all = new LinkedHashMap<>();
    for (int i = 0; i < namesAndValues.length; i += 2) {
      all.put(namesAndValues[i], namesAndValues[i + 1]);
    }
    return all;
  }

  /** The check by the simulated aircraft, then what surrounds it. */
  private static void checked(List<Crew> crew, String press, String until) {
    Crew flying = crew.getFirst();
    flying.stage("Control check");
    flying.page.locator("main nav button").filter(new Locator.FilterOptions().setHasText("The check")).click();
    flying.button(press).click();
    assertThat(flying.heading("Control check passed")).isVisible();
    Crew.together(crew, "Control check", until);
  }

  private static void rolls(List<Crew> crew) {
    Crew.together(crew, "Taxi", "");
    Crew.together(crew, "Before take-off", "");
    Crew.together(crew, "Line-up", "Line-up checklist");
  }

  @Test
  public void the_single_turboprop_leaves_a_gravel_strip() {
    Crew ida = sits("Ida Marsk", "Oddsay \u2013 Ternholm", "left", ColorScheme.DARK);
    Crew petra = sits("Petra Holm", "Oddsay \u2013 Ternholm", "right", ColorScheme.LIGHT);
    List<Crew> both = List.of(ida, petra);
    ida.cut();
    Crew.together(both, "Safe, then power", "");
    Crew.together(both, "Walkaround", "");
    assertThat(ida.tag("Propeller tied")).isVisible();
    assertThat(ida.tag("Tanks read on a slope")).isVisible();
    Crew.together(both, "Flows", "");
    figures(both, papers("zero-fuel-weight", "3310", "fuel", "620", "takeoff-weight", "3900", "runway", "21",
        "intersection", "FULL", "initial-level", "4000", "transponder", "2617", "flap", "20", "v1", "68", "vr", "70",
        "v2", "80"));
    Crew.together(both, "Figures", "");
    BriefingTest.briefed(ida, petra);
    Crew.together(both, "Start", "");
    assertThat(ida.tag("Propeller tied")).not().isVisible();
    checked(both, "Start the check", "");
    rolls(both);
    assertThat(ida.tag("Tanks read on a slope")).not().isVisible();
  }

  @Test
  public void the_carrier_trainer_leaves_the_ship_after_two_wipe_outs_with_full_flap() {
    String flight = "Training 304";
    Crew wren = sits("Wren Adeyo", flight, "left", ColorScheme.DARK);
    Crew ida = sits("Ida Marsk", flight, "right", ColorScheme.LIGHT);
    List<Crew> both = List.of(wren, ida);
    wren.cut();
    Crew.together(both, "Safe, then power", "");
    assertThat(ida.tag("4 of 4 seat pins in")).isVisible();
    Crew.together(both, "Walkaround", "");
    Crew.together(both, "Flows", "");
    both.forEach(c -> c.stage("Figures"));
    Papers.enter(wren, "flap", "half");
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
  public void three_people_run_up_four_engines_on_one_sheet() {
    String flight = "Survey 50";
    Crew ida = sits("Ida Marsk", flight, "left", ColorScheme.LIGHT);
    Crew wren = sits("Wren Adeyo", flight, "right", ColorScheme.DARK);
    Crew jun = sits("Jun Saldo", flight, "engineer", ColorScheme.DARK);
    List<Crew> all = List.of(ida, wren, jun);
    ida.cut();
    Crew.together(all, "Safe, then power", "");
    Crew.together(all, "Walkaround", "");
    Crew.together(all, "Flows", "");
    figures(List.of(ida, wren), papers("zero-fuel-weight", "21400", "fuel", "5200", "takeoff-weight", "26500",
        "runway",
        "25", "runway-heading", "248", "initial-level", "3000", "transponder", "2621", "flap", "half", "v2", "105"));
    Crew.together(all, "Figures", "");
    BriefingTest.briefed(ida, wren);
    Crew.together(all, "Start", "");
    checked(all, "Start the check", "");
    Crew.together(all, "Taxi", "");
    Crew.together(all, "Before take-off", "Before take-off checklist");
    assertThat(jun.tag("Oil not warm yet")).not().isVisible();
  }
}
