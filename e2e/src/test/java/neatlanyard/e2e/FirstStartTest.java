package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Without demo mode: nothing of the demo, one administrator, and a user's own files brought in. */
public class FirstStartTest {
  private static final Pattern PASSWORD = Pattern.compile("'administrator' with the one-time password (\\S+)");

  @Test
  public void an_administrator_brings_in_a_fleet_of_ones_own_and_a_crew_opens_a_departure() throws Exception {
    try (Application app = Application.empty(); Playwright playwright = Playwright.create(); Browser browser =
        Crew.browser(playwright)) {
      Matcher given = PASSWORD.matcher(app.said());
      assertThat(given.find()).as(app.said()).isTrue();
      Crew admin = Crew.at(browser, app, ColorScheme.LIGHT);
      assertThat(admin.page.getByText("Demo:")).not().isVisible();
      assertThat(admin.get("/api/about")).contains("\"demo\":false", "\"signIns\":[]").doesNotContain("Ternholm");
      signIn(admin, "administrator", given.group(1));
      choosePassword(admin, given.group(1), "ropes-and-slips-1");
      assertThat(admin.page.getByText("No flights yet")).isVisible();
      link(admin, "Desk").click();
      bring(admin, "Fleet", Application.ROOT.resolve("demo/fleet.yaml"));
      assertThat(admin.page.getByText("Fleet brought in. Ternholm Air Link: 9 tails, 7 airfields, 8 people."))
          .isVisible();
      String hers = given(admin, "Wren Adeyo");
      publish(browser, app, given(admin, "Bas Orrin"), given(admin, "Mette Rand"));
      bring(admin, "Flights", Application.ROOT.resolve("demo/flights.yaml"));
      assertThat(admin.page.getByText("Flights brought in. 9 flights.")).isVisible();

      Crew wren = Crew.at(browser, app, ColorScheme.LIGHT);
      signIn(wren, "adeyo", hers);
      choosePassword(wren, hers, "north-slip-again");
      assertThat(link(wren, "Desk")).not().isVisible();
      assertThat(wren.page.getByText("Ternholm – Vesk")).isVisible();
      wren.key("1");
      wren.button("Take the right seat").click();
      assertThat(wren.page.getByText("right seat taken")).isVisible();
      // No simulated station service outside the demo: the report is typed over.
      assertThat(wren.page.getByText("has no report of QTRN; type it over.")).isVisible();
      wren.page.getByLabel("Station report").fill("QTRN " + wren.page.evaluate(
          "new Date().toISOString().replace(/^.{8}(..)T(..):(..).*/, '$1$2$3Z')") + " 20005KT CAVOK 14/11 Q1011");
      assertThat(wren.page.getByText("Typed over.")).isVisible();
      wren.button("Cut the card").click();
      assertThat(wren.page.getByText("steps today")).isVisible();
    }
  }

  private static String given(Crew admin, String name) {
    return admin.page.locator("tr", new Page.LocatorOptions().setHasText(name)).locator("code").first().textContent();
  }

  /** Fleet standards bring in a pack, somebody else checks it, and fleet standards publish it. */
  private static void publish(Browser browser, Application app, String his, String hers) throws IOException {
    Crew orrin = Crew.at(browser, app, ColorScheme.LIGHT);
    signIn(orrin, "orrin", his);
    choosePassword(orrin, his, "line-and-below-again");
    link(orrin, "Procedures").click();
    bring(orrin, "Bring in a pack", faulty());
    assertThat(orrin.page.getByText("There is no station or panel 'nowhere'").first()).isVisible();
    bring(orrin, "Bring in a pack", Application.ROOT.resolve("demo/packs/dovrin-46.yaml"));
    assertThat(orrin.page.getByText("Brought in as a draft. Dovrin 46")).isVisible();
    Crew rand = Crew.at(browser, app, ColorScheme.LIGHT);
    signIn(rand, "rand", hers);
    choosePassword(rand, hers, "second-look-again");
    link(rand, "Procedures").click();
    rand.page.getByText("to be checked by a second person").click();
    rand.button("I have checked it").click();
    assertThat(rand.page.getByText("checked by Mette Rand")).isVisible();
    orrin.page.reload();
    orrin.page.getByText("checked by Mette Rand").click();
    orrin.button("Publish").click();
    assertThat(orrin.page.getByText("in force", new Page.GetByTextOptions().setExact(true)).first()).isVisible();
  }

  private static Locator link(Crew crew, String name) {
    return crew.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
  }

  private static void signIn(Crew crew, String who, String password) {
    crew.page.getByLabel("Name").fill(who);
    crew.page.getByLabel("Password", new Page.GetByLabelOptions().setExact(true)).fill(password);
    crew.key("Enter");
  }

  private static void choosePassword(Crew crew, String old, String chosen) {
    assertThat(crew.heading("Choose your password")).isVisible();
    crew.page.getByLabel("Present password").fill(old);
    crew.page.getByLabel("New password").fill("short");
    crew.key("Enter");
    assertThat(crew.page.getByText("A new password has 10 characters or more")).isVisible();
    crew.page.getByLabel("New password").fill(chosen);
    crew.key("Enter");
    assertThat(crew.heading("Departures")).isVisible();
  }

  private static void bring(Crew crew, String kind, Path file) {
    FileChooser chooser = crew.page.waitForFileChooser(() -> crew.button(kind).click());
    chooser.setFiles(file);
  }

  private static Path faulty() throws IOException {
    Path file = Files.createTempFile(Application.temporary(), "faulty", ".yaml");
    Files.writeString(file, Files.readString(Application.ROOT.resolve("demo/packs/dovrin-46.yaml"))
        .replace("at: nose-left", "at: nowhere"));
    return file;
  }
}
