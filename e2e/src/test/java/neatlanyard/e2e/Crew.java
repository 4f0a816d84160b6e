package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.AxeResults;
import com.google.gson.JsonParser;
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
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import java.util.function.BooleanSupplier;
import java.util.regex.Pattern;

/** Somebody at a browser of their own. */
final class Crew {
  private static final List<String> ARGUMENTS = List.of(
      "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
      "--disable-component-update", "--disable-sync",
      // The driver's own list, as the last one given counts; and the two pages behind the address line, which no
      // headless browser shows and which cost each window more than what it is opened for.
      "--disable-features=" + String.join(",", "AvoidUnnecessaryBeforeUnloadCheckSync",
      "BoundaryEventDispatchTracksNodeRemoval", "DestroyProfileOnBrowserClose", "DialMediaRouteProvider",
      "GlobalMediaControls", "HttpsUpgrades", "LensOverlay", "MediaRouter", "PaintHolding",
      "ThirdPartyStoragePartitioning", "BlockOriginHeaderModificationOnRedirect", "Translate", "OptimizationHints",
      "WebUIOmniboxPopup", "WebUIOmniboxAimPopup"));

  /** How long a slow machine may take; a fast one waits no longer than it must. */
  private static final double PATIENCE_MS = 25_000;

  /** Half a minute is the longest time that a crew of the demo waits out; what follows it may still be on its way. */
  private static final double LONGEST_WAIT_MS = 2 * PATIENCE_MS;

