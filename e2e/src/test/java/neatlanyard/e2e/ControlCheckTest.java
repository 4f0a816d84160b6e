package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
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
      wren.page.locator("main button", new Page.LocatorOptions()
          .setHasText(java.util.regex.Pattern.compile("Start the check|Check again"))).first().click();
      assertThat(ida.page.getByText(m[1]).first()).isVisible();
      assertThat(wren.page.getByText(m[1]).first()).isVisible();
      assertThat(wren.heading("Control check " + m[2])).isVisible();
      assertThat(ida.tag("Control check not passed")).isVisible();
    }
    ida.stage("Tie off");
    assertThat(ida.page.getByText("This may not stay, whatever the reason.").first()).isVisible();
    wren.page.getByLabel("How the simulated aircraft behaves").selectOption("sound");
    wren.key("c");
    assertThat(wren.heading("Control check passed")).isVisible();
    assertThat(ida.tag("Control check not passed")).not().isVisible();
    recorded(wren);
    deIced(ida, wren);
    brokenOff(ida, wren);
    called(ida, wren);
    byEye(ida, wren);
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

  /** A link that breaks off keeps what it had, on both devices, and the rest is made after it. */
  private static void brokenOff(Crew ida, Crew wren) {
    ida.stage("Control check");
    ida.key("]");
    link(wren, "breaks-off");
    wren.button("Check again").click();
    assertThat(wren.heading("The link broke off")).isVisible();
    assertThat(ida.heading("The link broke off")).isVisible();
    assertThat(left(wren)).containsText("Yaw both ways");
    assertThat(left(wren)).not().containsText("Pitch");
    assertThat(left(ida)).containsText("Yaw both ways");
    wren.picture("controls-day");
    ida.button("Go on with the check").click();
    assertThat(ida.heading("Control check passed")).isVisible();
    assertThat(wren.heading("Control check passed")).isVisible();
  }

  private static void link(Crew crew, String how) {
    Locator links = crew.page.getByLabel("Link", new Page.GetByLabelOptions().setExact(true));
    crew.page.getByText("More of the simulated aircraft").click();
    links.selectOption(how);
  }

  private static Locator left(Crew crew) {
    return crew.page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Still to move"));
  }

  /** A call is heard on the other device; what was called and what was not is in the judgement. */
  private static void called(Crew ida, Crew wren) {
    wren.button("Done to it since").click();
    wren.button("A computer was reset").click();
    assertThat(ida.heading("Control check: to be made again")).isVisible();
    assertThat(ida.page.getByText("Since it passed, a flight control computer was reset").first()).isVisible();
    wren.page.getByLabel("How the simulated aircraft behaves").selectOption("aileron-sticks");
    link(wren, "steady");
    wren.key("c");
    // A check is soon over at the tests' pace: pressed from within the page in the frame in which it can be.
    wren.page.waitForFunction("""
        () => {
          const call = [...document.querySelectorAll('button')].find((b) => b.textContent.startsWith('Full right'))
          if (!call || call.disabled) return false
          call.click()
          return true
        }""");
    assertThat(ida.page.getByText("\"Full right\" was called").first()).isVisible();
    assertThat(ida.page.getByText("Full left was not called in roll.")).isVisible();
    assertThat(ida.tag("Control check not passed")).isVisible();
  }

  /** Without data the crew says what it saw, and the record says that nothing was measured. */
  private static void byEye(Crew ida, Crew wren) {
    wren.button("No data: by eye").click();
    assertThat(wren.heading("Pitch nose up")).isVisible();
    for (String next : List.of("Pitch nose down", "Pitch neutral", "Roll right", "Roll left", "Roll neutral",
        "Yaw right", "Yaw left", "Yaw neutral", "Steering disconnect", "All of it was looked at")) {
      wren.key("Enter");
      assertThat(wren.heading(next)).isVisible();
    }
    wren.key("w");
    assertThat(wren.heading("Control check passed")).isVisible();
    assertThat(ida.heading("Control check passed")).isVisible();
    assertThat(ida.page.getByText("with the crew's eyes, nothing measured")).isVisible();
    assertThat(ida.tag("Control check not passed")).not().isVisible();
  }
}
