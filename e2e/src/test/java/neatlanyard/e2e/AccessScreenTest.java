package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
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

  private static FilePayload file(String name, String text) {
    return new FilePayload(name, "text/plain", text.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  public void a_file_that_nobody_went_by_is_withdrawn() {
    Crew varga = Crew.in(browser, app, "Lio Varga", ColorScheme.LIGHT);
    varga.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Technical logs")).click();
    Locator tail = varga.page.locator("main li").filter(new Locator.FilterOptions().setHasText("TL-HYB"));
    assertThat(tail).containsText("nothing deferred");
    String raised =
        "TL-HYB,00000000-0000-0009-0000-00000000000%d,-PT20H,varga,Lio Varga,raised,,,,,,,Reading light dim\n";
    varga.page.getByLabel("Lines of technical logs (CSV)").setInputFiles(file("log.csv",
        "tail,defect,at,by,name,act,flight,place,step,entry,count,last-day,words\n" + raised.formatted(1)
        + raised.formatted(2)));
    assertThat(tail).containsText("2 open");
    Locator row = varga.page.locator("tr").filter(new Locator.FilterOptions().setHasText("2 lines of technical logs"));
    row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Withdraw")).click();
    assertThat(tail).containsText("2 open");
    row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Press again: 2 rows go")).click();
    assertThat(row).containsText("withdrawn");
    assertThat(tail).containsText("nothing deferred");
  }

  /** Two recordings laid over each other, one of them with the heads of another recorder. */
  @Test
  public void two_recordings_are_laid_over_each_other_at_the_desk() throws IOException {
    Crew varga = Crew.in(browser, app, "Lio Varga", ColorScheme.LIGHT);
    varga.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Technical logs")).click();
    varga.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions()
        .setName(Pattern.compile("Recordings of control checks"))).click();
    varga.page.getByText("Heads of other recorders: 0 kept").click();
    varga.page.getByPlaceholder("such as the recorder's").fill("Box B");
    Locator files = varga.page.locator("input[type=file]");
    files.last().setInputFiles(file("heads.yaml",
        "format: neat-lanyard/trace-names/1\ncolumns:\n  - {theirs: ELEV POS, ours: elevator-deg}\n"));
    assertThat(varga.page.getByText("Heads of other recorders: 1 kept")).isVisible();

    files.first().setInputFiles(Application.ROOT.resolve("demo/traces/dovrin-46-spoiler-stays-out.csv"));
    assertThat(varga.heading("dovrin-46-spoiler-stays-out.csv: not passed")).isVisible();
    String sound = Files.readString(Application.ROOT.resolve("demo/traces/dovrin-46-sound.csv"));
    FilePayload theirs = file("theirs.csv", sound.replaceFirst("elevator-deg", "ELEV POS"));
    files.nth(1).setInputFiles(theirs);
    assertThat(varga.page.getByText("The trace has faults.")).isVisible();
    varga.page.getByLabel("Heads of a file").selectOption("Box B");
    files.nth(1).setInputFiles(theirs);
    assertThat(varga.heading("theirs.csv: passed")).isVisible();
    varga.page.getByLabel("Surface", new Page.GetByLabelOptions().setExact(true))
        .selectOption(new SelectOption().setLabel("Right roll spoiler"));
    Locator row = varga.page.locator("tr").filter(new Locator.FilterOptions().setHasText("spoiler in"));
    assertThat(row).containsText("11.50 °, not as it should be");
    assertThat(row).containsText("0.00 °");
    assertThat(varga.page.getByLabel("Right roll spoiler over time").locator("canvas")).isVisible();
    varga.readable();
    String csv = Files.readString(varga.page.waitForDownload(() ->
        varga.button("With our heads, as CSV").last().click()).path());
    org.testng.Assert.assertTrue(csv.contains("elevator-deg") && !csv.contains("ELEV POS"), csv.substring(0, 200));
  }

  /** The aileron that loses a little each week stands first, drawn with its limit; others are one press away. */
  @Test
  public void what_control_checks_measured_is_followed_at_the_desk() {
    Crew varga = Crew.in(browser, app, "Lio Varga", ColorScheme.LIGHT);
    varga.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Technical logs")).click();
    varga.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("TL-DVB")).click();
    varga.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Control checks over months")).click();
    assertThat(varga.page.locator("h1")).containsText("to a limit");
    assertThat(varga.page.locator("li[data-goes]").first()).containsText("Left aileron");
    assertThat(varga.page.getByText("It began to go another way on")).isVisible();
    Locator drawn = varga.page.locator("figure [role=img]");
    assertThat(drawn.locator("canvas")).isVisible();
    varga.picture("control-trends-day");
    varga.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Rudder lag")).click();
    assertThat(drawn).hasAttribute("aria-label", Pattern.compile("Rudder, lag: .*it keeps.*"));
    assertThat(varga.page.getByText("It began to go another way on")).not().isVisible();
    varga.page.getByText("checks as a table").click();
    assertThat(varga.page.locator("td").filter(new Locator.FilterOptions().setHasText("s")).first()).isVisible();
  }

  /** Half a year of run-ups by engine: the one whose oil pressure falls stands first. */
  @Test
  public void what_crews_read_is_followed_at_the_desk_engine_by_engine() {
    Crew varga = Crew.in(browser, app, "Lio Varga", ColorScheme.DARK);
    varga.page.navigate(app.url() + "/tails/TL-BF4");
    varga.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Readings over months")).click();
    assertThat(varga.page.locator("li[data-goes]").first()).containsText("Engine 3, oil pressure");
    Locator drawn = varga.page.locator("figure [role=img]");
    assertThat(drawn).hasAttribute("aria-label", Pattern.compile("Engine 3, .* 70 psi is the least; .*"));
    assertThat(drawn.locator("canvas")).isVisible();
    varga.picture("reading-trends-night");
    varga.readable();
    varga.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Engine 4, generator")).click();
    assertThat(varga.page.getByText("It began to go another way on")).isVisible();
  }

  @Test
  public void a_fleet_brought_in_by_mistake_is_withdrawn() throws IOException {
    Crew admin = Crew.in(browser, app, "Administrator", ColorScheme.LIGHT);
    admin.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Desk")).click();
    Locator row = admin.page.locator("tr").filter(new Locator.FilterOptions().setHasText("Ternholm Air Link"));
    assertThat(row).containsText("8 people");
    assertThat(row).containsText("the first one brought in");
    String fleet = Files.readString(Application.ROOT.resolve("demo/fleet.yaml"));
    admin.page.locator("input[type=file]").first().setInputFiles(file("fleet.yaml",
        fleet.replace("crew:\n", "crew:\n  - {id: newcomer, name: Ann Newcomer, role: captain}\n")));
    assertThat(admin.heading("One-time passwords, shown once")).isVisible();
    assertThat(row).containsText("9 people");
    row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Withdraw")).click();
    row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions()
        .setName("Press again: the fleet before it is in force")).click();
    assertThat(row).containsText("8 people");
    assertThat(admin.page.getByText("The fleet before it is in force again.")).isVisible();
  }
}
