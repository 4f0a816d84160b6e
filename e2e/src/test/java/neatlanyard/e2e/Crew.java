package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.AxeResults;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;

/** Somebody at a browser of their own. */
final class Crew {
  private static final List<String> ARGUMENTS = List.of(
      "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
      "--disable-component-update", "--disable-sync");

  /** How long a slow machine may take; a fast one waits no longer than it must. */
  private static final double PATIENCE_MS = 25_000;

  final Page page;
  private final String url;

  private Crew(Page page, String url) {
    this.page = page;
    this.url = url;
  }

  /** Debian's own browser; none is ever downloaded. */
  static Browser browser(Playwright playwright) {
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
    return playwright.chromium().launch(new BrowserType.LaunchOptions()
        .setExecutablePath(Path.of("/usr/bin/chromium"))
        .setHeadless(true)
        .setArgs(ARGUMENTS));
  }

  /** Signs in one of the demo's people. */
  static Crew in(Browser browser, Application app, String name, ColorScheme light) {
    Crew crew = at(browser, app, light);
    crew.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name)).click();
    assertThat(crew.page.getByText("Ternholm – Vesk")).isVisible();
    return crew;
  }

  /** At the front page, not signed in. */
  static Crew at(Browser browser, Application app, ColorScheme light) {
    BrowserContext context = browser.newContext(new Browser.NewContextOptions()
        .setViewportSize(1280, 800).setColorScheme(light).setReducedMotion(ReducedMotion.REDUCE));
    Page page = context.newPage();
    page.navigate(app.url());
    return new Crew(page, app.url());
  }

  /** Opens today's first departure and takes the seat. */
  Crew takeSeat(String seat) {
    key("1");
    button("Take the " + seat + " seat").click();
    assertThat(page.getByText(seat + " seat taken")).isVisible();
    return this;
  }

  /** Cuts the card from the report of the simulated station service. */
  Crew cutCard() {
    assertThat(page.getByText("wind 240° 12 kt")).isVisible();
    button("Cut the card").click();
    assertThat(page.getByText("steps today")).isVisible();
    return this;
  }

  Locator heading(String text) {
    return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(text));
  }

  Locator button(String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(false)).first();
  }

  Locator tag(String title) {
    return page.locator("nav ol").getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(title));
  }

  void key(String key) {
    page.keyboard().press(key);
  }

  /** Goes to a stage by its bead. */
  void stage(String title) {
    page.locator("nav ol").getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(title)).first().click();
  }

  /** Contrast, names and roles by the published accessibility rules (WCAG 2.2 AA as axe-core checks them). */
  void readable() {
    AxeResults results = new AxeBuilder(page).analyze();
    assertThat(results.getViolations())
        .as("accessibility of %s", page.url())
        .extracting(r -> r.getId() + ": " + r.getNodes().getFirst().getHtml())
        .isEmpty();
  }

  /** What a gauge of the demo reads, by the name of what it measures. */
  private static final Map<String, String> READINGS = Map.ofEntries(
      Map.entry("Battery voltage", "25.4"), Map.entry("Brake accumulator", "2900"), Map.entry("Crew oxygen", "1 850"),
      Map.entry("Oxygen while a mask flows", "1 800"), Map.entry("Left engine oil", "11"), Map.entry("Right engine oil", "10,5"),
      Map.entry("Left wear pin", "12"), Map.entry("Right wear pin", "4,2"), Map.entry("Tyre pressure, left outer", "81"),
      Map.entry("Tyre pressure, left inner", "82"), Map.entry("Tyre pressure, right outer", "81"), Map.entry("Tyre pressure, right inner", "80"),
      Map.entry("Left strut showing", "92"), Map.entry("Right strut showing", "88"), Map.entry("Hydraulic quantity", "88"),
      Map.entry("Fire bottle", "600"));

  /** Reads and enters one value. */
  void enter(String value) {
    page.locator("main input[aria-label^='Value, ']").fill(value);
    key("Enter");
  }

  /** Presses a key for the step at hand and sees the next one come; where a value is wanted, reads and enters it. */
  void press(String key) {
    Locator now = page.locator("main h1");
    String before = now.textContent();
    if (!key.endsWith("Space") || !enterValue()) {
      key(key);
    }
    assertThat(now).not().hasText(before);
  }

  private boolean enterValue() {
    Locator value = page.locator("main input[aria-label^='Value, ']");
    if (value.count() == 0 || value.isDisabled()) {
      return false;
    }
    value.fill(READINGS.getOrDefault(value.getAttribute("aria-label").substring("Value, ".length()), "0").replace(" ", ""));
    key("Enter");
    return true;
  }

  private Locator main() {
    return page.locator("main button[data-main]").first();
  }

  /** Whether something of this stage is this person's to do now. */
  private boolean ready(String stage) {
    return waits() || main().count() > 0 && main().isEnabled() && !main().textContent().startsWith("Go there") && !leads(stage);
  }

  /** Whether the step at hand is this person's, and a time that runs keeps it closed. */
  private boolean waits() {
    Locator past = page.locator("main").getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Go past it"));
    return past.count() > 0 && past.isEnabled() && (main().count() == 0 || !main().textContent().startsWith("Go there"));
  }

  /** Goes past what keeps the step closed, with a reason, and does it. */
  void goPast(String reason) {
    key("v");
    page.keyboard().type(reason);
    key("Control+Enter");
    assertThat(page.locator("main").getByText("Go past it")).not().isVisible();
    press("Space");
  }

  /** Whether the one thing to do is to go on to another stage. */
  private boolean leads(String stage) {
    String text = main().textContent();
    return text.startsWith("Go to") && STAGES.stream().anyMatch(s -> !s.equals(stage) && text.startsWith("Go to " + s.toLowerCase()));
  }

  private static final List<String> STAGES = List.of(
      "Walkaround", "Flows", "Figures", "Briefing", "Start", "Control check", "Taxi", "Before take-off", "Line-up", "Tie off");

  private boolean finished() {
    return "done".equals(page.locator("nav ol button[aria-current=page]").getAttribute("data-state"));
  }

  /** All that tells one press from the next. */
  private String picture() {
    return page.locator("main h1").textContent() + (main().count() == 0 ? "" : main().isEnabled() + main().textContent())
        + page.locator("main nav button[aria-current]").allTextContents();
  }

  private void pressMain() {
    String before = picture();
    if (waits()) {
      goPast("It ran before we came");
    } else if (!enterValue()) {
      String text = main().textContent();
      key(text.startsWith("Go to") ? "g" : text.startsWith("Below") ? "b" : "Space");
    }
    page.waitForCondition(() -> !picture().equals(before), new Page.WaitForConditionOptions().setTimeout(PATIENCE_MS));
  }

  /** Two people do all of a stage, each what is theirs, until it is done or one of them has come to a heading. */
  static void together(Crew a, Crew b, String stage, String until) {
    a.stage(stage);
    b.stage(stage);
    while (!a.finished() && !a.page.locator("main h1").textContent().equals(until)) {
      a.page.waitForCondition(() -> a.ready(stage) || b.ready(stage) || a.finished(), new Page.WaitForConditionOptions().setTimeout(PATIENCE_MS));
      for (Crew c : List.of(a, b)) {
        if (c.ready(stage) && !c.page.locator("main h1").textContent().equals(until)) {
          c.pressMain();
        }
      }
    }
  }

  /** Presses a key, a press a step, until the step wanted is at hand. */
  void pressUntil(String key, String heading, int most) {
    for (int i = 0; i < most && !page.locator("main h1").textContent().contains(heading); i++) {
      press(key);
    }
    assertThat(page.locator("main h1")).containsText(heading);
  }

  /** Sends an event as a device does, past the interface. @return status and answer */
  APIResponse send(String departure, UUID id, String device, String kind, Map<String, Object> body) {
    return page.request().post(url + "/api/departures/" + departure + "/events", RequestOptions.create()
        .setHeader("X-XSRF-TOKEN", cookie("XSRF-TOKEN"))
        .setData(Map.of("id", id.toString(), "device", device, "kind", kind, "body", body)));
  }

  /** Posts what is no event. */
  void post(String path, String type, String body) {
    APIResponse answer = page.request().post(url + path, RequestOptions.create()
        .setHeader("X-XSRF-TOKEN", cookie("XSRF-TOKEN")).setHeader("Content-Type", type).setData(body));
    if (!answer.ok()) {
      throw new AssertionError("%s: %s".formatted(path, answer.text()));
    }
  }

  private String cookie(String name) {
    return page.context().cookies().stream().filter(c -> c.name.equals(name)).map(c -> c.value).findFirst().orElse("");
  }

  String get(String path) {
    return page.request().get(url + path).text();
  }

  /** A UUID of version 7 (RFC 9562). */
  static UUID eventId() {
    ThreadLocalRandom random = ThreadLocalRandom.current();
    long high = System.currentTimeMillis() << 16 | 0x7000L | random.nextInt(1 << 12);
    return new UUID(high, random.nextLong() & 0x3fffffffffffffffL | 0x8000000000000000L);
  }

  /** Keeps a picture of the view when pictures are asked for. */
  void picture(String name) {
    String folder = System.getProperty("lanyard.pictures", "");
    if (!folder.isBlank()) {
      page.screenshot(new Page.ScreenshotOptions().setPath(Application.ROOT.resolve(folder).resolve(name + ".png")));
    }
  }
}
