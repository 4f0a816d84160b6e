package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;

/** Clearances as pilots enter them. */
final class Clearances {
  private Clearances() {}

  static Locator panel(Crew who) {
    return who.page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Taxi clearance").setExact(true));
  }

  /** Types what was heard. */
  static void say(Crew who, String stand, String words) {
    open(who, stand);
    panel(who).getByRole(AriaRole.TEXTBOX).fill(words);
    panel(who).getByText("That is what I heard").click();
    assertThat(panel(who).getByRole(AriaRole.TEXTBOX)).hasCount(0);
  }

  /** Opens the form and says where the way begins. */
  static void open(Crew who, String stand) {
    panel(who).getByRole(AriaRole.STATUS).waitFor();
    who.key("c");
    panel(who).getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName("From stand"))
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(stand).setExact(true)).click();
  }

  /** Picks a name of the plan. */
  static void pick(Crew who, String row, String name) {
    panel(who).getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName(row))
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true)).click();
  }
}
