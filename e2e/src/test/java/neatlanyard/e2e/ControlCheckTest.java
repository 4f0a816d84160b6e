package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.ColorScheme;
import org.testng.annotations.Test;

/** The simulated aircraft is told to misbehave, and the check says so on both devices. */
public class ControlCheckTest extends AtTheDemo {
  private static final String[][] MISBEHAVIOURS = {
    {"aileron-reversed", "Left aileron moved up with roll right: the wrong way.", "not passed"},
    {"elevator-short", "Elevator reached 17.8° up, 6.2° short of its 24.0°.", "not passed"},
    {"aileron-sticks", "Left aileron got there once and not again: something binds.", "not passed"},
    {"spoiler-stays-out", "Right roll spoiler stayed out 11.5° when it should be in", "not passed"},
    {"half-hearted", "Yaw: control moved 72 % right, 95 % is wanted.", "incomplete"},
  };

  @Test
  public void each_misbehaviour_is_caught_and_hangs_until_a_check_passes() throws Exception {
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right").cutCard();
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.DARK).takeSeat("left");
    wren.stage("Control check");
    ida.stage("Control check");
    wren.key("]");
    ida.key("]");
    assertThat(wren.page.getByText("Look outside first")).isVisible();
    for (String[] m : MISBEHAVIOURS) {
      wren.page.getByLabel("How the simulated aircraft behaves").selectOption(m[0]);
      wren.page.locator("main button", new com.microsoft.playwright.Page.LocatorOptions()
          .setHasText(java.util.regex.Pattern.compile("Start the check|Check again"))).first().click();
      assertThat(ida.page.getByText(m[1]).first()).isVisible();
      assertThat(wren.page.getByText(m[1]).first()).isVisible();
      assertThat(wren.heading("Control check " + m[2])).isVisible();
      assertThat(ida.tag("Control check not passed")).isVisible();
      if (m[0].equals("aileron-reversed")) {
        wren.picture("controls-reversed-day");
      }
    }
    ida.stage("Tie off");
    assertThat(ida.page.getByText("This may not stay, whatever the reason.").first()).isVisible();
    wren.page.getByLabel("How the simulated aircraft behaves").selectOption("sound");
    wren.key("c");
    assertThat(wren.heading("Control check passed")).isVisible();
    assertThat(ida.tag("Control check not passed")).not().isVisible();
    recorded(wren);
    deIced(ida, wren);
  }

  /** Fresh fluid makes it to be made again, on both devices, until one passes. */
  private static void deIced(Crew ida, Crew wren) {
    ida.stage("Figures");
    ida.button("Not de-iced").click();
    ida.button("It was de-iced so").click();
    assertThat(ida.tag("Control check not passed")).isVisible();
    assertThat(wren.heading("Control check: to be made again")).isVisible();
    assertThat(wren.page.getByText("De-iced since it passed").first()).isVisible();
    wren.key("c");
    assertThat(wren.heading("Control check passed")).isVisible();
    assertThat(ida.tag("Control check not passed")).not().isVisible();
  }

  /** A recorded trace is judged by the same rule, shown, and does not count for today. */
  private static void recorded(Crew wren) {
    Locator file = wren.page.locator("input[type=file]");
    file.setInputFiles(Application.ROOT.resolve("demo/traces/dovrin-46-spoiler-stays-out.csv"));
    assertThat(wren.heading("Recorded trace dovrin-46-spoiler-stays-out.csv: 1 not as it should be")).isVisible();
    assertThat(wren.page.getByText("it does not count for this departure")).isVisible();
    assertThat(wren.tag("Control check not passed")).not().isVisible();
    file.setInputFiles(Application.ROOT.resolve("demo/fleet.yaml"));
    assertThat(wren.page.getByText("The trace has faults.")).isVisible();
  }
}
