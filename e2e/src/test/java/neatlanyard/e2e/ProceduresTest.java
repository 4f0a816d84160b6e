package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import neatlanyard.cli.Lanyard;
import org.testng.annotations.Test;

/** A standards captain at a desk: a revision edited, checked, published, read by its crews, and answered for. */
public class ProceduresTest extends AtTheDemo {
  @Test
  public void a_revision_is_edited_checked_published_and_read_before_it_is_flown() throws Exception {
    Crew orrin = atTheDraft();
    edit(orrin);
    compare(orrin);
    publish(browser, app, orrin);
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.DARK);
    readThenOpen(wren);
    doesNotFit(wren, orrin);
    readers(orrin);
  }

  @Test
  public void a_value_of_today_a_test_in_parts_and_the_configuration_are_drawn_up() throws Exception {
    Crew orrin = atTheDraft();
    row(orrin, "Lever friction", 0).click();
    orrin.page.getByText("What it sets, needs, opens").click();
    orrin.page.getByLabel("Value of today", new Page.GetByLabelOptions().setExact(true))
        .selectOption("cruising level");
    orrin.page.getByLabel("Added to it").fill("some");
    assertThat(orrin.page.getByText("'plus' is 'some'").first()).isVisible();
    orrin.page.getByLabel("Added to it").fill("-10");
    orrin.page.getByLabel("asked back").check();
    orrin.button("Add a part").click();
    orrin.page.getByLabel("Part 1, press").fill("Lever to the stop");
    assertThat(orrin.button("Cannot be saved yet")).isDisabled();
    orrin.page.getByLabel("Part 1, see").fill("gate light");
    orrin.page.getByLabel("Never while fuelling").check();
    orrin.page.getByLabel("Seconds to wait").fill("300");
    orrin.page.getByLabel("Before what").fill("before it moves");
    orrin.button("From latitude").click();
    orrin.page.getByLabel("Latitude 1, degrees").fill("95");
    orrin.page.getByLabel("Seconds from latitude 1").fill("420");
    assertThat(orrin.button("Cannot be saved yet")).isDisabled();
    orrin.page.getByLabel("Latitude 1, degrees").fill("60");
    row(orrin, "Speeds", 1).click();
    orrin.page.getByLabel("Take V2 out").click();
    orrin.page.getByLabel("Add to: Figures agreed").selectOption("flap");
    row(orrin, "First turn and level", 0).click();
    orrin.page.getByLabel("What is said, with places for today").fill("{first-turn} Squawk {transponder}.");
    Locator configuration = orrin.page.locator(".mantine-Accordion-root")
        .filter(new Locator.FilterOptions().setHasText("Take-off configuration"));
    assertThat(configuration).containsText("4 controls");
    configuration.getByRole(AriaRole.BUTTON).first().click();
    configuration.getByLabel("Take this out").last().click();
    assertThat(configuration).containsText("3 controls");
    orrin.page.getByLabel("at one look, when all is right").fill("all vertical and flush, three lights");
    orrin.readable();
    orrin.key("Control+s");
    assertThat(orrin.button("Saved")).isVisible();
    Path file = Files.createTempFile("pack", ".yaml");
    orrin.page.waitForDownload(() -> link(orrin, "Download").click()).saveAs(file);
    assertThat(Files.readString(file)).contains("of: cruising-level", "plus: -10", "act: Lever to the stop",
        "all vertical and flush, three lights", "Squawk {transponder}.");
    assertThat(Files.readString(file).replaceAll("\\s+", " ")).contains("agreed: [v1, vr, flap]",
        "from-deg: 60", "seconds: 420", "not-while-fuelling: true");
  }

  private Crew atTheDraft() {
    Crew orrin = Crew.in(browser, app, "Bas Orrin", ColorScheme.LIGHT);
    link(orrin, "Procedures").click();
    orrin.page.getByText("to be checked by a second person").click();
    return orrin;
  }

  private static Locator link(Crew crew, String name) {
    return crew.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
  }

  private static Locator row(Crew crew, String challenge, int nth) {
    return crew.page.locator("[id^=step-]").filter(new Locator.FilterOptions().setHasText(challenge)).nth(nth);
  }

  /**
   * By keyboard and pointer: find, write, see a fault as it is typed, undo, a condition in plain words, move, save.
   */
  private static void edit(Crew orrin) throws IOException {
    assertThat(orrin.button("Saved")).isDisabled();
    orrin.key("/");
    orrin.page.keyboard().type("gust lock");
    row(orrin, "Gust lock", 1).click();
    Locator response = orrin.page.getByLabel("Response");
    assertThat(response).hasValue("out, columns free");
    response.fill("");
    assertThat(orrin.page.getByText("'response' is blank.")
        .or(orrin.page.getByText("'response' wants a single value.")).first()).isVisible();
    assertThat(orrin.button("Cannot be saved yet")).isDisabled();
    response.blur();
    orrin.key("Control+z");
    assertThat(response).hasValue("out, columns free");
    response.fill("out, columns free to both stops");
    orrin.button("Only when").click();
    orrin.page.getByLabel("Fact").selectOption("wind-above");
    orrin.page.getByLabel("Number", new Page.GetByLabelOptions().setExact(true)).fill("x");
    assertThat(orrin.page.getByText("'wind-above' is 'x', not a number.")).isVisible();
    orrin.page.getByLabel("Number", new Page.GetByLabelOptions().setExact(true)).fill("20");
    assertThat(orrin.page.getByText("wind 8 kt, not above 20 kt")).isVisible();
    // On a calm day nothing would take the gust lock out: the check says so while one still looks.
    orrin.page.getByText(Pattern.compile("Check: \\d found")).click();
    assertThat(orrin.page.getByText("It opens 'gust-lock', and no later step closes that: wind not above 20 kt."))
        .isVisible();
    orrin.picture("editor-day");
    orrin.button("Waive with a reason").click();
    orrin.page.keyboard().type("Only to see it waived");
    orrin.key("Control+Enter");
    assertThat(orrin.page.getByText("Accepted: Only to see it waived")).isVisible();
    orrin.button("Take the waiver back").click();
    assertThat(orrin.page.getByText("Accepted: Only to see it waived")).isHidden();
    orrin.page.getByLabel("Take this out").first().click();
    assertThat(orrin.page.getByText("Check: clean")).isVisible();
    orrin.page.getByLabel("Find a step").fill("");
    orrin.page.getByLabel("Find a step").blur();
    newCopiedTakenOut(orrin);
    orrin.key("Alt+ArrowDown");
    assertThat(orrin.page.getByText("After start flow · 8 of 9")).isVisible();
    orrin.button("Move up").click();
    assertThat(orrin.page.getByText("After start flow · 7 of 9")).isVisible();
    orrin.key("Control+z");
    assertThat(orrin.page.getByText("Save the draft")).isVisible();
    orrin.key("Control+z");
    orrin.key("Control+s");
    assertThat(orrin.button("Saved")).isVisible();
    orrin.page.reload();
    assertThat(row(orrin, "Gust lock", 1)).isVisible();
    Path file = Files.createTempFile("pack", ".yaml");
    Download download = orrin.page.waitForDownload(() -> link(orrin, "Download").click());
    download.saveAs(file);
    assertThat(Files.readString(file)).contains("out, columns free to both stops");
    assertThat(Lanyard.commands().setOut(new PrintWriter(new StringWriter())).execute("check", file.toString()))
        .as("the saved draft at a terminal").isZero();
  }

  /**
   * A new step beside the one at hand, which is asked for its words at once; a copy under a name of its own; and both
   * out again.
   */
  private static void newCopiedTakenOut(Crew orrin) {
    row(orrin, "Lever friction", 0).click();
    orrin.key("n");
    assertThat(orrin.page.getByLabel("Challenge")).isFocused();
    assertThat(orrin.page.getByText("'challenge' is blank.").first()).isVisible();
    orrin.page.keyboard().type("Throttle gate");
    orrin.page.getByLabel("Response").fill("seen free");
    orrin.page.getByLabel("Response").blur();
    assertThat(orrin.page.getByText("Check: clean")).isVisible();
    orrin.key("c");
    assertThat(row(orrin, "Throttle gate", 1)).isVisible();
    assertThat(orrin.page.getByText("shadowed").or(orrin.page.getByText(Pattern.compile("Check: \\d found"))).first())
        .isVisible();
    orrin.page.getByLabel("Challenge").blur();
    orrin.key("Delete");
    orrin.key("Delete");
    assertThat(row(orrin, "Throttle gate", 0)).isHidden();
    row(orrin, "Gust lock", 1).click();
  }

  private static void compare(Crew orrin) {
    orrin.button("What changed").click();
    assertThat(orrin.page.getByText("Walkaround, Freight door")).isVisible();
    assertThat(orrin.page.getByText("Response: was \"out, columns free\", now \"out, columns free to both stops\"."))
        .isVisible();
    orrin.picture("changes-day");
    orrin.page.getByLabel("What concerns").selectOption("TL-DVA");
    assertThat(orrin.page.getByText("Walkaround, Freight door")).isHidden();
    orrin.button("Cards").click();
    orrin.key("b");
    orrin.page.getByLabel("Tail").last().selectOption("TL-DVC");
    assertThat(orrin.page.getByText("freight door fitted").first()).isVisible();
    assertThat(orrin.heading("12 steps differ")).isVisible();
    orrin.page.getByLabel("Tail").last().selectOption("TL-DVA");
    assertThat(orrin.heading("Nothing differs")).isVisible();
  }

  private static void publish(Browser browser, Application app, Crew orrin) {
    Crew rand = Crew.in(browser, app, "Mette Rand", ColorScheme.LIGHT);
    link(rand, "Procedures").click();
    rand.page.getByText("to be checked by a second person").click();
    assertThat(rand.button("I have checked it")).isEnabled();
    rand.key("k");
    assertThat(rand.page.getByText("checked by Mette Rand")).isVisible();
    assertThat(rand.button("Publish")).isHidden();
    link(orrin, "Procedures").click();
    orrin.page.getByText("checked by Mette Rand").click();
    assertThat(orrin.button("Publish")).isEnabled();
    orrin.key("p");
    assertThat(orrin.page.getByText("in force", new Page.GetByTextOptions().setExact(true)).first()).isVisible();
    assertThat(orrin.button("Save the draft")).isHidden();
  }

  private static void readThenOpen(Crew wren) {
    wren.key("1");
    assertThat(wren.page.getByText("Revision 2026-12 changed")).isVisible();
    link(wren, "Read what changed").click();
    assertThat(wren.heading("things changed for you in revision 2026-12")).isVisible();
    assertThat(wren.page.getByText("Wear pins, right brakes")).isVisible();
    wren.key("a");
    assertThat(wren.heading("Nothing to read")).isVisible();
    link(wren, "Neat Lanyard").click();
    assertThat(wren.page.getByText("Ternholm – Vesk")).isVisible();
    wren.key("1");
    wren.button("Take the right seat").click();
    assertThat(wren.page.getByText("revision 2026-12")).isVisible();
  }

  private static void doesNotFit(Crew wren, Crew orrin) {
    wren.cutCard();
    wren.stage("Walkaround");
    assertThat(wren.heading("Red covers and plugs")).isVisible();
    wren.key("d");
    wren.page.keyboard().type("This tail carries seven covers");
    // The other looks once: by then it must be there.
    wren.page.waitForResponse(r -> r.url().endsWith("/outbox"), () -> wren.key("Control+Enter"));
    assertThat(wren.heading("Red covers and plugs")).isVisible();
    link(orrin, "Procedures").click();
    assertThat(orrin.page.getByText("This tail carries seven covers")).isVisible();
    assertThat(orrin.page.getByText("Wren Adeyo, TL-DVA, flight 14")).isVisible();
    orrin.button("Answer").click();
    orrin.page.keyboard().type("Counted again: seven it is, in the next revision");
    orrin.key("Control+Enter");
    assertThat(orrin.page.getByText("Bas Orrin: Counted again")).isVisible();
  }

  private static void readers(Crew orrin) {
    orrin.page.locator("main a").filter(new Locator.FilterOptions().setHasText("2026-12")).first().click();
    orrin.button("Who has read it").click();
    assertThat(orrin.heading("3 whom it concerns have not read it yet")).isVisible();
    assertThat(orrin.page.locator("tr", new Page.LocatorOptions().setHasText("Wren Adeyo")))
        .containsText("read 2027-01-14");
  }
}
