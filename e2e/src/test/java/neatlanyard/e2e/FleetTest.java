package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import org.testng.annotations.Test;

/** The types with propellers. */
public class FleetTest extends Flown {
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
    ida.stage("Figures");
    Papers.give(ida);
    assertThat(ida.page.getByText("if it stops, you land ahead")).isVisible();
    figures(both, papers("zero-fuel-weight", "3310", "fuel", "620", "takeoff-weight", "3900", "runway", "21",
        "intersection", "FULL", "initial-level", "4000", "transponder", "2617", "flap", "20", "vr", "74",
        "v2", "79"));
    Crew.together(both, "Figures", "");
    ida.stage("Briefing");
    assertThat(ida.page.getByText("52 kt by 445 m, 7 lights on").first()).isVisible();
    BriefingTest.briefed(ida, petra);
    Crew.together(both, "Start", "");
    assertThat(ida.tag("Propeller tied")).not().isVisible();
    checked(both, "Start the check", "");
    rolls(both);
    assertThat(ida.tag("Tanks read on a slope")).not().isVisible();
  }

  @Test
  public void three_people_run_up_four_engines_on_one_sheet() {
    String flight = "Survey 50";
    Crew ida = sits("Ida Marsk", flight, "left", ColorScheme.LIGHT);
    Crew wren = sits("Wren Adeyo", flight, "right", ColorScheme.DARK);
    Crew jun = sits("Jun Saldo", flight, "engineer's", ColorScheme.DARK);
    List<Crew> all = List.of(ida, wren, jun);
    ida.cut();
    Crew.together(all, "Safe, then power", "");
    Crew.together(all, "Walkaround", "");
    Crew.together(all, "Flows", "");
    wren.stage("Figures");
    Papers.give(wren);
    figures(List.of(ida, wren), papers("zero-fuel-weight", "20654", "fuel", "5200", "takeoff-weight", "25754",
        "runway",
        "25", "runway-heading", "250", "initial-level", "3000", "transponder", "2621", "flap", "half", "v2", "99"));
    Crew.together(all, "Figures", "");
    BriefingTest.briefed(ida, wren);
    Crew.together(all, "Start", "");
    checked(all, "Start the check", "");
    Crew.together(all, "Taxi", "");
    Crew.together(all, "Before take-off", "Before take-off checklist");
    assertThat(jun.tag("Oil not warm yet")).not().isVisible();
  }
}