  /** Between two looks at what is waited for. */
  private static final double REST_MS = 50;

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
    return at(browser, app, light).signIn(name);
  }

  /** The same in a browser that keeps the application, which comes up again without a network. */
  static Crew keeping(Browser browser, Application app, String name, ColorScheme light) {
    return at(browser, app, light, ServiceWorkerPolicy.ALLOW).signIn(name);
  }

  private Crew signIn(String name) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name)).click();
    assertThat(page.getByText("Ternholm – Vesk")).isVisible();
    return this;
  }

  /** At the front page, not signed in. */
  static Crew at(Browser browser, Application app, ColorScheme light) {
    // To keep the application takes each new browser a tenth of what a test takes.
    return at(browser, app, light, ServiceWorkerPolicy.BLOCK);
  }

  private static Crew at(Browser browser, Application app, ColorScheme light, ServiceWorkerPolicy keeps) {
    BrowserContext context = browser.newContext(new Browser.NewContextOptions()
        .setViewportSize(1280, 800).setColorScheme(light).setReducedMotion(ReducedMotion.REDUCE)
        .setServiceWorkers(keeps));
    Page page = context.newPage();
    page.navigate(app.url());
    return new Crew(page, app.url());
  }

  /**
   * A browser with a folder of its own, as on somebody's tablet: it can be killed, and started again on the same
   * folder.
   */
  record Own(Playwright playwright, BrowserContext context, Path profile, Application app) implements AutoCloseable {
    /** Signs in, unless the browser still is. */
    Crew signIn(String name) {
      Page page = context.pages().isEmpty() ? context.newPage() : context.pages().getFirst();
      // What was kept shows first; who is signed in is known once the server has said so.
      int said = page.waitForResponse(app.url() + "/api/session", () -> page.navigate(app.url())).status();
      Locator list = page.getByText("Ternholm – Vesk");
      if (said == 401) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name + " ")).click();
      }
      assertThat(list).isVisible();
      return new Crew(page, app.url());
    }

    /** As {@code kill -9} does: nothing is closed or flushed. */
    void kill() throws InterruptedException {
      List<ProcessHandle> all = ProcessHandle.allProcesses()
          .filter(p -> p.info().commandLine().filter(c -> c.contains(profile.toString())).isPresent()).toList();
      all.forEach(ProcessHandle::destroyForcibly);
      for (ProcessHandle p : all) {
        while (p.isAlive()) {
          Thread.sleep(20);
        }
      }
    }

    @Override
    public void close() {
      playwright.close();
    }
  }

  static Own own(Path profile, Application app) throws java.io.IOException {
    Playwright playwright = Playwright.create();
    // A killed browser leaves its lock behind.
    java.nio.file.Files.deleteIfExists(profile.resolve("SingletonLock"));
    BrowserContext context = playwright.chromium()
        .launchPersistentContext(profile, new BrowserType.LaunchPersistentContextOptions()
        .setExecutablePath(Path.of("/usr/bin/chromium")).setHeadless(true).setArgs(ARGUMENTS)
        .setViewportSize(1280, 800)
        .setReducedMotion(ReducedMotion.REDUCE));
    return new Own(playwright, context, profile, app);
  }

  /** Opens today's first departure and takes the seat. */
  Crew takeSeat(String seat) {
    key("1");
    button("Take the " + seat + " seat").click();
    assertThat(page.getByText(seat + " seat taken")).isVisible();
    return this;
  }

  /** The same of another departure, by its route. */
  Crew takeSeat(String seat, String route) {
    page.getByText(route).first().click();
    button("Take the " + seat + " seat").click();
    assertThat(page.getByText(seat + " seat taken")).isVisible();
    return this;
  }

  /** Cuts the card from whatever report came. */
  Crew cut() {
    button("Cut the card").click();
    assertThat(page.getByText("steps today")).isVisible();
    return this;
  }

  /** Cuts the card from the report of the simulated station service. */
  Crew cutCard() {
    assertThat(page.getByText("wind 240° 12 kt")).isVisible();
    button("Cut the card").click();
    assertThat(page.getByText("steps today")).isVisible();
    return this;
  }

  /** The line below the cord of a phone, which says how much hangs and opens. */
  Locator cordLine() {
    return page.locator("nav [data-accordion-control]");
  }

  /** What hangs, once that line is open. */
  Locator cordUnfolded() {
    return page.locator("nav [role='region']");
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
    page.locator("nav ol button[data-state]").filter(new Locator.FilterOptions().setHasText(title)).first().click();
  }

  /** Contrast, names and roles by the published accessibility rules (WCAG 2.2 AA as axe-core checks them). */
  void readable() {
    AxeResults results = new AxeBuilder(page).analyze();
    assertThat(results.getViolations())
        .as("accessibility of %s", page.url())
        .extracting(r -> r.getId() + ": " + r.getNodes().getFirst().getHtml())
        .isEmpty();
  }

  /** Reads and enters one value. */
  void enter(String value) {
    page.locator("main input[aria-label^='Value, ']").fill(value);
    key("Enter");
  }

  /** Presses a key for the step at hand and sees the next one come; where a value is wanted, reads and enters it. */
  void press(String key) {
    Locator now = page.locator("main h1");
    String before = now.textContent();
    if (!key.endsWith("Space") || !answer()) {
      if (key.equals("Space")) {
        open();
      }
      key(key);
    }
    assertThat(now).not().hasText(before);
  }

  /** Waits until the press that answers may be made: one that comes earlier is lost. */
  private void open() {
    Locator all = page.locator("main button:has(kbd:text-is('space'))");
    Locator open = page.locator("main button:enabled:has(kbd:text-is('space'))");
    until(PATIENCE_MS, () -> all.count() == 0 || open.count() > 0);
  }

  /** Waits until it is so. Between two looks it rests: looking as often as it can keeps a core busy. */
  void until(double patienceMs, BooleanSupplier so) {
    page.waitForCondition(() -> {
      boolean now = so.getAsBoolean();
      if (!now) {
        page.waitForTimeout(REST_MS);
      }
      return now;
    }, new Page.WaitForConditionOptions().setTimeout(patienceMs));
  }

  /** Answers with what is read, with what today gives, or part by part; false where a press is enough. */
  boolean answer() {
    return enterValue() || sayValue() || seeCourse();
  }

  private Locator seen() {
    return page.locator("main [data-step] input:enabled, main [data-step] button:enabled");
  }

  /** Says what today gives, as somebody who sees it set right. */
  private boolean sayValue() {
    if (seen().count() == 0) {
      return false;
    }
    String step = page.locator("main [data-step]").getAttribute("data-step");
    String departure = page.url().replaceAll(".*/departures/([^?/]+).*", "$1");
    String accepted = JsonParser.parseString(page.request().get(url + "/api/departures/" + departure).text())
        .getAsJsonObject()
        .getAsJsonObject("progress").getAsJsonObject("values").getAsJsonObject(step).getAsJsonArray("accepted").get(0)
        .getAsString();
    Locator input = page.locator("main [data-step] input");
    if (input.count() > 0) {
      input.fill(accepted);
      key("Enter");
    } else {
      page.locator("main [data-step] button")
          .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^" + accepted + " ?alt \\d$"))).click();
    }
    return true;
  }

  /** Sees each part of a test. */
  private boolean seeCourse() {
    Locator beats = page.locator("main ol li").filter(new Locator.FilterOptions().setHas(page.locator("b")));
    if (page.locator("main li[aria-current=step]").count() == 0 || !sight().enabled) {
      return false;
    }
    List<Boolean> now = beats.all().stream().map(b -> "step".equals(b.getAttribute("aria-current"))).toList();
    for (int i = now.indexOf(true); i < now.size(); i++) {
      key("Space");
    }
    return true;
  }

  private boolean enterValue() {
    Locator value = page.locator("main input[aria-label^='Value, ']");
    if (value.count() == 0 || value.isDisabled()) {
      return false;
    }
    String name = value.getAttribute("aria-label").substring("Value, ".length());
    value.fill(Instruments.read(page, name).replace(" ", ""));
    key("Enter");
    return true;
  }

  /**
   * All that a person sees at one moment and goes by. Looked at in one go: between two looks a time may run out.
   *
   * @param main the one thing to do now, such as "Done space"; empty where there is none
   * @param enabled whether it can be done
   * @param seen how many fields and choices ask for what is seen
   * @param asks whether more than a press is asked: a value, what is seen, or a test part by part
   * @param waits whether the step at hand is this person's, and a time that runs keeps it closed
   * @param soon whether that time is one of seconds, to be waited for
   * @param part the procedure of the stage that is shown
   * @param finished whether the stage is done
   */
  private record Sight(String heading, String main, boolean enabled, int seen, boolean asks, boolean waits,
      boolean soon, String part, boolean finished) {
    private static final String LOOK = """
        () => {
          const all = (s) => [...document.querySelectorAll('main ' + s)]
          const text = (e) => e?.textContent ?? ''
          const main = all('button[data-variant=main]')[0]
          const past = all('button:enabled').find((b) => text(b).startsWith('Go past it'))
          const there = all('button:enabled').some((b) => text(b).startsWith('Go there'))
          return [
            text(all('h1')[0]), text(main), main !== undefined && !main.disabled,
            all('[data-step] input:enabled, [data-step] button:enabled').length,
            all("[data-step] :enabled, input[aria-label^='Value, '], li[aria-current=step]").length > 0,
            past !== undefined && !there,
            text(past?.parentElement?.parentElement).includes('before the pressure is read'),
            text(all('nav button[aria-current]')[0]),
            document.querySelector('nav ol button[aria-current=page]')?.dataset.state === 'done',
          ]
        }""";

    static Sight of(Page page) {
      List<?> seen = (List<?>) page.evaluate(LOOK);
      return new Sight(
          (String) seen.get(0), (String) seen.get(1), (boolean) seen.get(2), ((Number) seen.get(3)).intValue(),
          (boolean) seen.get(4), (boolean) seen.get(5),
          (boolean) seen.get(6), (String) seen.get(7), (boolean) seen.get(8));
    }

    /** Whether something of this stage is this person's to do now. */
    boolean ready(String stage) {
      return waits || seen > 0 || enabled && !main.startsWith("Go there") && !leads(stage);
    }

    /** Whether the one thing to do is to go on to another stage. */
    private boolean leads(String stage) {
      return main.startsWith("Go to") && STAGES.stream()
          .anyMatch(s -> !s.equals(stage) && main.startsWith("Go to " + s.toLowerCase()));
    }
  }

  private static final List<String> STAGES = List.of(
      "Walkaround", "Flows", "Figures", "Briefing", "Start", "Control check", "Taxi", "Before take-off", "Line-up",
      "Tie off");

  private Sight sight() {
    return Sight.of(page);
  }

  /** Goes past what keeps the step closed, with a reason, and does it. */
  void goPast(String reason) {
    past(reason);
    press("Space");
  }

  /** Says the words that open the step at hand, unless its time has run out meanwhile. */
  private void past(String reason) {
    Locator words = page.locator("main form textarea");
    Locator way = page.locator("main").getByText("Go past it");
    key("v");
    until(PATIENCE_MS, () -> words.count() > 0 || way.count() == 0);
    if (words.count() == 0) {
      return;
    }
    page.keyboard().type(reason);
    key("Control+Enter");
    assertThat(words).not().isVisible();
    assertThat(way).not().isVisible();
  }

  private void pressMain(Sight before) {
    if (before.waits && before.soon) {
      until(PATIENCE_MS, () -> !sight().waits);
    } else if (before.waits) {
      past("It ran before we came");
    } else if (!(before.asks && answer())) {
      key(before.main.startsWith("Go to") ? "g" : before.main.startsWith("Below") ? "b" : "Space");
    }
    until(PATIENCE_MS, () -> !sight().equals(before));
  }

  /** Two people do all of a stage, each what is theirs, until it is done or one of them has come to a heading. */
  static void together(Crew a, Crew b, String stage, String until) {
    together(List.of(a, b), stage, until);
  }

  /** The same of as many as the aircraft has seats. */
  static void together(List<Crew> all, String stage, String until) {
    all.forEach(c -> c.stage(stage));
    Crew a = all.getFirst();
    Sight first = a.sight();
    while (!first.finished && !first.heading.equals(until)) {
      a.until(LONGEST_WAIT_MS, () -> all.stream().anyMatch(c -> c.sight().ready(stage)) || a.sight().finished);
      for (Crew c : all) {
        Sight now = c.sight();
        if (now.ready(stage) && !now.heading.equals(until)) {
          c.pressMain(now);
        }
      }
      first = a.sight();
    }
  }

  /** Goes down a procedure without doing it. */
  void lookAhead(String heading) {
    for (int i = 0; i < 40 && !sight().heading.equals(heading); i++) {
      press("ArrowDown");
    }
    assertThat(page.locator("main h1")).hasText(heading);
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
    return send(departure, Map.of("id", id.toString(), "device", device, "kind", kind, "body", body));
  }

  /** The same as a device says it that had no network until now. @param at when it was said there */
  APIResponse send(String departure, Instant at, String device, String kind, Map<String, Object> body) {
    return send(departure, Map.of(
        "id", eventId().toString(), "deviceAt", at.toString(), "device", device, "kind", kind, "body", body));
  }

  private APIResponse send(String departure, Map<String, Object> event) {
    return page.request().post(url + "/api/departures/" + departure + "/events", RequestOptions.create()
        .setHeader("X-XSRF-TOKEN", cookie("XSRF-TOKEN")).setData(event));
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
