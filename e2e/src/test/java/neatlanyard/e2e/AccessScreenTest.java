package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import org.testng.annotations.Test;

/** The administrator's screen: who is in, who guessed, and putting somebody out. */
public class AccessScreenTest extends AtTheDemo {
  @Test
  public void an_administrator_sees_who_is_in_and_puts_somebody_out() {
    Crew holm = Crew.in(browser, app, "Petra Holm", ColorScheme.LIGHT);
    Crew guesser = Crew.at(browser, app, ColorScheme.LIGHT);
    guesser.page.getByLabel("Name").fill("quill");
    guesser.page.getByLabel("Password", new Page.GetByLabelOptions().setExact(true)).fill("tide");
    guesser.key("Enter");
    assertThat(guesser.page.getByText("Name or password is not right.")).isVisible();

    Crew admin = Crew.in(browser, app, "Administrator", ColorScheme.LIGHT);
    admin.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Access")).click();
    assertThat(admin.heading("Wrong passwords of late")).isVisible();
    assertThat(admin.page.locator("tr").filter(new Locator.FilterOptions().setHasText("from this machine")).first())
        .containsText("quill");
    Locator row = admin.page.locator("tr").filter(new Locator.FilterOptions().setHasText("holm, first officer"));
    assertThat(row).containsText("signed in on 1 device");
    admin.readable();
    admin.picture("access-day");
    row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take away")).click();
    assertThat(row).containsText("signed in on 1 device");
    row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Press again: Petra Holm is out")).click();
    assertThat(row).containsText("taken away, not signed in");
    assertThat(admin.page.getByText("took access away: Petra Holm")).isVisible();
    holm.page.reload();
    assertThat(holm.page.getByLabel("Name")).isVisible();

    row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("One-time password")).click();
    assertThat(admin.heading("One-time passwords, shown once")).isVisible();
  }

  @Test
  public void a_flight_nobody_has_opened_is_withdrawn_at_the_desk() {
    Crew admin = Crew.in(browser, app, "Administrator", ColorScheme.LIGHT);
    admin.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Desk")).click();
    Locator row = admin.page.locator("tr").filter(new Locator.FilterOptions().setHasText("Flight 22"));
    row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Withdraw")).click();
    row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Press again: Flight 22 goes")).click();
    assertThat(row).hasCount(0);
    assertThat(admin.page.getByText("Flight 15")).isVisible();
  }
}
